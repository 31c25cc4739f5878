/** Many possible cooks instead of one: what the windows and fans are made of. */
import { simulate } from '../cook/cook';
import { withProbeError, type Operator } from '../control/operator';
import type { Result } from '../scenario/result';
import type { Scenario } from '../scenario/scenario';
import { drawPieceVariation } from '../meat/variation';
import { ANOTHER_KIND_SD } from '../pit/anotherKind';
import type { CookerParameters, KnownPit } from '../pit/parameters';
import { seeded, type Random } from '../quantity/random';
import { ascending, quantile } from '../quantity/statistics';

/** Relative spreads of a pit, of its day (air in K), and of a thermometer: what it is off and trembles by, K. */
export interface PitVariationSd {
  /** Of its leaks, relative. */
  leakCm2: number;
  /** Of the heat lost through its walls, relative. */
  wallLossFactor: number;
  /** Of how fast fire walks, relative. */
  spreadFactor: number;
  /** Of the wind, relative. */
  windMps: number;
  /** Of the air, K. */
  airK: number;
  /** Of what a thermometer is off by, K. */
  probeBiasK: number;
  /** Of how its readings scatter, K. */
  probeNoiseK: number;
}

/** How a pit differs from what its owner thinks of it, before anybody has touched a vent (common practice). */
export const PIT_SD: PitVariationSd = {
  leakCm2: 0.3,
  wallLossFactor: 0.1,
  spreadFactor: 0.12,
  windMps: 0.4,
  airK: 2,
  probeBiasK: 1.2,
  probeNoiseK: 0.7,
};

/** How a pit still differs from what is known of it; never more than one of another kind does. */
export const sdOfKnown = (known: KnownPit | undefined): PitVariationSd =>
  known
    ? {
        ...PIT_SD,
        leakCm2: Math.min(ANOTHER_KIND_SD.leakCm2, known.leakCm2),
        wallLossFactor: Math.min(ANOTHER_KIND_SD.wallLossFactor, known.wallLossFactor),
        spreadFactor: Math.min(ANOTHER_KIND_SD.spreadFactor, known.spreadFactor),
      }
    : PIT_SD;

/** What is left of that once the vents have been trimmed, for pits that nobody tends in the computing. */
const TRIMMED_PIT_SD: PitVariationSd = {
  leakCm2: 0.2,
  wallLossFactor: 0.08,
  spreadFactor: 0.06,
  windMps: 0.3,
  airK: 1.5,
  probeBiasK: 0,
  probeNoiseK: 0,
};

/** A scenario in another pit, on another day, and a way to look at it through another thermometer. */
interface LikelyPit {
  /** The scenario that is simulated. */
  scenario: Scenario;
  /** What its thermometer is off by, K. */
  probeBiasK: number;
  /** The same operator, reading its thermometer. */
  withItsProbe: (operator: Operator) => Operator;
}

/** The operator with a likely thermometer: off by `biasK`, and trembling. */
export const withLikelyProbe = (
  operator: Operator,
  biasK: number,
  random: Random,
  sd: PitVariationSd = PIT_SD,
): Operator => withProbeError(operator, biasK, () => sd.probeNoiseK * random.normal());

/** The scenario with another pit and another day. */
export function drawLikelyPit(
  scenario: Scenario,
  parameters: CookerParameters,
  random: Random,
  sd: PitVariationSd = PIT_SD,
): LikelyPit {
  const overrides: Partial<CookerParameters> = { ...scenario.cooker.overrides };
  for (const key of ['leakCm2', 'wallLossFactor', 'spreadFactor'] as const) {
    overrides[key] = parameters[key] * random.logNormal(sd[key]);
  }
  const air = sd.airK * random.normal();
  const wind = random.logNormal(sd.windMps);
  const weather = (Array.isArray(scenario.weather) ? scenario.weather : [scenario.weather]).map(
    (w) => ({ ...w, airC: w.airC + air, windMps: w.windMps * wind }),
  );
  const probeBiasK = sd.probeBiasK > 0 ? sd.probeBiasK * random.normal() : 0;
  const { control } = scenario;
  return {
    scenario: {
      ...scenario,
      cooker: { ...scenario.cooker, overrides },
      weather,
      // A fan holds what its own probe tells it.
      control:
        control.mode === 'fan' ? { ...control, targetC: control.targetC - probeBiasK } : control,
    },
    probeBiasK,
    withItsProbe: (operator) => withLikelyProbe(operator, probeBiasK, random, sd),
  };
}

/** One member of a forecast: a trimmed pit and other pieces. */
export const drawLikelyCook = (
  scenario: Scenario,
  parameters: CookerParameters,
  random: Random,
) => ({
  scenario: drawLikelyPit(scenario, parameters, random, TRIMMED_PIT_SD).scenario,
  spreads: scenario.meats.map(() => drawPieceVariation(random)),
});

/** One of several workers that share an ensemble: it runs every `shares`th member from `share` on. */
interface EnsembleShare {
  /** Which of the shares, from 0. */
  share: number;
  /** How many there are. */
  shares: number;
}

/**
 * Runs `count` members one after another, yielding the share done after each. The first is the reference cook. All
 * members are drawn alike whatever share of them is run, so that shares together are the whole ensemble.
 */
export function* runEnsemble(
  scenario: Scenario,
  parameters: CookerParameters,
  count: number,
  seed: number,
  { share, shares }: EnsembleShare = { share: 0, shares: 1 },
): Generator<number, Result[]> {
  const random = seeded(seed);
  const results: Result[] = [];
  for (let i = 0; i < count; i++) {
    const member =
      i === 0 ? { scenario, spreads: [] } : drawLikelyCook(scenario, parameters, random);
    if (i % shares !== share) continue;
    results.push(simulate(member.scenario, { variations: member.spreads }));
    yield (i + 1) / count;
  }
  return results;
}

/** Low, middle and high series over members, entry by entry; null where fewer than half have a value. */
export function percentileBands(series: readonly (readonly (number | null)[])[]) {
  const length = Math.max(0, ...series.map((s) => s.length));
  const low: (number | null)[] = [];
  const mid: (number | null)[] = [];
  const high: (number | null)[] = [];
  for (let i = 0; i < length; i++) {
    const at = ascending(series.map((s) => s[i] ?? NaN));
    const enough = at.length * 2 > series.length;
    low.push(enough ? Number(quantile(at, 0.1).toFixed(1)) : null);
    mid.push(enough ? Number(quantile(at, 0.5).toFixed(1)) : null);
    high.push(enough ? Number(quantile(at, 0.9).toFixed(1)) : null);
  }
  return { low, mid, high };
}
