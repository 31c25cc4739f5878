/**
 * Whether trouble is named for what it is, and nothing where there is none: true cooks with one fault each, and without,
 * read by a thermometer of four probes (grate, lid, meat), a fan that tells its speed, and a weather station.
 */
import {
  ascending,
  createFireEstimator,
  FAULTS,
  follow,
  namedFault,
  pitSightings,
  quantile,
  seeded,
  seedFrom,
  SLOT_MIN,
  type Fault,
  type FireNews,
  type Random,
} from '@ostrin/core/internals';
import type { Case } from '../plans/requests';
import { beginsAt, canHave, inject } from './faults';
import { trueCook, type TrueCook } from './truth';
import type { PlannedCase } from './truePit';

/** A fault is followed for so long, and has to show within the first of these, min. */
const FOLLOWED_MIN = { all: 75, showsWithin: 60 };
/** A fault counts that takes the pit out of its band for so long, or a fan's speed so far from usual for so long, min. */
const SHOWS = { outMin: 5, differsK: 5, fanMin: 10, fanDuty: 0.3 };
/** A pit is in its band when it reads no further out than this share of it over. */
const BAND_MARGIN = 1.15;
/** A cook without a fault is followed so long at most; an alarm that stands is told again after so long, min. */
const QUIET_MIN = { all: 420, again: 60 };
/** Draws of a fault's size and beginning before another fault is taken. */
const DRAWS = 3;

/** What came of one cook with a fault. */
interface NamedCook {
  fault: Fault;
  /** What was named first after it began; null where nothing was. */
  named: Fault | null;
  /** From its beginning until it was named, and until the pit left its band; null where that never came, min. */
  delayMin: number | null;
  bandDelayMin: number | null;
}

/** What came of a case. */
export interface Diagnosed {
  faults: NamedCook[];
  /** Hours without a fault, and what was named in them. */
  quietHours: number;
  falseAlarms: Fault[];
}

/** All that the instruments of a true cook told. */
const newsOfTruth = (t: TrueCook): FireNews => ({
  done: t.done,
  readings: pitSightings(t.readings.map(({ fanDuty: _, ...r }) => r)),
  fan: t.readings.flatMap(({ atMin, fanDuty: duty }) => (duty === null ? [] : [{ atMin, duty }])),
  weather: t.weather,
});

/** Goes through a cook slot by slot; tells what is named at each, from `fromMin` on. */
function followNamed(
  t: TrueCook,
  untilMin: number,
  fromMin: number,
  at: (atMin: number, named: Fault | null) => boolean,
): void {
  const estimator = createFireEstimator(t.scenario, { seed: 3 });
  const news = newsOfTruth(t);
  for (let now = SLOT_MIN; now <= untilMin; now += SLOT_MIN) {
    // Nobody knows what is told later.
    const upTo = <T extends { atMin: number }>(list: readonly T[]): T[] =>
      list.filter((x) => x.atMin <= now);
    const known = { ...news, weather: upTo(news.weather ?? []) };
    follow(estimator, now, known);
    if (now > fromMin && at(now, namedFault(estimator, known, t.bandC)?.fault ?? null)) return;
  }
}

const isOut = (t: TrueCook, c: number | null): boolean =>
  c !== null && Math.abs(c - t.targetC) > BAND_MARGIN * t.bandC;

/** Whether a fault shows within the hour, beside the same cook without it. */
function shows(t: TrueCook, plain: TrueCook, fromMin: number): boolean {
  let [outMin, fanMin] = [0, 0];
  for (let half = 2 * fromMin; half < 2 * (fromMin + FOLLOWED_MIN.showsWithin); half++) {
    const [a, b] = [t.readings[half], plain.readings[half]];
    if (!a || !b) continue;
    const differs = a.pitC !== null && Math.abs(a.pitC - (b.pitC ?? a.pitC)) > SHOWS.differsK;
    if (differs && isOut(t, a.pitC)) outMin += 0.5;
    if (Math.abs((a.fanDuty ?? 0) - (b.fanDuty ?? 0)) > SHOWS.fanDuty) fanMin += 0.5;
  }
  return outMin >= SHOWS.outMin || fanMin >= SHOWS.fanMin;
}

/** A cook of the case with a fault that shows; null where none does. */
function faultyCook(
  c: Case,
  made: PlannedCase,
  plain: TrueCook,
  first: number,
  random: Random,
): { t: TrueCook; fault: Fault; fromMin: number } | null {
  for (let i = 0; i < DRAWS * FAULTS.length; i++) {
    const fault = FAULTS[(first + Math.floor(i / DRAWS)) % FAULTS.length]!;
    if (!canHave(c, fault)) continue;
    const begins = beginsAt(fault, plain, random);
    if (begins === null) continue;
    const { fromMin, options } = inject(fault, begins, random);
    // A fault that begins while the pit is out of its band is not what takes it out.
    const before = plain.readings.slice(2 * fromMin - 40, 2 * fromMin);
    if (before.some((r) => isOut(plain, r.pitC))) continue;
    const t = trueCook(c, made, { ...options, untilMin: fromMin + FOLLOWED_MIN.all });
    if (shows(t, plain, fromMin)) return { t, fault, fromMin };
  }
  return null;
}

function nameOne({ t, fault, fromMin }: { t: TrueCook; fault: Fault; fromMin: number }): NamedCook {
  let named: Fault | null = null;
  let delayMin: number | null = null;
  followNamed(t, fromMin + FOLLOWED_MIN.all, fromMin, (now, name) => {
    if (name === null) return false;
    named = name;
    delayMin = now - fromMin;
    return true;
  });
  const out = t.readings.find((r) => r.atMin > fromMin && isOut(t, r.pitC));
  return { fault, named, delayMin, bandDelayMin: out ? out.atMin - fromMin : null };
}

/** A case with two faults, one a cook, and without any; `n` is its place among all, which spreads the faults. */
export function diagnoseCase(c: Case, made: PlannedCase, plain: TrueCook, n: number): Diagnosed {
  const random = seeded(seedFrom(`${c.truth}/faults`));
  const faults = [2 * n, 2 * n + 1].flatMap((first) => {
    const faulty = faultyCook(c, made, plain, first, random);
    return faulty ? [nameOne(faulty)] : [];
  });
  const falseAlarms: Fault[] = [];
  const untilMin = Math.min(plain.doneMin ?? QUIET_MIN.all, QUIET_MIN.all);
  let quietUntil = 0;
  followNamed(plain, untilMin, 0, (now, name) => {
    if (name !== null && now >= quietUntil) {
      falseAlarms.push(name);
      quietUntil = now + QUIET_MIN.again;
    }
    return false;
  });
  return { faults, quietHours: untilMin / 60, falseAlarms };
}

/** Diagnoses pooled, under the names of the open format. */
export function poolDiagnosis(all: readonly Diagnosed[]) {
  const cooks = all.flatMap((d) => d.faults);
  const confusion: Partial<Record<Fault, Partial<Record<Fault | 'nothing', number>>>> = {};
  for (const { fault, named } of cooks) {
    const row = (confusion[fault] ??= {});
    row[named ?? 'nothing'] = (row[named ?? 'nothing'] ?? 0) + 1;
  }
  const right = cooks.filter((k) => k.named === k.fault);
  const hours = all.reduce((sum, d) => sum + d.quietHours, 0);
  const falseAlarms = all.flatMap((d) => d.falseAlarms);
  const median = (of: readonly (number | null)[]): number | null => {
    const known = ascending(of.filter((v) => v !== null));
    return known.length === 0 ? null : quantile(known, 0.5);
  };
  return {
    faultyCooks: cooks.length,
    namedFirstFraction: Number((right.length / Math.max(cooks.length, 1)).toFixed(3)),
    delayMin: median(right.map((k) => k.delayMin)),
    bandDelayMin: median(cooks.map((k) => k.bandDelayMin)),
    quietHours: Math.round(hours),
    falseAlarmsPer20h: Number(((20 * falseAlarms.length) / Math.max(hours, 1)).toFixed(2)),
    falseAlarms,
    confusion,
  };
}
