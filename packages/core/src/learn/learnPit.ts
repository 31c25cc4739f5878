/**
 * What a pit is like, from its finished cooks: leaks, heat lost, pace of fire, openings, its shelter from the wind and
 * what its thermometer is off by, all together; the most probable ones given their spreads, and how sure that is.
 */
import { domeRelation, type DomeRelation } from './domeRelation';
import { doubtOf, fitLikely, independent, type LikelyFit } from '../estimate/likelyFit';
import { pitWith, presetOf } from '../pit/catalogue';
import type { CookerParameters, KnownPit } from '../pit/parameters';
import { rms } from '../quantity/statistics';
import { PIT_SD } from '../sampling/likelyPits';
import {
  replayedPitC,
  usedReadings,
  type LoggedCook,
  type TriedPit,
  type UsedReading,
} from './loggedCook';

/** What is learned: each with the sd of its logarithm from pit to pit (common practice; the widest differ by a factor of three). */
export const LEARNED = {
  leakCm2: 0.45,
  wallLossFactor: 0.14,
  spreadFactor: 0.15,
  openings: 0.1,
  wind: 0.4,
} as const;
export type LearnedKey = keyof typeof LEARNED;
const KEYS = Object.keys(LEARNED) as LearnedKey[];
const BIAS = KEYS.length;
/** Unknowns of the pit itself; behind them each cook has one of its own, the pace of its fire. */
const OF_PIT = KEYS.length + 1;

/** No two fires are laid alike: the pace of one beside the pit's usual, one sd of its logarithm (from memory). */
const FIRE_PACE_SD = 0.12;

/** What a thermometer that nobody checked is off by, one sd, K (dials are off by 5 to 12). */
const UNCHECKED_SD_K = 6;

/** What the model leaves out of a pit's temperature, K: how far it stays off, and how that hangs together, min. */
const MISFIT = { sdK: 8, forgetsMin: 60 };
/** Beyond so many sd a residual counts less and less: a move that nobody logged must not bend the pit. */
const FAR_SD = 2;
/** A cook with fewer readings than this says nothing. */
const LEAST_READINGS = 4;
/** A figure counts as learned once its doubt is under this share of its usual spread. */
const TOLD_BELOW = 0.8;
/** A cook this far from the pit that the others tell of is left out, K (root mean square). */
const ODD_K = 30;

const MAX_ITERATIONS = 3;
/** The pit is a stiff thing to differentiate: a longer step, sd. */
const STEP = 0.15;

/** One figure as it was learned. */
export interface LearnedFigure {
  /** Times the usual. */
  times: number;
  /** Doubt: one sd of its logarithm. */
  sdLn: number;
  /** Whether the cooks tell it; one that they do not stays as usual. */
  told: boolean;
}

/** How well one cook goes with the pit. */
export interface CookFit {
  id: string;
  /** How far its readings are from the pit as usual and as learned, K (root mean square); null where it says nothing. */
  beforeK: number | null;
  afterK: number | null;
  /** Left out: too few readings, or a cook that does not go with the others. */
  leftOut: 'few-readings' | 'odd' | null;
}

/** A pit as its cooks tell it. */
export interface LearnedPit {
  figures: Record<LearnedKey, LearnedFigure>;
  /** What its thermometer reads too much, K, and one sd of that. */
  probeBiasK: number;
  probeBiasSdK: number;
  /** What the dial in its lid reads beside the grate; null where its cooks do not read both. */
  dome: DomeRelation | null;
  cooks: CookFit[];
  /** The fit itself, for those who draw from it. */
  fit: Pick<LikelyFit, 'z' | 'covarianceFactor'>;
  /** One sd of what its thermometer was taken to be off by, K. */
  probeSdK: number;
}

/** What the thermometer of a learned pit reads too much at a point of its fit, K. */
export const biasAt = ({ probeSdK }: Pick<LearnedPit, 'probeSdK'>, z: readonly number[]): number =>
  probeSdK * z[BIAS]!;

/** What is known of a pit before its cooks are looked at. */
export interface PitBefore {
  /** Its preset. */
  preset: string;
  /** Figures that its owner measured or set; what is learned starts from them. */
  overrides: Partial<CookerParameters>;
}

/** The figures that are learned of a pit, at some point of the fit. */
function valuesAt({ preset, overrides }: PitBefore, z: readonly number[]) {
  const usual = pitWith(presetOf(preset), overrides);
  const times = (key: LearnedKey): number => timesOf(key, z);
  return {
    leakCm2: usual.leakCm2 * times('leakCm2'),
    wallLossFactor: usual.wallLossFactor * times('wallLossFactor'),
    spreadFactor: usual.spreadFactor * times('spreadFactor'),
    intakeCm2: usual.intakeCm2 * times('openings'),
    exhaustCm2: usual.exhaustCm2 * times('openings'),
  };
}

const timesOf = (key: LearnedKey, z: readonly number[]): number =>
  Math.exp(LEARNED[key] * z[KEYS.indexOf(key)]!);

/** A pit at some point of the fit: what is learned laid over what its owner set. */
export const triedPit = (before: PitBefore, z: readonly number[]): TriedPit => ({
  overrides: { ...before.overrides, ...valuesAt(before, z) },
  windTimes: timesOf('wind', z),
});

/** Replays of one cook, each run once: what changes nothing in its pit is asked again for nothing. */
class Replays {
  private readonly known = new Map<string, number[]>();

  constructor(
    readonly cook: LoggedCook,
    readonly readings: UsedReading[],
    private readonly onReplay: () => void,
  ) {}

  /** How far its readings are from the tried pit under a fire of that pace, K. */
  offsK({ overrides, windTimes }: TriedPit, pace: number, biasK: number): number[] {
    const tried = {
      windTimes,
      overrides: { ...overrides, spreadFactor: overrides.spreadFactor! * pace },
    };
    const key = JSON.stringify(tried);
    let told = this.known.get(key);
    if (!told) {
      this.onReplay();
      told = replayedPitC(
        this.cook,
        tried,
        this.readings.map((r) => r.atMin),
      );
      this.known.set(key, told);
    }
    return this.readings.map((r, i) => r.pitC - biasK - told[i]!);
  }
}

/** Residuals made independent of one another and of one sd each; far ones count less and less. */
function whitened(offs: readonly number[], readings: readonly UsedReading[]): number[] {
  const keeps = (i: number): number =>
    Math.exp(-(readings[i]!.atMin - readings[i - 1]!.atMin) / MISFIT.forgetsMin);
  return independent(offs, MISFIT.sdK, keeps).map(
    (white) => Math.sign(white) * FAR_SD * Math.sqrt(Math.log1p((white / FAR_SD) ** 2)),
  );
}

/** How sure a pit's thermometer is, and who is told how far the work is. */
interface LearnOptions {
  /** What its thermometer may be off by, one sd, K; one that nobody checked when left out. */
  probeSdK?: number;
  /** Told the share done, 0 to 1, again and again. */
  onProgress?: (share: number) => void;
}

/** Replays of each cook that a fit takes, about: for the progress that is told. */
const ABOUT_REPLAYS = (MAX_ITERATIONS + 1) * (OF_PIT + 2);

/**
 * Learns a pit from its cooks. What they do not tell stays as usual, and says so. Replays each cook some thirty times; in a
 * worker where somebody waits.
 */
export function learnPit(
  before: PitBefore,
  cooks: readonly LoggedCook[],
  { probeSdK = UNCHECKED_SD_K, onProgress }: LearnOptions = {},
): LearnedPit {
  let replays = 0;
  const all = cooks.map(
    (cook) =>
      new Replays(cook, usedReadings(cook), () =>
        onProgress?.(Math.min(0.99, ++replays / (ABOUT_REPLAYS * cooks.length))),
      ),
  );
  const enough = all.filter((u) => u.readings.length >= LEAST_READINGS);
  /** How far the `n`th of the cooks that are fitted is from the pit at a point of the fit, K. */
  const offs = (used: Replays, z: readonly number[], n: number): number[] =>
    used.offsK(
      triedPit(before, z),
      Math.exp(FIRE_PACE_SD * (n < 0 ? 0 : (z[OF_PIT + n] ?? 0))),
      probeSdK * z[BIAS]!,
    );
  const fitTo = (list: readonly Replays[]): LikelyFit =>
    fitLikely(
      OF_PIT + list.length,
      (z) => list.flatMap((used, n) => whitened(offs(used, z, n), used.readings)),
      { maxIterations: MAX_ITERATIONS, step: STEP },
    );
  let kept = enough;
  let fit = fitTo(kept);
  const afterK = (used: Replays): number => rms(offs(used, fit.z, kept.indexOf(used)));
  const odd = enough.length > 2 ? enough.filter((u) => afterK(u) > ODD_K) : [];
  if (odd.length > 0 && odd.length < enough.length) {
    kept = enough.filter((u) => !odd.includes(u));
    fit = fitTo(kept);
  }
  const usual = Array<number>(OF_PIT).fill(0);
  return {
    figures: Object.fromEntries(
      KEYS.map((key, i) => [key, figureOf(key, fit.z[i]!, doubtOf(fit, i))]),
    ) as Record<LearnedKey, LearnedFigure>,
    probeBiasK: probeSdK * fit.z[BIAS]!,
    probeBiasSdK: probeSdK * doubtOf(fit, BIAS),
    dome: domeRelation(kept.map((used) => used.cook)),
    cooks: all.map((used): CookFit => {
      const few = !enough.includes(used);
      return {
        id: used.cook.id,
        beforeK: few ? null : rms(offs(used, usual, -1)),
        afterK: few ? null : afterK(used),
        leftOut: few ? 'few-readings' : kept.includes(used) ? null : 'odd',
      };
    }),
    probeSdK,
    fit: { z: fit.z, covarianceFactor: fit.covarianceFactor },
  };
}

function figureOf(key: LearnedKey, z: number, doubt: number): LearnedFigure {
  return {
    times: Math.exp(LEARNED[key] * z),
    sdLn: LEARNED[key] * doubt,
    told: doubt < TOLD_BELOW,
  };
}

/** What is kept of a pit that was learned: figures to lay over its own, how sure they are, and from which cooks. */
export interface KeptPit {
  /** The cooks that it was learned from, by their ids. */
  cooks: string[];
  /** Figures as they were learned. */
  values: Partial<CookerParameters>;
  /** Doubt about them: one sd of the logarithm. */
  known: KnownPit;
  /** What its thermometer at the grate reads too much, K, and one sd of that. */
  probeBiasK: number;
  probeBiasSdK: number;
  /** So many times the wind of the day reaches it; 1 when left out. */
  windTimes?: number;
  /** What the dial in its lid reads more than the grate, K; not known when left out. */
  domeOverGrateK?: number;
}

/** What is kept of it. Figures that the cooks do not tell stay near the usual by themselves, and as doubtful as pits are that nobody knows. */
export function keptPit(before: PitBefore, learned: LearnedPit): KeptPit {
  const { leakCm2, wallLossFactor, spreadFactor } = learned.figures;
  return {
    cooks: learned.cooks.filter((c) => c.leftOut === null).map((c) => c.id),
    values: valuesAt(before, learned.fit.z),
    known: {
      leakCm2: Math.min(PIT_SD.leakCm2, leakCm2.sdLn),
      wallLossFactor: Math.min(PIT_SD.wallLossFactor, wallLossFactor.sdLn),
      spreadFactor: Math.min(PIT_SD.spreadFactor, spreadFactor.sdLn),
    },
    probeBiasK: learned.probeBiasK,
    probeBiasSdK: learned.probeBiasSdK,
    windTimes: learned.figures.wind.times,
    ...(learned.dome ? { domeOverGrateK: learned.dome.overK } : {}),
  };
}
