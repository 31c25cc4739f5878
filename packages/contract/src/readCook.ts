/** Cooks and their logs from outside, checked whole. */
import { entryProblem, LOOKS, OF_PIECE, type Entry } from '@ostrin/core/log';
import type { PitPlan, PlanLog } from '@ostrin/core';
import { CookDocDto, EntriesDto, MOST_READINGS, NewCookDto, NewCooksDto } from './cook';
import { usedTwice, type FieldProblem } from './problems';
import { isObject, plainOf } from './plain';
import { amountGiven } from './read';
import { readPlan, withFigures } from './readPlan';
import { readReadings, timeProblems } from './readReadings';
import type { CookDoc, CookFire } from './types';
import { validate, invalid, type Checked } from './validate';

/** Cooks to begin together with their plans as figures. */
const allWithFigures = (plain: unknown): unknown =>
  isObject(plain) && Array.isArray(plain.cooks)
    ? { ...plain, cooks: plain.cooks.map(withFigures) }
    : plain;

/** A cook to begin: what it is called, on which pit, and its plan. */
export interface NewCook {
  id: string;
  name: string;
  pitName: string;
  plan: PitPlan;
  /** What burns; a practice fire when left out. */
  fire?: CookFire;
}

/** Cooks to begin together, no two on one pit. */
export function readNewCooks(plain: unknown): Checked<NewCook[]> {
  const checked = validate(NewCooksDto, allWithFigures(plain));
  if (!checked.ok) return checked;
  const { cooks } = checked.value;
  const problems: FieldProblem[] = [];
  if (cooks.length === 0) {
    problems.push({ field: 'cooks', message: 'must have at least one entry' });
  }
  const begun: NewCook[] = [];
  cooks.forEach((cook, i) => {
    const plan = readPlan(cook.plan, `cooks[${i}].plan`);
    if (plan.ok) begun.push({ id: cook.id, ...beginning(cook, plan.value) });
    else problems.push(...plan.problems);
    for (const key of ['id', 'pitName'] as const) {
      if (cooks.findIndex((c) => c[key] === cook[key]) !== i) {
        problems.push({ field: `cooks[${i}].${key}`, message: `${cook[key]} is used twice` });
      }
    }
  });
  return problems.length > 0 ? invalid(problems) : { ok: true, value: begun };
}

/** One cook to begin, under an id that stands elsewhere. */
export function readNewCook(plain: unknown): Checked<Omit<NewCook, 'id'>> {
  const checked = validate(NewCookDto, withFigures(plain));
  if (!checked.ok) return checked;
  const plan = readPlan(checked.value.plan, 'plan');
  return plan.ok ? { ok: true, value: beginning(checked.value, plan.value) } : plan;
}

/** A cook to begin that was found good. */
const beginning = ({ name, pitName, fire }: NewCookDto, plan: PitPlan): Omit<NewCook, 'id'> => ({
  name,
  pitName,
  plan,
  ...(fire ? { fire } : {}),
});

/** A cook as far as new entries of its log depend on it. */
export interface LoggedCook {
  startMs: number;
  plan: Pick<PitPlan, 'scenarios'>;
  /** The log so far. */
  entries: readonly Entry[];
}

/** Entries for the log of a cook; those already there are let through. */
export function readEntries(
  plain: unknown,
  cook: LoggedCook,
): Checked<{ entries: Entry[]; confirmed: boolean }> {
  const checked = validate(EntriesDto, plain);
  if (!checked.ok) return checked;
  const entries = plainOf<Entry[]>(checked.value.entries);
  const problems = logProblems(entries, cook);
  return problems.length > 0
    ? invalid(problems)
    : { ok: true, value: { entries, confirmed: checked.value.confirmed ?? false } };
}

/** What is said of a cook, whenever that is: one that was forgotten for months can be ended, put right and judged. */
const SAID_OF_IT: ReadonlySet<Entry['kind']> = new Set<Entry['kind']>([
  'undo',
  'retime',
  'finish',
  'take-watch',
  'hand-over',
  'verdict',
  'next-time',
  'weighed',
]);

/** What is wrong with entries that would follow the log of a cook. */
function logProblems(entries: readonly Entry[], cook: LoggedCook): FieldProblem[] {
  const known = [...cook.entries];
  const ids = new Set(known.map((e) => e.id));
  const meats = new Set([
    ...cook.plan.scenarios.flatMap((s) => s.meats.map((m) => m.id)),
    ...known.flatMap((e) => (e.kind === 'add-food' ? [e.food.id] : [])),
  ]);
  const problems: FieldProblem[] = [];
  entries.forEach((e, i) => {
    if (ids.has(e.id)) return;
    const here = `entries[${i}]`;
    const problem = entryProblem(known, e);
    if (problem) problems.push({ field: `${here}.${problem.field}`, message: problem.message });
    if (!SAID_OF_IT.has(e.kind)) problems.push(...timeProblems(cook.startMs, e.at, `${here}.at`));
    if (e.kind === 'retime' || e.kind === 'serve-at')
      problems.push(...timeProblems(cook.startMs, e.to, `${here}.to`));
    if (e.kind === 'act') problems.push(...deedProblems(e.action, meats, `${here}.action`));
    if (e.kind === 'read') problems.push(...readProblems(e, meats, here));
    if (e.kind === 'call-at') problems.push(...pieceProblems(e.meat, meats, here));
    if (e.kind === 'add-food') {
      problems.push(...foodProblems(e, meats, cook.startMs, here));
      meats.add(e.food.id);
    }
    if (e.kind === 'look') problems.push(...lookProblems(e, meats, here));
    problems.push(...afterwardsProblems(e, meats, here));
    known.push(e);
    ids.add(e.id);
  });
  return problems;
}

/** What is wrong with a piece that an entry has to name: none, or one that this cook does not have. */
const pieceProblems = (
  meat: string | undefined,
  meats: ReadonlySet<string>,
  field: string,
): FieldProblem[] =>
  meat !== undefined && meats.has(meat)
    ? []
    : [{ field: `${field}.meat`, message: `must be one of ${[...meats].join(', ')}` }];

/** What is wrong with a reading by hand: a piece that this cook does not have, or none where one is read. */
function readProblems(
  { spot, meat, muscle }: Extract<Entry, { kind: 'read' }>,
  meats: ReadonlySet<string>,
  field: string,
): FieldProblem[] {
  if (spot !== 'meat') {
    return Object.entries({ meat, muscle }).flatMap(([name, value]) =>
      value === undefined
        ? []
        : [{ field: `${field}.${name}`, message: `has no place at the ${spot}` }],
    );
  }
  return pieceProblems(meat, meats, field);
}

/** Pieces of a cook at most, planned and added. */
const MOST_MEATS = 20;

/** What is wrong with food that is added: an id that is taken, one piece too many, or a time of another cook. */
function foodProblems(
  { food, offAt }: Extract<Entry, { kind: 'add-food' }>,
  meats: ReadonlySet<string>,
  startMs: number,
  field: string,
): FieldProblem[] {
  return [
    ...(meats.has(food.id) ? [{ field: `${field}.food.id`, message: 'is used already' }] : []),
    ...(meats.size < MOST_MEATS
      ? []
      : [{ field: `${field}.food`, message: `a cook has ${MOST_MEATS} pieces at most` }]),
    ...timeProblems(startMs, offAt, `${field}.offAt`),
  ];
}

/** What is wrong with a look: a verdict on something else, or a piece where there is none or that there is not. */
function lookProblems(
  { what, verdict, meat, muscle }: Extract<Entry, { kind: 'look' }>,
  meats: ReadonlySet<string>,
  field: string,
): FieldProblem[] {
  const verdicts: readonly string[] = LOOKS[what];
  const ofPiece = OF_PIECE.has(what);
  return [
    ...(verdicts.includes(verdict)
      ? []
      : [{ field: `${field}.verdict`, message: `must be one of ${verdicts.join(', ')}` }]),
    ...(ofPiece ? pieceProblems(meat, meats, field) : []),
    ...(!ofPiece && meat !== undefined
      ? [{ field: `${field}.meat`, message: `has no place with ${what}` }]
      : []),
    ...(what !== 'tender' && muscle !== undefined
      ? [{ field: `${field}.muscle`, message: 'belongs to how tender it feels' }]
      : []),
  ];
}

/** What is wrong with what is said and weighed once a cook is over: a piece or a cut where there is none, or none. */
function afterwardsProblems(e: Entry, meats: ReadonlySet<string>, field: string): FieldProblem[] {
  const pieceWanted = e.kind === 'verdict' || (e.kind === 'weighed' && e.what !== 'fuel-left');
  if (pieceWanted) return pieceProblems(e.meat, meats, field);
  if (e.kind === 'weighed' && e.meat !== undefined) {
    return [{ field: `${field}.meat`, message: 'has no place with fuel' }];
  }
  if (e.kind === 'next-time' && (e.about === 'cut') !== (e.cut !== undefined)) {
    return [{ field: `${field}.cut`, message: 'must be given exactly where it is about a cut' }];
  }
  return [];
}

/** What is wrong with something done: fuel without an amount, or a piece that this cook does not have. */
function deedProblems(deed: PlanLog, meats: ReadonlySet<string>, field: string): FieldProblem[] {
  if (deed.do === 'add-fuel' && !amountGiven(deed)) {
    return [{ field: `${field}.pieces`, message: 'give pieces or massKg above 0' }];
  }
  if ('meat' in deed && !meats.has(deed.meat)) {
    const message = `no meat of this cook has the id ${deed.meat}; it has ${[...meats].join(', ')}`;
    return [{ field: `${field}.meat`, message }];
  }
  return [];
}

/** A whole `cook/1` document. */
export function readCookDoc(plain: unknown): Checked<CookDoc> {
  const apart = isObject(plain) && Array.isArray(plain.readings);
  const readings: unknown[] = apart ? (plain.readings as unknown[]) : [];
  if (readings.length > MOST_READINGS) {
    return invalid([{ field: 'readings', message: `must have at most ${MOST_READINGS} entries` }]);
  }
  const checked = validate(CookDocDto, withFigures(apart ? { ...plain, readings: [] } : plain));
  if (!checked.ok) return checked;
  const plan = readPlan(checked.value.plan, 'plan');
  if (!plan.ok) return plan;
  const { startMs } = checked.value;
  const read = readReadings(readings, { startMs, before: 0, afterMs: -Infinity });
  if (!read.ok) return read;
  const doc: CookDoc = {
    ...plainOf<CookDoc>({ ...checked.value, plan: null, readings: null }),
    plan: plan.value,
    readings: read.value,
  };
  const problems = logProblems(doc.entries, { ...doc, entries: [] });
  problems.push(...usedTwice(doc.entries, 'entries'));
  return problems.length > 0 ? invalid(problems) : { ok: true, value: doc };
}
