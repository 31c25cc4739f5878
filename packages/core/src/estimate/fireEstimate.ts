/**
 * What a fire is like, from its log and its readings: likely cooks that run along with it and are moved by every
 * reading. The same record gives the same numbers, however often it is gone through.
 */
import { advance } from '../cook/cook';
import { surroundings } from '../cook/grateAir';
import type { Surroundings } from '../meat/surface';
import { CHARCOALS, dafFraction } from '../fuel/catalogue';
import { remainingWoodKg, type PitState } from '../pit/state';
import { seeded } from '../quantity/random';
import { ascending, mean, p10p50p90, quantile } from '../quantity/statistics';
import { celsius } from '../quantity/units';
import type { Action } from '../scenario/actions';
import type { Scenario } from '../scenario/scenario';
import { assimilate, GATE_SD, learnedUnrest, surprise } from './ensembleFilter';
import {
  copyMember,
  createMember,
  memberFuelKg,
  memberState,
  setMemberState,
  SPOTS,
  TRAITS,
  wander,
  wouldRead,
  type PitSpot,
  type FireMember,
  type Trait,
} from './fireMember';

/** One reading of the pit. */
export interface PitSighting {
  /** Minutes after lighting. */
  atMin: number;
  /** What it reads, C. */
  c: number;
  /** Where it hangs; at the grate when left out. */
  spot?: PitSpot;
}

/** Readings are taken up each so many minutes, as the mean of what came in between. */
export const SLOT_MIN = 5;
/** Likely cooks that run along. */
export const FIRE_MEMBERS = 24;
/** Error of one reading, and what does not get smaller by reading more often, K. */
const READING_SD_K = { one: 1.2, least: 0.6 };
/** A dial in the lid is read by eye, K. */
const DIAL_SD_K = 2.5;
/** Two readings in a row that are this far off to the same side confirm each other, standard deviations. */
const CONFIRMS_SD = 2;

/** Likely cooks that run along with a fire, and what was made of them so far. */
export interface FireEstimator {
  /** The pit as its owner thinks of it. */
  scenario: Scenario;
  /** Seed of all its chance. */
  seed: number;
  /** The likely cooks; the first is not drawn. */
  members: FireMember[];
  /** Up to where they have run, min after lighting. */
  atMin: number;
  /** Air at each piece, minute by minute, mean of the members. */
  air: Surroundings[][];
  /** What a true probe at the grate would read, minute by minute, C: mean of the members. */
  pitC: number[];
  /** How far the readings of each slot lay from what was expected. */
  surprises: Surprise[];
  /** How many times more than usual its members wander, variance: what was read of late asks for it. */
  unrest: number;
}

/** How far readings lay from what was expected. */
export interface Surprise {
  /** End of its slot, min after lighting. */
  atMin: number;
  /** Which thermometer. */
  spot: PitSpot;
  /** Standard deviations of what was expected and of the reading together. */
  sd: number;
  /** The same in K: read less expected. */
  offK: number;
}

/** An estimate that has read nothing yet. Throws RangeError for a scenario without a fire. */
export function createFireEstimator(
  scenario: Scenario,
  { seed = 1, members = FIRE_MEMBERS } = {},
): FireEstimator {
  if (!scenario.fire) throw new RangeError('scenario.fire: an estimate needs a fire');
  const random = seeded(seed);
  return {
    scenario,
    seed,
    members: Array.from({ length: members }, (_, i) =>
      createMember(scenario, i === 0 ? null : random),
    ),
    atMin: 0,
    air: scenario.meats.map(() => []),
    pitC: [],
    surprises: [],
    unrest: 1,
  };
}

/** The same estimate, to be run on by itself. */
export const copyFireEstimator = (e: FireEstimator): FireEstimator => ({
  ...e,
  members: e.members.map(copyMember),
  air: e.air.map((a) => [...a]),
  pitC: [...e.pitC],
  surprises: [...e.surprises],
});

/**
 * Runs on to `untilMin` through what was done and read on the way. What lies before where it stands is left out:
 * whoever learns of that late starts anew. To come to the same numbers again, call it with whole slots.
 */
export function follow(
  estimator: FireEstimator,
  untilMin: number,
  done: readonly Action[],
  readings: readonly PitSighting[],
): void {
  const { members } = estimator;
  while (estimator.atMin < untilMin) {
    const from = estimator.atMin;
    const slot = Math.floor(from / SLOT_MIN);
    const to = Math.min(SLOT_MIN * (slot + 1), untilMin);
    const during = ({ atMin }: { atMin: number }): boolean =>
      (atMin > from || from === 0) && atMin <= to;
    giveActions(members, done.filter(during));
    for (let min = from; min < to; min = Math.min(Math.floor(min) + 1, to)) {
      recordMinute(estimator, min);
      for (const { cook } of members) advance(cook, Math.min(Math.floor(min) + 1, to));
    }
    estimator.atMin = to;
    const random = seeded(estimator.seed + 7919 * (slot + 1));
    for (const m of members) wander(m, to - from, random, estimator.unrest);
    takeUp(estimator, readings.filter(during));
  }
}

/** Gives every member what is done next. */
function giveActions(members: readonly FireMember[], actions: readonly Action[]): void {
  if (actions.length === 0) return;
  for (const { cook } of members) {
    cook.pending = [...cook.pending, ...actions].sort((a, b) => a.atMin - b.atMin);
  }
}

/** Keeps the air of a whole minute. */
function recordMinute({ members, air, pitC, scenario }: FireEstimator, min: number): void {
  if (!Number.isInteger(min) || pitC.length > min) return;
  pitC.push(mean(members.map(({ cook }) => celsius(cook.pit!.probeK))));
  scenario.meats.forEach((_, piece) => {
    const all = members.map(({ cook }) => surroundings(cook, min, cook.pieces[piece]!.gratePlace));
    const middle = { ...all[0]! };
    for (const key of Object.keys(middle) as (keyof Surroundings)[]) {
      middle[key] = mean(all.map((s) => s[key]));
    }
    air[piece]!.push(middle);
  });
}

/** Moves the members to the readings of a slot, one thermometer after the other. */
function takeUp(estimator: FireEstimator, readings: readonly PitSighting[]): void {
  const { members, surprises, atMin } = estimator;
  for (const spot of SPOTS) {
    const here = readings.filter((r) => (r.spot ?? 'grate') === spot);
    if (here.length === 0) continue;
    const value = quantile(ascending(here.map((r) => r.c)), 0.5);
    const one = spot === 'dome' ? DIAL_SD_K : READING_SD_K.one;
    const sd = Math.max(one / Math.sqrt(here.length), READING_SD_K.least);
    const sighting = { value, sd, expected: members.map((m) => wouldRead(m, spot)) };
    const middle = mean(sighting.expected);
    const last = surprises.findLast((s) => s.spot === spot);
    const now: Surprise = { atMin, spot, sd: surprise(sighting), offK: value - middle };
    surprises.push(now);
    const confirmed =
      last !== undefined &&
      Math.min(Math.abs(last.sd), Math.abs(now.sd)) > CONFIRMS_SD &&
      last.sd * now.sd > 0;
    estimator.unrest = learnedUnrest(estimator.unrest, sighting);
    const states = members.map(memberState);
    assimilate(states, sighting, confirmed ? GATE_SD.confirmed : GATE_SD.once);
    members.forEach((m, i) => setMemberState(m, states[i]!));
  }
}

/** What is known of a fire now; triples are p10, p50 and p90 of the likely cooks. */
export interface FireState {
  /** A true probe at the grate, C. */
  pitC: Triple;
  /** Charcoal left, glowing and not, kg as bought. */
  fuelKg: Triple;
  /** Wood left, kg dry. */
  woodKg: Triple;
  /** Charcoal burnt since lighting, kg as bought an hour. */
  burnKgPerH: Triple;
  /** Ash among the coals, kg. */
  ashKg: Triple;
  /** Water left in the pan, kg. */
  waterKg: Triple;
  /** How each trait differs from what was thought, factors. */
  traits: Record<Trait, Triple>;
  /** What each thermometer reads too much, K. */
  biasK: { grate: Triple; dome: Triple };
}
export type Triple = [number, number, number];

/** What the members say of their fires now. */
export function fireState({ members, scenario }: FireEstimator): FireState {
  const share = dafFraction(CHARCOALS[scenario.fire!.fuel]);
  const over = (of: (m: FireMember) => number): Triple => p10p50p90(members.map(of));
  const pit = (of: (p: PitState) => number): Triple => over((m) => of(m.cook.pit!));
  return {
    pitC: pit((p) => celsius(p.probeK)),
    fuelKg: over((m) => memberFuelKg(m) / share),
    woodKg: pit(remainingWoodKg),
    burnKgPerH: over(({ cook }) => {
      const hours = Math.max(cook.timeS / 3600, 0.25);
      return cook.pit!.ledger.burnedKg / share / hours;
    }),
    ashKg: pit((p) => p.bedAshKg),
    waterKg: pit((p) => p.waterKg),
    traits: Object.fromEntries(
      TRAITS.map((t, i) => [t, over((m) => Math.exp(m.traits[i]!))]),
    ) as Record<Trait, Triple>,
    biasK: { grate: over((m) => m.biasK[0]!), dome: over((m) => m.biasK[1]!) },
  };
}

/** A member run on from now: its air at a piece, and its probe, minute by minute from now. */
export interface MemberAhead {
  air: Surroundings[];
  pitC: number[];
  /** What the dial in the lid would read, C. */
  domeC: number[];
}

/**
 * `count` members run on for so many minutes, with what is done on the way; the first is the first member. The air is
 * that at the piece in the place `piece` of the list, the first when left out.
 */
export function membersAhead(
  { members, atMin }: FireEstimator,
  minutes: number,
  ahead: readonly Action[],
  count = members.length,
  piece = 0,
): MemberAhead[] {
  const from = Math.round(atMin);
  return Array.from({ length: count }, (_, i) => {
    const { cook } = copyMember(members[Math.floor((i * members.length) / count)]!);
    cook.pending = ahead.filter((a) => a.atMin > atMin).sort((a, b) => a.atMin - b.atMin);
    const run: MemberAhead = { air: [], pitC: [], domeC: [] };
    for (let min = 0; min <= minutes; min++) {
      advance(cook, Math.max(from + min, atMin));
      run.air.push(surroundings(cook, from + min, cook.pieces[piece]?.gratePlace));
      run.pitC.push(celsius(cook.pit!.probeK));
      run.domeC.push(celsius(cook.pit!.dialK));
    }
    return run;
  });
}

/** How much more than a probe at the grate the dial in the lid should read now, K. */
export const domeOverGrateK = ({ members }: FireEstimator): number =>
  mean(members.map(({ cook }) => cook.pit!.dialK - cook.pit!.probeK));

/** Least fuel that glows in a fire that is not out, kg dry and ash-free. */
const GLOWS_KG = 0.02;

/** Share of the likely fires that are out. */
export const outFraction = ({ members }: FireEstimator): number =>
  mean(members.map(({ cook: { pit } }) => (pit!.lit.kg < GLOWS_KG && !pit!.woodBurns ? 1 : 0)));

/** A fire that was given more than this of wood for each kg of charcoal lives on splits, kg/kg. */
const LIVES_ON_WOOD = 0.5;

/** Share of all charcoal given that is left, 0 to 1: the middle of the likely fires. Null for a fire on splits. */
export function fuelLeftFraction({ members }: FireEstimator): number | null {
  const { woodGivenKg, givenKg } = members[0]!.cook.pit!.ledger;
  if (woodGivenKg > LIVES_ON_WOOD * givenKg) return null;
  return p10p50p90(
    members.map((m) => Math.min(memberFuelKg(m) / Math.max(m.cook.pit!.ledger.givenKg, 1e-6), 1)),
  )[1];
}
