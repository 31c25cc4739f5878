/** Works out how a fire on splits is fed: how often, and how heavy the splits are. */
import type { ControlPolicy } from '../../control/controlPolicy';
import type { Preset } from '../../pit/preset';
import { hasSmallFirebox } from '../../pit/usualFire';
import { mean } from '../../quantity/statistics';
import { isSplits } from '../../scenario/actions';
import type { Weather } from '../../air/weather';
import type { PitSetup } from './designFire';
import { initialPolicy } from './initialPolicy';
import { plannedScenario, simulatePolicy, type MeatSchedule } from './policyTrial';
import { bestCandidate, scoreInTrialPits, scoreSetup, SELECTION, TRIAL_MIN } from './trialPits';
import type { HeldSetup } from './tunedPolicy';

/**
 * Intervals that are tried, min between two splits: the usual one first (common practice 40-45 on a heavy pit, 30 on a light
 * one), then those that hold a narrower band for more visits.
 */
const SPLIT_INTERVALS_MIN = { heavy: [45, 30, 20], light: [30, 20, 15] } as const;
/** An interval will do that keeps the trial pits in the band that is asked for but for this share of the time. */
const WILL_DO = 0.25;
/** Wood burnt an hour for each K over the air, kg (what the model's offsets take; the trials correct it). */
const SPLIT_KG_PER_HK = { heavy: 0.0113, light: 0.0078 };
/** Share of a split's mass that goes on as lump beside it: small beds go out on wood alone. */
const LUMP_FRACTION = { heavy: 0, light: 0.4 } as const;
/** What a kilogram of lump counts for in kilograms of wood. */
const WOOD_PER_LUMP = 1.6;

/** Intervals between splits that are tried where nobody chose one, min. */
export const splitIntervals = (preset: Preset): readonly number[] =>
  SPLIT_INTERVALS_MIN[hasSmallFirebox(preset) ? 'light' : 'heavy'];

/** Tunes a setup kept on splits. The mass is learnt in the owner's own pit, then tried on others. Yields the share done. */
export function* tuneSplits(
  setup: PitSetup,
  weather: Weather,
  schedule: MeatSchedule,
): Generator<number, HeldSetup> {
  const size = hasSmallFirebox(setup.preset) ? 'light' : 'heavy';
  const scenario = plannedScenario(setup, weather, schedule, TRIAL_MIN);
  const first = initialPolicy(setup);
  const overAirK = setup.pit.pace.pitC - weather.airC;
  const lumpFraction = LUMP_FRACTION[size];
  const { everyMin: chosen } = setup.pit.fire;
  const intervals = chosen ? [chosen] : splitIntervals(setup.preset);
  const made: HeldSetup[] = [];
  for (const [i, everyMin] of intervals.entries()) {
    const kg =
      (SPLIT_KG_PER_HK[size] * overAirK * everyMin) / 60 / (1 + WOOD_PER_LUMP * lumpFraction);
    const guess = splitPolicy(first, kg, everyMin, lumpFraction);
    const learnt = simulatePolicy(setup, scenario, guess);
    const lastKg = learnt.happened.flatMap((a) => (isSplits(a) ? [a.massKg!] : [])).slice(-4);
    const policy = splitPolicy(
      first,
      lastKg.length > 0 ? mean(lastKg) : kg,
      everyMin,
      lumpFraction,
    );
    const score = scoreInTrialPits(setup, scenario, policy);
    const held = { setup, policy, score, settlesC: scoreSetup(setup, learnt).meanC };
    if (score.outFraction <= WILL_DO) return held;
    made.push(held);
    yield (i + 1) / intervals.length;
  }
  return bestCandidate(made, setup.pit.pace.bandC, SELECTION.splits);
}

/** A split of that mass at a fixed interval, its mass corrected from round to round. */
function splitPolicy(
  first: ControlPolicy,
  kg: number,
  everyMin: number,
  lumpFraction: number,
): ControlPolicy {
  const feed = first.feed!;
  return {
    ...first,
    feed: {
      ...feed,
      kg,
      lightestKg: 0.4 * kg,
      heaviestKg: 1.8 * kg,
      leastMin: everyMin,
      mostMin: everyMin,
      firstMin: 20,
      bedKg: 0.5 * feed.bedKg,
      lumpKg: lumpFraction * kg,
      skipOverK: 14,
      learnPerK: 0.006,
      nowPerK: 0.006,
      learnFromMin: 90,
      // The exhaust is left alone: damping it gains half a degree for one more visit in every round.
      dampOverK: null,
    },
  };
}
