/** What a run of a pit comes to: how long it lasted, and how far it swung. */
import { mean } from '../quantity/statistics';
import { settledC } from './steadyCase';

/** A fire is through when it has fallen this far below where it settled, K. */
const BURNT_OUT_K = 15;

/** Hours from lighting until a pit has fallen 15 C under where it settled, for good. */
export function burnHours(pitC: readonly (number | null)[], everyMin: number): number {
  const settled = settledC(pitC, everyMin);
  let last = 0;
  pitC.forEach((c, i) => {
    if (c !== null && c > settled - BURNT_OUT_K) last = i;
  });
  return (last * everyMin) / 60;
}

/** Half of highest minus lowest within a round of `intervalMin` rows, mean over the whole rounds there are, K. */
export function roundSwingK(pitC: readonly number[], intervalMin: number): number {
  const rounds = Math.floor(pitC.length / intervalMin);
  return mean(
    Array.from({ length: rounds }, (_, i) => {
      const round = pitC.slice(i * intervalMin, (i + 1) * intervalMin);
      return (Math.max(...round) - Math.min(...round)) / 2;
    }),
  );
}
