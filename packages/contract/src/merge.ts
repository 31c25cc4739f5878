/** Bringing together what two people changed in one record: field by field, against what both had before. */
import type { PitRecord, SavedPlan, Shelf } from './types';

/** A record as a flat list of fields: what is compared and merged. */
export type Fields = Readonly<Record<string, unknown>>;

/** What comes of a merge: the fields, or those that both changed to something else. */
type Merged = { ok: true; fields: Fields } | { ok: false; conflicts: string[] };

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * Merges mine and theirs, both made from `base`. A field that one of them changed is as they left it; a field that
 * both changed to different values is a conflict. A field that is left out was removed.
 */
export function mergeFields(base: Fields, mine: Fields, theirs: Fields): Merged {
  const fields: Record<string, unknown> = {};
  const conflicts: string[] = [];
  for (const key of new Set([base, mine, theirs].flatMap(Object.keys))) {
    const [b, m, t] = [base[key], mine[key], theirs[key]];
    if (!same(b, m) && !same(b, t) && !same(m, t)) conflicts.push(key);
    const value = same(b, m) ? t : m;
    if (value !== undefined) fields[key] = value;
  }
  return conflicts.length > 0 ? { ok: false, conflicts } : { ok: true, fields };
}

const OWN = 'overrides.';

/** A pit as fields: its name, how its vents are given, and each figure of its own. */
export const pitFields = ({
  name,
  ventWay,
  ventScales,
  learned,
  overrides,
  putAwayAt,
}: PitRecord): Fields => ({
  name,
  ventWay,
  ...(ventScales ? { ventScales } : {}),
  ...(learned ? { learned } : {}),
  ...(putAwayAt ? { putAwayAt } : {}),
  ...Object.fromEntries(Object.entries(overrides).map(([key, v]) => [OWN + key, v])),
});

/** Fields as the pit that they describe. */
export function pitWithFields(pit: PitRecord, fields: Fields): PitRecord {
  const own = Object.entries(fields).filter(([key]) => key.startsWith(OWN));
  return {
    ...pit,
    name: fields.name as string,
    ventWay: fields.ventWay as PitRecord['ventWay'],
    ventScales: fields.ventScales as PitRecord['ventScales'],
    learned: fields.learned as PitRecord['learned'],
    putAwayAt: fields.putAwayAt as PitRecord['putAwayAt'],
    overrides: Object.fromEntries(own.map(([key, v]) => [key.slice(OWN.length), v])),
  };
}

/** A saved plan as fields. What is wished is one of them: halves of two wishes make no wish. */
export const planFields = ({ name, favourite, request }: SavedPlan): Fields => ({
  name,
  favourite,
  request,
});

/** Fields as the saved plan that they describe. */
export const planWithFields = (plan: SavedPlan, fields: Fields): SavedPlan => ({
  ...plan,
  ...(fields as Pick<SavedPlan, 'name' | 'favourite' | 'request'>),
});

const STOCK = 'stock.';
const PRICE = 'price.';

/** A shelf as fields: what is there and what it costs, each fuel for itself. */
export const shelfFields = ({ fuelOnHand, prices }: Shelf): Fields => ({
  ...Object.fromEntries(fuelOnHand.map((s) => [STOCK + s.fuel, s])),
  ...Object.fromEntries(prices.map((p) => [PRICE + p.fuel, p])),
});

/** Fields as the shelf that they describe. */
export function shelfOfFields(fields: Fields): Shelf {
  const of = (kind: string): unknown[] =>
    Object.entries(fields).flatMap(([key, v]) => (key.startsWith(kind) ? [v] : []));
  return { fuelOnHand: of(STOCK) as Shelf['fuelOnHand'], prices: of(PRICE) as Shelf['prices'] };
}
