/** `ostrin bench --server`: the server under kills, bad requests, many watchers and a night's sleep. */
import { planOnePit } from '@ostrin/core/engine';
import { request } from '@ostrin/testing';
import { fuzzRuns } from '../server/fuzz';
import { killRuns } from '../server/kills';
import { loadRuns } from '../server/load';
import { longRecord } from '../server/longRecord';
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
  const long = await onServer(3, (server) =>
    onServer(4, (other) => longRecord(server, other, plan)),
  );
  const others = [
    long.open,
    long.openByFour,
    long.zoomed,
    long.csv,
    long.json,
    long.finish,
    long.archive,
    long.restore,
  ];
  return {
    seed,
    kills,
    fuzz,
    load,
    long,
    asked: {
      lostOfAcknowledged: { asked: 0, got: kills.lost },
      doubled: { asked: 0, got: kills.doubled },
      answersOf5xx: { asked: 0, got: fuzz.answersOf5xx + fuzz.noAnswer },
      longestStallMs: { asked: 'at most 250', got: fuzz.longestStallMs },
      storedAfterRefusal: { asked: 0, got: fuzz.storedAfterRefusal },
      apiP99Ms: { asked: 'under 50', got: load.apiP99Ms },
      postsP99Ms: { asked: 'under 100', got: load.postsP99Ms },
      caughtUpAfterSleep: { asked: true, got: load.caughtUp },
      longRecordOpensMs: { asked: 'at most 300', got: long.open.ms },
      longRecordOpensKb: { asked: 'under 300', got: long.open.kb },
      longestBesideALongRecordMs: {
        asked: 'at most 50',
        got: Math.max(...others.map((o) => o.othersMs)),
      },
      longRecordPeakMb: { asked: 'under 400', got: long.peakMb },
      longRecordCameBackWhole: { asked: true, got: long.cameBackWhole },
      longestWhileCatchingUpMs: { asked: 'at most 100', got: load.longestWhileCatchingUpMs },
    },
  };
}
