/**
 * Plans from before they were kept as figures, and plans with their sentences as they are exported, as figures alone.
 * Works on plain values that nobody has checked yet: what is not shaped as expected is left for the check to name.
 */
import { holdsByFan, type RequestPit } from '@ostrin/core';
import { isObject } from './plain';

type Plain = Record<string, unknown>;

/** A field without which a document was written before its sentences were made from figures. */
const has = (plain: Plain, field: string): boolean => plain[field] !== undefined;

/** Every object of a list, changed; what is no list stays as it is. */
const each = (list: unknown, lift: (plain: Plain, i: number, all: unknown[]) => Plain): unknown =>
  Array.isArray(list)
    ? list.map((x: unknown, i, all: unknown[]) => (isObject(x) ? lift(x, i, all) : x))
    : list;

/** What is given of these fields. */
const pick = (plain: Plain, ...fields: string[]): Plain =>
  Object.fromEntries(Object.entries(plain).filter(([field]) => fields.includes(field)));

/** What is left without these fields. */
const omit = (plain: Plain, ...fields: string[]): Plain =>
  Object.fromEntries(Object.entries(plain).filter(([field]) => !fields.includes(field)));

/** The sentences of a thing, kept as they were written. */
const written = (plain: Plain, ...fields: string[]): Plain => ({
  kind: 'as-written',
  words: pick(plain, ...fields),
});

const JOB_WORDS = ['inWords', 'detail', 'checklist'];
const RISK_WORDS = ['sign', 'move', 'why'];
const PROBLEM_WORDS = ['message', 'instead'];
const SHOPPING_WORDS = ['item', 'amount', 'onShelf', 'buy', 'cost'];
const CARD_WORDS = ['heading', 'lines'];

const liftFire = (fire: Plain): Plain => ({
  ...omit(fire, 'inWords'),
  feeding: each(fire.feeding, (f) => omit(f, 'inWords')),
  ...(has(fire, 'hourPieces')
    ? {}
    : { hourPieces: null, ...(fire.inWords === undefined ? {} : { asWritten: fire.inWords }) }),
});

/** The set point of the fan that holds a pit, C; null where there is none, or the pit cannot be read. */
function fanTargetOf(request: unknown, id: unknown): unknown {
  if (!isObject(request) || !Array.isArray(request.pits)) return null;
  const pits = request.pits.filter(isObject);
  const [first] = pits;
  const pit = pits.find((p) => p.id === id) ?? first;
  try {
    return pit && isObject(pit.pace) && holdsByFan(pit as unknown as RequestPit)
      ? pit.pace.pitC
      : null;
  } catch {
    // The check of the request names what is wrong with the pit.
    return null;
  }
}

/** No rule at all and an empty list of them say the same. */
const liftRules = (rules: unknown): Plain =>
  rules === undefined || (Array.isArray(rules) && rules.length === 0)
    ? {}
    : { rules: each(rules, (r) => omit(r, 'inWords')) };

function liftVents(request: unknown, vents: Plain, i: number, all: unknown[]): Plain {
  const figures = omit(vents, 'inWords', 'ifHigh', 'ifLow');
  if (has(vents, 'first')) return figures;
  const move = (inWords: unknown): Plain => ({ do: 'as-written', inWords });
  const { ifHigh, ifLow } = vents;
  return {
    ...figures,
    fanTargetC: fanTargetOf(request, vents.pit),
    first: all.findIndex((v) => isObject(v) && v.pit === vents.pit) === i,
    moves:
      ifHigh === undefined || ifLow === undefined ? null : { high: move(ifHigh), low: move(ifLow) },
  };
}

const liftCard = (card: Plain): Plain =>
  has(card, 'cut') || has(card, 'words')
    ? omit(card, ...CARD_WORDS)
    : { ...omit(card, ...CARD_WORDS), ...written(card, ...CARD_WORDS) };

/** A thing whose figures are in `facts`. */
const liftFacts =
  (...words: string[]) =>
  (plain: Plain): Plain =>
    has(plain, 'facts')
      ? omit(plain, ...words)
      : { ...omit(plain, ...words), facts: written(plain, ...words) };

/** A `plan/1` document as figures, without its sentences; one that is there already comes back equal. */
export function liftPlan(plain: unknown): unknown {
  if (!isObject(plain)) return plain;
  const { rules, ...plan } = omit(plain, 'planB', 'cautions');
  return {
    ...plan,
    ...liftRules(rules),
    fires: each(plan.fires, liftFire),
    vents: each(plan.vents, (v, i, all) => liftVents(plan.request, v, i, all)),
    jobs: each(plan.jobs, liftFacts(...JOB_WORDS)),
    preparation: each(plan.preparation ?? [], liftCard),
    holds: each(plan.holds ?? [], liftCard),
    shopping: each(plan.shopping, (s) =>
      has(s, 'kind') ? omit(s, ...SHOPPING_WORDS) : written(s, ...SHOPPING_WORDS),
    ),
    risks: each(plan.risks, liftFacts(...RISK_WORDS)),
    problems: each(plan.problems, liftFacts(...PROBLEM_WORDS)),
    ...(has(plan, 'cautionIds')
      ? {}
      : {
          cautionIds: [],
          ...(plain.cautions === undefined ? {} : { writtenCautions: plain.cautions }),
        }),
  };
}
