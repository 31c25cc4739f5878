/** Learns a pit from its cooks, off the main thread, telling how far it is. */
import { keptPit, learnPit, loggedCookOf } from '@ostrin/core/learning';
import { answer, workerScope } from './answering';
import type { ToLearnWorker } from './messages';

const scope = workerScope<ToLearnWorker>();

scope.onmessage = ({ data: { id, before, cooks, burns } }) =>
  answer(id, () => {
    const logged = cooks.flatMap((c) => loggedCookOf(c.id, c.plan, c.log, c.readings) ?? []);
    const learned = learnPit(before, [...burns, ...logged], {
      onProgress: (share) => scope.postMessage({ id, kind: 'progress', share }),
    });
    return { learned, kept: keptPit(before, learned) };
  });
