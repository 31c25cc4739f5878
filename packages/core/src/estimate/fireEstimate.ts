/**
 * What a fire is like, from its log and its readings: likely cooks that run along with it and are moved by every
 * reading. The same record gives the same numbers, however often it is gone through.
 */
import { advance } from '../cook/cook';
import { surroundings } from '../cook/grateAir';
import type { Surroundings } from '../meat/surface';
import { seeded } from '../quantity/random';
import { ascending, mean, quantile } from '../quantity/statistics';
import { celsius, clamp } from '../quantity/units';
import type { Action } from '../scenario/actions';
import type { Scenario } from '../scenario/scenario';
import { assimilate, GATE_SD, learnedUnrest, surprise } from './ensembleFilter';
import {
  applyTraits,
  copyMember,
  createMember,
  memberState,
  setMemberState,
  SPOTS,
  wander,
  wouldRead,
  type PitSpot,
  type FireMember,
} from './fireMember';
import { measuredWeather, type WeatherReading } from './measuredWeather';

/** One reading of the pit. */
export interface PitSighting {
  /** Minutes after lighting. */
  atMin: number;
  /** What it reads, C. */
  c: number;
  /** Where it hangs; at the grate when left out. */
  spot?: PitSpot;
}

/** What is told of a fire, in order of time. */
export interface FireNews {
  /** What was done. */
  done: readonly Action[];
  /** What thermometers read. */
  readings: readonly PitSighting[];
  /** How fast a fan turned, 0 to 1. */
  fan?: readonly { atMin: number; duty: number }[];
  /** What a weather station at the pit reported. */
  weather?: readonly WeatherReading[];
  /** What the smoke looked like to whoever stood there. */
  smoke?: readonly { atMin: number; smoke: 'clear' | 'thin-blue' | 'white' | 'dark' }[];
}

/** Readings are taken up each so many minutes, as the mean of what came in between. */
export const SLOT_MIN = 5;
/** Likely cooks that run along. */
const FIRE_MEMBERS = 24;
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
  /** Half of its members as they were each so often in the last hour, the oldest first: causes are looked for from there. */
  past: PastMembers[];
  /** What a probe at the grate reads more than the members do once they were moved to it, K. */
  residualK: number;
  /** How many times more than usual its members wander, variance: what was read of late asks for it. */
  unrest: number;
}

/** Members as they were. */
export interface PastMembers {
  /** When, min after lighting. */
  atMin: number;
  members: FireMember[];
}

/** Members are kept as they were each so often, so many times, and one in so many of them. */
const PAST = { everyMin: 10, times: 6, oneIn: 2 };

/** How far readings lay from what was expected. */
interface Surprise {
  /** End of its slot, min after lighting. */
  atMin: number;
  /** Which thermometer, or the fan. */
  spot: PitSpot | 'fan';
  /** Standard deviations of what was expected and of the reading together. */
  sd: number;
  /** The same in K, or in percent of a fan's full speed: read less expected. */
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
    past: [],
    residualK: 0,
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
  past: [...e.past],
});

/**
 * Runs on to `untilMin` through what was done and read on the way. What lies before where it stands is left out:
 * whoever learns of that late starts anew. To come to the same numbers again, call it with whole slots.
 */
export function follow(
  estimator: FireEstimator,
  untilMin: number,
  { done, readings, fan = [], weather = [] }: FireNews,
): void {
  const { members } = estimator;
  while (estimator.atMin < untilMin) {
    const from = estimator.atMin;
    const slot = Math.floor(from / SLOT_MIN);
    const to = Math.min(SLOT_MIN * (slot + 1), untilMin);
    const during = ({ atMin }: { atMin: number }): boolean =>
      (atMin > from || from === 0) && atMin <= to;
    giveActions(members, done.filter(during));
    giveWeather(estimator, weather, to);
    const reads = [readsAt(members, from)];
    for (let min = from; min < to; min = Math.min(Math.floor(min) + 1, to)) {
      recordMinute(estimator, min);
      const next = Math.min(Math.floor(min) + 1, to);
      for (const { cook } of members) advance(cook, next);
      reads.push(readsAt(members, next));
    }
    estimator.atMin = to;
    const random = seeded(estimator.seed + 7919 * (slot + 1));
    for (const m of members) wander(m, to - from, random, estimator.unrest);
    takeUp(estimator, readings.filter(during), reads);
    compareFan(estimator, fan.filter(during));
    if (to % PAST.everyMin === 0) keepPast(estimator);
  }
}

function keepPast(estimator: FireEstimator): void {
  const { past, atMin, members } = estimator;
  const some = members.filter((_, i) => i % PAST.oneIn === 0).map(copyMember);
  estimator.past = [...past, { atMin, members: some }].slice(-PAST.times);
}

/** Gives every member the weather as a station told it up to `toMin`, and its own wind and pit in it. */
function giveWeather(
  { members, scenario }: FireEstimator,
  readings: readonly WeatherReading[],
  toMin: number,
): void {
  const weather = measuredWeather(scenario.weather, readings, toMin);
  for (const m of members) {
    m.basis = { ...m.basis, weather };
    applyTraits(m);
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

/** A fan's speed is known to so much, percent. */
const FAN_SD = 8;

/** Notes how far a fan's speed over a slot lies from what the members' fans do; it moves nothing. */
function compareFan(
  { members, surprises, atMin }: FireEstimator,
  told: readonly { duty: number }[],
): void {
  if (told.length === 0 || !members[0]!.cook.fan) return;
  const value = 100 * mean(told.map((t) => t.duty));
  const expected = members.map(({ cook }) => 100 * cook.pit!.fanDuty);
  const sd = surprise({ value, sd: FAN_SD, expected });
  surprises.push({ atMin, spot: 'fan', sd, offK: value - mean(expected) });
}

/** What the thermometers of every member read at a minute, C. */
interface MembersRead {
  atMin: number;
  by: Readonly<Record<PitSpot, number[]>>;
}

const readsAt = (members: readonly FireMember[], atMin: number): MembersRead => ({
  atMin,
  by: {
    grate: members.map((m) => wouldRead(m, 'grate')),
    dome: members.map((m) => wouldRead(m, 'dome')),
  },
});

/** What each member would have read over the minutes of some readings, mean: a pit may move a lot within a slot. */
function expectedOf(
  reads: readonly MembersRead[],
  spot: PitSpot,
  readings: readonly PitSighting[],
): number[] {
  const [first] = reads;
  const sum = first!.by[spot].map(() => 0);
  for (const { atMin } of readings) {
    const after = Math.max(
      reads.findIndex((r) => r.atMin >= atMin),
      1,
    );
    const [a, b] = [reads[after - 1]!, reads[after]!];
    const share = clamp((atMin - a.atMin) / (b.atMin - a.atMin), 0, 1);
    sum.forEach((_, i) => {
      sum[i]! += a.by[spot][i]! + share * (b.by[spot][i]! - a.by[spot][i]!);
    });
  }
  return sum.map((s) => s / readings.length);
}

/** Moves the members to the readings of a slot, one thermometer after the other; `reads` is what they read in it. */
function takeUp(
  estimator: FireEstimator,
  readings: readonly PitSighting[],
  reads: readonly MembersRead[],
): void {
  const { members, surprises, atMin } = estimator;
  for (const spot of SPOTS) {
    const here = readings.filter((r) => (r.spot ?? 'grate') === spot);
    if (here.length === 0) continue;
    const value = quantile(ascending(here.map((r) => r.c)), 0.5);
    const one = spot === 'dome' ? DIAL_SD_K : READING_SD_K.one;
    const sd = Math.max(one / Math.sqrt(here.length), READING_SD_K.least);
    const sighting = { value, sd, expected: expectedOf(reads, spot, here) };
    const middle = mean(sighting.expected);
    const last = surprises.findLast((s) => s.spot === spot);
    const now: Surprise = { atMin, spot, sd: surprise(sighting), offK: value - middle };
    surprises.push(now);
    const confirmed =
      last !== undefined &&
      Math.min(Math.abs(last.sd), Math.abs(now.sd)) > CONFIRMS_SD &&
      last.sd * now.sd > 0;
    estimator.unrest = learnedUnrest(estimator.unrest, sighting);
    const before = mean(members.map((m) => wouldRead(m, spot)));
    const states = members.map(memberState);
    assimilate(states, sighting, confirmed ? GATE_SD.confirmed : GATE_SD.once);
    members.forEach((m, i) => setMemberState(m, states[i]!));
    if (spot === 'grate') {
      const movedK = mean(members.map((m) => wouldRead(m, spot))) - before;
      estimator.residualK = value - middle - movedK;
    }
  }
}
