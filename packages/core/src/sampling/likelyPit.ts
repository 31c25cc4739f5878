/** One likely pit of a plan with its pieces, as a job that any worker can do: plain data in, plain data out. */
import type { ControlPolicy } from '../control/controlPolicy';
import { createSimulatedOperator } from '../control/simulatedOperator';
import type { PieceVariation } from '../meat/variation';
import { seeded } from '../quantity/random';
import type { MeatResult, Result } from '../scenario/result';
import type { Scenario } from '../scenario/scenario';
import { withLikelyProbe } from './likelyPits';
import { runPieceInAir, runUntilDone } from './runUntilDone';

/** A pit, how it is held, and the pieces that are laid in it. */
export interface LikelyPitJob {
  /** The pit, its fire, its day and its pieces. */
  scenario: Scenario;
  /** Target of the pit, C. */
  targetC: number;
  /** How the fire is held. */
  policy: ControlPolicy;
  /** What its thermometer is off by, K, and the seed of its trembling; null: it reads true. */
  probe: { biasK: number; seed: number } | null;
  /** How its own pieces differ from the catalogue. */
  variations: PieceVariation[];
  /** When each piece goes on, min after lighting. */
  onMin: number[];
  /** More pieces in the air of each of them: one list for each time that all are laid in it again. */
  more: PieceVariation[][];
}

/** What came of it. */
export interface LikelyPitRun {
  /** The cook of the pit with its own pieces. */
  result: Result;
  /** Minute at which it was ended. */
  endMin: number;
  /** Every piece of every time, the pit's own first. */
  meats: MeatResult[][];
}

/** Work that yields the share done, 0 to 1, or jobs that others may do; then it is given what came of them. */
export type Steps<T> = Generator<number | LikelyPitJob[], T, LikelyPitRun[] | undefined>;

/** Does a job, yielding the share done after each piece. */
export function* likelyPitSteps(job: LikelyPitJob): Generator<number, LikelyPitRun> {
  const { scenario, probe, onMin, more } = job;
  const own = createSimulatedOperator(scenario, job.targetC, job.policy);
  const operator = probe ? withLikelyProbe(own, probe.biasK, seeded(probe.seed)) : own;
  const { result, endMin, air } = runUntilDone(scenario, {
    operator,
    variations: job.variations,
    keepAir: true,
  });
  const meats: MeatResult[][] = [result.meats];
  for (const variations of more) {
    yield meats.length / (more.length + 1);
    meats.push(
      scenario.meats.map((meat, i) =>
        runPieceInAir(scenario, meat, onMin[i]!, air[i]!, variations[i]!),
      ),
    );
  }
  return { result, endMin, meats };
}

/** Does a job in one go. */
export const runLikelyPit = (job: LikelyPitJob): LikelyPitRun => runToEnd(likelyPitSteps(job));

/** What work comes to when nobody looks on; jobs that it would hand on it does itself. */
export function runToEnd<T>(work: Iterator<unknown, T, undefined>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** Work as a part of other work: its shares are told as from `from` on, over `span`; its jobs are handed on. */
export function* within<T>(work: Steps<T>, from: number, span: number): Steps<T> {
  let step = work.next();
  while (!step.done) {
    const { value } = step;
    step = work.next(yield typeof value === 'number' ? from + span * value : value);
  }
  return step.value;
}
