/** Jobs with the meat: on, wrapped, probed, off to rest. */
import { USUAL_LID_S } from '../../scenario/actions';
import { p10p50p90 } from '../../quantity/statistics';
import type { RequestMeat } from '../request/types';
import type { PitSchedule } from '../schedule/pitSchedule';
import { waitsWellMin } from '../schedule/schedule';
import { barkFirmAfterMin, careJobs } from './careJobs';
import { windowOf, type JobDraft } from './job';

/** Everything that is done with one piece, or so many alike. `i` is its place among the meats of the pit. */
export function meatJobs(
  plan: PitSchedule,
  meat: RequestMeat,
  i: number,
  pieces: number,
): JobDraft[] {
  // The first piece keeps the plain names; the others carry their own.
  const id = (job: string): string => (i === 0 ? job : `${job}-${meat.id}`);
  const { cut } = meat;
  const [p10, p50, p90] = windowOf(plan.readyMin[i]!);
  const jobs: JobDraft[] = [
    {
      id: id('meat-on'),
      atMin: plan.onMin[i]!,
      do: 'meat-on',
      facts: { kind: 'meat-on', cut, pieces, barkMin: barkFirmAfterMin(plan, i) },
      logs: [
        { do: 'lid-open', seconds: USUAL_LID_S },
        { do: 'meat-on', meat: meat.id },
      ],
    },
  ];
  jobs.push(...careJobs(plan, meat, i, pieces, id));
  const wraps = plan.wrapMin[i]!.filter(Number.isFinite);
  const wrapWith = meat.wrap.with;
  if (wraps.length > 0 && wrapWith !== 'none') {
    const [w10, w50, w90] = p10p50p90(wraps);
    jobs.push({
      id: id('wrap'),
      atMin: w50,
      spanMin: [w10, w90],
      do: 'wrap',
      facts: {
        kind: 'wrap',
        cut,
        pieces,
        with: wrapWith,
        when: plan.targets[i]!.spec.wrap!.when!,
        liquidKg: meat.wrap.liquidKg ?? null,
      },
      logs: [
        { do: 'lid-open', seconds: USUAL_LID_S },
        { do: 'wrap', meat: meat.id, with: wrapWith },
      ],
    });
  }
  jobs.push(
    {
      id: id('check'),
      atMin: p10,
      do: 'check',
      facts: {
        kind: 'check',
        cut,
        pieces,
        done: plan.targets[i]!.spec.done!,
        plateC: 'plateC' in meat.done ? meat.done.plateC : null,
      },
      logs: [],
    },
    {
      id: id('off'),
      atMin: p50,
      spanMin: [p10, p90],
      do: 'meat-off',
      facts: {
        kind: 'meat-off',
        cut,
        pieces,
        wrap: wrapWith,
        holdsMin: waitsWellMin(meat, plan.holds[i] ?? null),
        ends: plan.holds[i]?.ends ?? null,
        rest: meat.rest,
      },
      logs: [{ do: 'meat-off', meat: meat.id }],
    },
  );
  return jobs;
}
