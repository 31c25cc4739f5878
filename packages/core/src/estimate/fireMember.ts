/** One of the likely cooks behind the estimate of a fire: what of its pit can be learned, and how that wanders. */
import type { Weather } from '../air/weather';
import { createCook } from '../cook/cook';
import { copyCook } from '../cook/copyCook';
import type { Cook } from '../cook/state';
import { drawPieceVariation } from '../meat/variation';
import type { OpeningSpec } from '../pit/layout';
import { storedHeatJ } from '../pit/heatStores';
import type { Random } from '../quantity/random';
import { celsius, clamp } from '../quantity/units';
import type { Scenario } from '../scenario/scenario';

/**
 * What differs from pit to pit and from hour to hour, each as the logarithm of a factor: all leaks, the area of the
 * intake as it is set, heat lost through the walls, pace of the fire, wind at the pit, and (last) fuel laid.
 */
export const TRAITS = ['leak', 'intake', 'loss', 'pace', 'wind', 'fuel'] as const;
export type Trait = (typeof TRAITS)[number];
const FUEL = TRAITS.indexOf('fuel');

/** One standard deviation of each before anything was read (as for the likely pits of a plan), of its wandering in an hour. */
const TRAIT_SD: Readonly<Record<Trait, { first: number; hourly: number }>> = {
  leak: { first: 0.3, hourly: 0.08 },
  intake: { first: 0.12, hourly: 0.08 },
  loss: { first: 0.12, hourly: 0.04 },
  pace: { first: 0.12, hourly: 0.05 },
  wind: { first: 0.4, hourly: 0.35 },
  fuel: { first: 0.1, hourly: 0 },
};
/** How fast the wind forgets what it was, 1/h: gusts come and go, a pit stays what it is. */
const WIND_FORGETS_PER_H = 0.5;
/** What a thermometer is off by, one standard deviation, K. */
const BIAS_SD_K = 1.5;
/**
 * And in so many hours that is another error, as large: without it small errors of the model, all to one side, would make
 * a thermometer wrong by far more than any is.
 */
const BIAS_FORGETS_H = 4;
/** Heat that the model leaves out lets the whole pit wander by so much in an hour, K. */
const WANDER_K_PER_SQRT_H = 2;
/** And its unlit charcoal, as a share. */
const WANDER_FUEL_PER_SQRT_H = 0.05;
/** A trait stays within these many e-folds of its preset. */
const MOST_E_FOLDS = 1.6;

export interface FireMember {
  /** Its cook; its weather and openings are moved by its traits. */
  cook: Cook;
  /** Logarithm of each factor, in the order of `TRAITS`. */
  traits: Float64Array;
  /** What each thermometer reads too much, K: at the grate and in the lid. */
  biasK: Float64Array;
  /** Charcoal that readings and wandering have put into it so far, kg dry and ash-free. */
  foundKg: number;
  /** What its traits move: the pit and the day as their owner thinks of them. */
  basis: Basis;
}

interface Basis {
  wallLossFactor: number;
  spreadFactor: number;
  openings: readonly OpeningSpec[];
  weather: Weather[];
}

const basisOf = ({ pit }: Cook, { weather }: Scenario): Basis => ({
  wallLossFactor: pit!.parameters.wallLossFactor,
  spreadFactor: pit!.parameters.spreadFactor,
  openings: pit!.layout.openings,
  weather: Array.isArray(weather) ? weather : [weather],
});

/** The scenario as the estimate runs it: nothing done by itself, no rows. */
const bare = (scenario: Scenario): Scenario => ({
  ...scenario,
  actions: [],
  control:
    scenario.control.mode === 'tended' ? { ...scenario.control, mode: 'vents' } : scenario.control,
  meats: scenario.meats.map((m) => ({ ...m, wrap: undefined })),
  everyMin: 1e9,
});

/** Draws a member; the first of an ensemble (`random` null) is the pit as its owner thinks of it. */
export function createMember(scenario: Scenario, random: Random | null): FireMember {
  const traits = Float64Array.from(TRAITS, (t) =>
    random ? TRAIT_SD[t].first * random.normal() : 0,
  );
  const fuel = Math.exp(traits[FUEL]!);
  const cook = createCook(bare(scenario), {
    variations: random ? scenario.meats.map(() => drawPieceVariation(random)) : undefined,
  });
  cook.pit!.unlit.kg *= fuel;
  const member: FireMember = {
    cook,
    basis: basisOf(cook, scenario),
    traits,
    foundKg: 0,
    biasK: Float64Array.from([0, 0], () => (random ? BIAS_SD_K * random.normal() : 0)),
  };
  applyTraits(member);
  return member;
}

/** The same member, to be run on by itself. */
export const copyMember = (m: FireMember): FireMember => ({
  ...m,
  cook: copyCook(m.cook),
  traits: m.traits.slice(),
  biasK: m.biasK.slice(),
});

/** The areas that a trait moves. */
const traitOf: Partial<Record<OpeningSpec['kind'], Trait>> = { leak: 'leak', intake: 'intake' };

/** Puts a member's traits into its pit and its weather. */
export function applyTraits({ cook, traits, basis }: FireMember): void {
  const pit = cook.pit!;
  const factor = (t: Trait): number => Math.exp(traits[TRAITS.indexOf(t)]!);
  pit.parameters.wallLossFactor = basis.wallLossFactor * factor('loss');
  pit.parameters.spreadFactor = basis.spreadFactor * factor('pace');
  const openings = basis.openings.map((o) => {
    const trait = traitOf[o.kind];
    return trait ? { ...o, areaM2: o.areaM2 * factor(trait) } : o;
  });
  pit.layout = { ...pit.layout, openings };
  const weather = basis.weather.map((w) => ({ ...w, windMps: w.windMps * factor('wind') }));
  cook.scenario = { ...cook.scenario, weather };
}

/**
 * Lets traits and pit wander for `dtMin` minutes, as what is not modelled makes them; `unrest` is how many times
 * more than usual, variance.
 */
export function wander(member: FireMember, dtMin: number, random: Random, unrest = 1): void {
  const hours = dtMin / 60;
  const root = Math.sqrt(hours * unrest);
  TRAITS.forEach((t, i) => {
    const { hourly } = TRAIT_SD[t];
    if (t === 'wind') member.traits[i]! *= Math.exp(-WIND_FORGETS_PER_H * hours);
    member.traits[i]! += hourly * root * random.normal();
  });
  const keeps = Math.exp(-hours / BIAS_FORGETS_H);
  const biasSd = BIAS_SD_K * Math.sqrt(1 - keeps ** 2);
  member.biasK.forEach((k, i) => {
    member.biasK[i] = keeps * k + biasSd * random.normal();
  });
  const pit = member.cook.pit!;
  const before = pit.unlit.kg;
  pit.unlit.kg *= Math.exp(WANDER_FUEL_PER_SQRT_H * root * random.normal());
  member.foundKg += pit.unlit.kg - before;
  const k = WANDER_K_PER_SQRT_H * root * random.normal();
  for (let i = 0; i < pit.nodes; i++) if (i !== pit.coals) pit.tempK[i]! += k;
}

/** Least fuel that a logarithm is taken of, kg. */
const LEAST_KG = 1e-4;

/** What of a member a reading may move, as one row of numbers. */
export function memberState({ cook, traits, biasK }: FireMember): Float64Array {
  const pit = cook.pit!;
  return Float64Array.from([
    ...pit.tempK,
    pit.probeK,
    pit.dialK,
    pit.layerExcessK,
    Math.log(pit.lit.kg + LEAST_KG),
    Math.log(pit.unlit.kg + LEAST_KG),
    cook.fan?.integral ?? 0,
    ...traits.subarray(0, FUEL),
    ...biasK,
  ]);
}

/** Temperatures of a pit are kept between these, K. */
const PIT_K = { least: 250, most: 1600 };

/** Puts a row back into its member. What is not possible in a pit is cut off. */
export function setMemberState(member: FireMember, state: Float64Array): void {
  const { cook, traits, biasK } = member;
  const pit = cook.pit!;
  const before = storedHeatJ(pit);
  let at = 0;
  const next = (): number => state[at++]!;
  const kelvins = (): number => clamp(next(), PIT_K.least, PIT_K.most);
  for (let i = 0; i < pit.nodes; i++) pit.tempK[i] = kelvins();
  pit.probeK = kelvins();
  pit.dialK = kelvins();
  pit.layerExcessK = clamp(next(), 0, 600);
  const charcoalKg = pit.lit.kg + pit.unlit.kg;
  pit.lit.kg = Math.max(Math.exp(next()) - LEAST_KG, 0);
  pit.unlit.kg = Math.max(Math.exp(next()) - LEAST_KG, 0);
  member.foundKg += pit.lit.kg + pit.unlit.kg - charcoalKg;
  const integral = clamp(next(), 0, 1);
  if (cook.fan) cook.fan.integral = integral;
  for (let i = 0; i < FUEL; i++) traits[i] = clamp(next(), -MOST_E_FOLDS, MOST_E_FOLDS);
  for (let i = 0; i < biasK.length; i++) biasK[i] = next();
  // Heat that a reading gave or took is none that the fire made.
  pit.ledger.storedStartJ += storedHeatJ(pit) - before;
  pit.previousStep.dtS = 0;
  applyTraits(member);
}

/** With more than this share of all charcoal left, what was laid tells more than how the fire burns. */
const PLENTY_FRACTION = 0.4;

/**
 * Charcoal left in a member, kg dry and ash-free: what was given less what was burnt, as long as there is plenty.
 * Readings tell of fuel only as it runs low: then it is what the member must have to burn as it does.
 */
export function memberFuelKg({ cook, foundKg }: FireMember): number {
  const { lit, unlit, ledger } = cook.pit!;
  const burning = lit.kg + unlit.kg;
  const balance = Math.max(burning - foundKg, 0);
  const plenty = Math.min(burning / (PLENTY_FRACTION * ledger.givenKg), 1) ** 2;
  return plenty * balance + (1 - plenty) * burning;
}

/** Where a pit is read: at the grate, or at the dial in the lid. */
export const SPOTS = ['grate', 'dome'] as const;

export type PitSpot = (typeof SPOTS)[number];

/** What a member's thermometer at a spot would read now, C. */
export const wouldRead = ({ cook, biasK }: FireMember, spot: PitSpot): number =>
  celsius(spot === 'dome' ? cook.pit!.dialK : cook.pit!.probeK) + biasK[SPOTS.indexOf(spot)]!;
