/** How a good cook holds a fire by habit, without having worked anything out (common practice). */
import type { Preset } from '../pit/preset';
import { hasSmallFirebox } from '../pit/usualFire';
import { clamp } from '../quantity/units';
import type { ArrangementId, FireSpec } from '../fire/fireSpec';
import type { ControlPolicy, SplitFeedPolicy } from './controlPolicy';

/** How splits are fed at 135 C (common practice). */
const SPLIT_FEEDS = {
  heavy: { kg: 1.25, leastMin: 35, mostMin: 80, lightestKg: 0.7, heaviestKg: 1.7, bedKg: 0.5 },
  light: { kg: 0.45, leastMin: 20, mostMin: 45, lightestKg: 0.25, heaviestKg: 0.7, bedKg: 0.25 },
} as const;

/** Charcoal that lasts less than 40 minutes is topped up by an hour's worth (common practice). */
export const USUAL_TOP_UP = { belowMin: 40, forMin: 60 };
const ALONG_WALL = { belowMin: 80, forMin: 60 };
/**
 * Arrangements that need their charcoal sooner: fire spreads slowly in a wide ring, and a basket burns down
 * faster than fresh charcoal catches in it.
 */
const TOP_UP_BY_ARRANGEMENT: Partial<Record<ArrangementId, typeof USUAL_TOP_UP>> = {
  ring: { belowMin: 150, forMin: 120 },
  'side-basket': ALONG_WALL,
  crescent: ALONG_WALL,
  horseshoe: ALONG_WALL,
};
/** The finest steps that a person can set, share of the travel. */
const FINEST_STEP = { small: 0.005, wide: 0.02 };

/** Whether a fire is usually kept on splits. */
const usuallyOnSplits = (preset: Preset, fire: FireSpec): boolean =>
  preset.traits.sideFirebox && fire.arrangement === 'coal-bed';

/** The habit for that cooker, fire and target, C. `onSplits` says whether the fire is kept on splits. */
export function habitPolicy(
  preset: Preset,
  fire: FireSpec,
  targetC: number,
  onSplits = usuallyOnSplits(preset, fire),
): ControlPolicy {
  const { intake, exhaust } = preset.bringUp;
  const common = {
    up: { intake, exhaust },
    finest: FINEST_STEP,
    untilMin: null,
    chunks: null,
    gain: 1,
  };
  if (onSplits) {
    return {
      ...common,
      closeBelowK: 8,
      hold: { intake: 1, exhaust: 1 },
      exhaustPerIntake: null,
      kelvinPerEFold: 40,
      waitMin: 5,
      deadbandK: 4,
      feed: splitHabit(preset, targetC),
      topUp: null,
    };
  }
  const { holding } = preset;
  const hold = clamp(
    holding.intake * Math.exp((targetC - holding.atC) / holding.kelvinPerEFold),
    0.02,
    1,
  );
  const along = holding.exhaustPerIntake;
  return {
    ...common,
    closeBelowK: holding.closeBelowK,
    hold: { intake: hold, exhaust: along ? clamp(along * hold, 0.05, 1) : holding.exhaust },
    exhaustPerIntake: along ?? null,
    kelvinPerEFold: holding.kelvinPerEFold,
    waitMin: holding.waitMin,
    deadbandK: 3,
    feed: null,
    topUp: preset.traits.canTopUp
      ? (TOP_UP_BY_ARRANGEMENT[fire.arrangement] ?? USUAL_TOP_UP)
      : null,
  };
}

/** Splits by habit: heavier ones for a hotter target. */
function splitHabit(preset: Preset, targetC: number): SplitFeedPolicy {
  const feed = SPLIT_FEEDS[hasSmallFirebox(preset) ? 'light' : 'heavy'];
  return {
    ...feed,
    kg: clamp(feed.kg * ((targetC - 15) / 120), feed.lightestKg, feed.heaviestKg),
    firstMin: 20,
    lumpKg: 0,
    skipOverK: 10,
    learnPerK: 1 / 120,
    nowPerK: 1 / 60,
    learnFromMin: 90,
    dampOverK: 8,
  };
}
