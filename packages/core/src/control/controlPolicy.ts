/** What a fire is held by: the card that a tender goes by. A plan works one out; habit has one a family. */
import { BRING_UP, hasSmallFirebox } from '../pit/usualFire';
import type { Preset } from '../pit/types';
import { clamp } from '../quantity/units';
import type { ArrangementId, FireSpec } from '../scenario/fireSpec';
import type { WoodId } from '../fuel/catalogue';

export interface VentOpenings {
  intake: number;
  exhaust: number;
}

/** How splits are fed. */
export interface SplitFeedPolicy {
  /** Mass of a usual split for the target, and what may be picked instead, kg. */
  kg: number;
  lightestKg: number;
  heaviestKg: number;
  /** Least and most minutes between two. */
  leastMin: number;
  mostMin: number;
  /** Glowing coals that carry a split, kg as bought: with less, a little charcoal goes on too. */
  bedKg: number;
  /** Lump that goes on with every split, kg: small fireboxes do not keep a bed on wood alone. */
  lumpKg: number;
  /** The first one goes on from this minute. */
  firstMin: number;
  /** No split goes on while the pit stands this far over the target, K. */
  skipOverK: number;
  /** How much heavier the usual split gets for each K that the last round was short, and this one only. */
  learnPerK: number;
  nowPerK: number;
  learnFromMin: number;
  /** Damped to half of the stack when this far over, K. */
  dampOverK: number;
}

export interface ControlPolicy {
  /** Vents while the pit comes up, and how far under the target they are closed down, K. */
  up: VentOpenings;
  closeBelowK: number;
  hold: VentOpenings;
  /** The exhaust goes with the intake, so many times its share; null: it stays as it is. */
  exhaustPerIntake: number | null;
  /** What an e-fold of the intake's opening is worth, K. */
  kelvinPerEFold: number;
  /** Least minutes between two moves of a vent, and what is left alone, K. */
  waitMin: number;
  deadbandK: number;
  /** Finest setting of a hand, share of the travel: of a small opening, and of a wide one. */
  finest: { small: number; wide: number };
  feed: SplitFeedPolicy | null;
  /** Charcoal that lasts less than `belowMin` is topped up for `forMin`; null: never under a deflector. */
  topUp: { belowMin: number; forMin: number } | null;
  /** Nothing is needed after this minute. */
  untilMin: number;
  /** Chunks that go on with every top-up. */
  chunks: { species: WoodId; massG: number; count: number } | null;
  /** How much of the missing heat one move of a vent makes up for, 0 to 1. */
  gain: number;
}

interface HoldingHabit {
  intake: number;
  atC: number;
  kelvinPerEFold: number;
  exhaust: number;
  perIntake?: number;
  closeBelowK: number;
  waitMin: number;
}

/** What a family's vents are first set to for a target: intake at `atC` (common practice). */
const HOLDING_HABITS: Readonly<Record<Exclude<Preset['family'], 'offset'>, HoldingHabit>> = {
  kettle: {
    intake: 0.22,
    atC: 125,
    kelvinPerEFold: 40,
    exhaust: 0.5,
    closeBelowK: 12,
    waitMin: 15,
  },
  bullet: { intake: 0.22, atC: 115, kelvinPerEFold: 40, exhaust: 1, closeBelowK: 12, waitMin: 15 },
  kamado: {
    intake: 0.075,
    atC: 115,
    kelvinPerEFold: 75,
    exhaust: 0.18,
    perIntake: 2.4,
    closeBelowK: 8,
    waitMin: 25,
  },
  hopper: { intake: 0.17, atC: 121, kelvinPerEFold: 55, exhaust: 1, closeBelowK: 15, waitMin: 15 },
};

/** How splits are fed (common practice): mass at 135 C. */
const SPLIT_FEEDS = {
  heavy: { kg: 1.25, leastMin: 40, mostMin: 65, lightestKg: 1, heaviestKg: 1.5, bedKg: 0.5 },
  light: { kg: 0.45, leastMin: 25, mostMin: 40, lightestKg: 0.35, heaviestKg: 0.7, bedKg: 0.25 },
} as const;

/** Charcoal for less than so many minutes is topped up by an hour's worth. */
const USUAL_TOP_UP = { belowMin: 40, forMin: 60 };
/**
 * Where it wants its charcoal sooner: a wide ring hands its fire on slowly, and a basket burns down faster than
 * fresh charcoal catches in it.
 */
const TOP_UP_BY_ARRANGEMENT: Partial<Record<ArrangementId, typeof USUAL_TOP_UP>> = {
  ring: { belowMin: 150, forMin: 120 },
  'side-basket': { belowMin: 80, forMin: 60 },
};
/** A minute or a temperature that never comes; a number, so that a guide can be written down. */
export const NEVER = 9999;
/** A hand sets no finer than this. */
const FINEST_STEP = { small: 0.005, wide: 0.02 };

/** Whether a fire is usually kept on splits. */
const usuallyOnSplits = (preset: Preset, fire: FireSpec): boolean =>
  preset.family === 'offset' && fire.arrangement === 'coal-bed';

/** What a good cook does with such a pit and fire without having worked anything out. */
export function habitPolicy(
  preset: Preset,
  fire: FireSpec,
  targetC: number,
  splits = usuallyOnSplits(preset, fire),
): ControlPolicy {
  const h = HOLDING_HABITS[preset.family === 'offset' ? 'kettle' : preset.family];
  const { intake, exhaust } = BRING_UP[preset.family];
  const common = {
    up: { intake, exhaust },
    finest: FINEST_STEP,
    untilMin: NEVER,
    chunks: null,
    gain: 1,
  };
  if (splits) {
    const s = SPLIT_FEEDS[hasSmallFirebox(preset) ? 'light' : 'heavy'];
    return {
      ...common,
      closeBelowK: 8,
      hold: { intake: 1, exhaust: 1 },
      exhaustPerIntake: null,
      kelvinPerEFold: 40,
      waitMin: 5,
      deadbandK: 4,
      feed: {
        ...s,
        kg: clamp(s.kg * ((targetC - 15) / 120), s.lightestKg, s.heaviestKg),
        firstMin: 20,
        lumpKg: 0,
        skipOverK: 10,
        learnPerK: 1 / 120,
        nowPerK: 1 / 60,
        learnFromMin: 150,
        dampOverK: 14,
      },
      topUp: null,
    };
  }
  const hold = clamp(h.intake * Math.exp((targetC - h.atC) / h.kelvinPerEFold), 0.02, 1);
  return {
    ...common,
    closeBelowK: h.closeBelowK,
    hold: { intake: hold, exhaust: h.perIntake ? clamp(h.perIntake * hold, 0.05, 1) : h.exhaust },
    exhaustPerIntake: h.perIntake ?? null,
    kelvinPerEFold: h.kelvinPerEFold,
    waitMin: h.waitMin,
    deadbandK: 3,
    feed: null,
    topUp:
      preset.family === 'kamado' ? null : (TOP_UP_BY_ARRANGEMENT[fire.arrangement] ?? USUAL_TOP_UP),
  };
}

/** A guide with another holding setting of the intake. */
export function withHoldingIntake(policy: ControlPolicy, intake: number): ControlPolicy {
  const exhaust =
    policy.exhaustPerIntake === null
      ? policy.hold.exhaust
      : clamp(policy.exhaustPerIntake * intake, 0.05, 1);
  return { ...policy, hold: { intake, exhaust } };
}
