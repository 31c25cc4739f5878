/** `ostrin bench --server`: the server under kills, bad requests, many watchers and a night's sleep. */
import { planOnePit } from '@ostrin/core/engine';
import { request } from '@ostrin/testing';
import { fuzzRuns } from '../server/fuzz';
import { killRuns } from '../server/kills';
import { loadRuns } from '../server/load';
import { onServer } from './onServer';

const RUNS = { kills: 200, requests: 20_000, loadMs: 15_000 };
/** The seed where none is named. */
const SEED = 20270515;

/** All parts, with what is asked of each. */
export async function benchServer(seed = SEED) {
  const plan = planOnePit(request(), { nowMs: 0, members: 1 });
  const load = await onServer(0, (server) => loadRuns(server, plan, RUNS.loadMs));
  const fuzz = await onServer(1, (server) => fuzzRuns(server, plan, RUNS.requests, seed));
  const kills = await onServer(2, (server) => killRuns(server, plan, RUNS.kills, seed));
  return {
    seed,
    kills,
    fuzz,
    load,
    asked: {
      lostOfAcknowledged: { asked: 0, got: kills.lost },
      doubled: { asked: 0, got: kills.doubled },
      answersOf5xx: { asked: 0, got: fuzz.answersOf5xx + fuzz.noAnswer },
      longestStallMs: { asked: 'at most 250', got: fuzz.longestStallMs },
      storedAfterRefusal: { asked: 0, got: fuzz.storedAfterRefusal },
      apiP99Ms: { asked: 'under 50', got: load.apiP99Ms },
      postsP99Ms: { asked: 'under 100', got: load.postsP99Ms },
      caughtUpAfterSleep: { asked: true, got: load.caughtUp },
      longestWhileCatchingUpMs: { asked: 'at most 100', got: load.longestWhileCatchingUpMs },
    },
  };
}
