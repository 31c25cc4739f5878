/**
 * The square-root ensemble filter for one reading at a time: moves the members of an ensemble towards what was
 * read, each part of them as far as it hangs together with the reading over the members.
 *
 * Source: J. S. Whitaker and T. M. Hamill, Monthly Weather Review 130 (2002), "Ensemble data assimilation without
 * perturbed observations" (from memory).
 */
import { mean } from '../quantity/statistics';

/** A reading as the ensemble sees it. */
interface Sighting {
  /** What was read. */
  value: number;
  /** One standard deviation of its error. */
  sd: number;
  /** What each member would have read. */
  expected: readonly number[];
}

/** Beyond so many standard deviations a reading pulls no harder: it may be wrong. One that is confirmed pulls more. */
export const GATE_SD = { once: 3, confirmed: 8 };

/** Squared correlations up to this are taken for chance: what an ensemble of two dozen gives by itself, twice. */
const CHANCE = 0.05;

/** How far a reading lies from what was expected, in standard deviations of both. */
export function surprise({ value, sd, expected }: Sighting): number {
  const middle = mean(expected);
  return (value - middle) / Math.sqrt(varianceOf(expected, middle) + sd * sd);
}

const varianceOf = (values: readonly number[], middle: number): number =>
  values.reduce((sum, v) => sum + (v - middle) ** 2, 0) / Math.max(values.length - 1, 1);

/**
 * Moves `states` (one row a member, all of one length) in place. Correlations that chance alone would give in an
 * ensemble of this size are left out.
 */
export function assimilate(
  states: readonly Float64Array[],
  sighting: Sighting,
  gateSd = GATE_SD.once,
): void {
  const { value, sd, expected } = sighting;
  const count = states.length;
  const middle = mean(expected);
  const spread = expected.map((y) => y - middle);
  const variance = varianceOf(expected, middle);
  if (variance <= 1e-9) return;
  const off = value - middle;
  // A reading far off is believed only as far as it may be chance.
  const noise = Math.max(sd * sd, (off / gateSd) ** 2 - variance);
  const weight = 1 / (variance + noise);
  const shrink = 1 / (1 + Math.sqrt(noise * weight));
  const length = states[0]!.length;
  for (let k = 0; k < length; k++) {
    let sum = 0;
    for (let i = 0; i < count; i++) sum += states[i]![k]!;
    const at = sum / count;
    let together = 0;
    let own = 0;
    for (let i = 0; i < count; i++) {
      const d = states[i]![k]! - at;
      together += d * spread[i]!;
      own += d * d;
    }
    if (own <= 1e-12) continue;
    const shared = (together * together) / (own * variance * (count - 1));
    // Share of the correlation that is more than chance would give.
    const trusted = Math.max(0, (shared - CHANCE) / ((1 - CHANCE) * Math.max(shared, 1e-9)));
    const gain = (trusted * together * weight) / (count - 1);
    for (let i = 0; i < count; i++) states[i]![k]! += gain * (off - shrink * spread[i]!);
  }
}

/** How much of what a reading says about the spread is believed at once, and the most that it may ask for, variance. */
const SPREAD_LESSON = { share: 0.3, most: 16 };

/**
 * How many times more than usual the members should wander, variance, learned from one more reading; 1 or more.
 * Source: J. L. Anderson, Tellus A 59 (2007), adaptive covariance inflation (the idea; from memory).
 */
export function learnedUnrest(before: number, { value, sd, expected }: Sighting): number {
  const middle = mean(expected);
  const variance = Math.max(varianceOf(expected, middle), 1e-6);
  const asked = ((value - middle) ** 2 - sd * sd) / variance;
  const bounded = Math.min(Math.max(asked, 1), SPREAD_LESSON.most);
  const { share } = SPREAD_LESSON;
  return Math.exp((1 - share) * Math.log(before) + share * Math.log(bounded));
}
