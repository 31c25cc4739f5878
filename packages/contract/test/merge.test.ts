import fc from 'fast-check';
import {
  mergeFields,
  pitFields,
  pitWithFields,
  shelfFields,
  shelfOfFields,
  type Fields,
} from '../src/merge';

const KEYS = ['a', 'b', 'c', 'd'];
const fields = fc.dictionary(fc.constantFrom(...KEYS), fc.integer({ min: 0, max: 2 }));

it('keeps every change of one side, and calls a conflict only what both changed', () => {
  fc.assert(
    fc.property(fields, fields, fields, (base: Fields, mine: Fields, theirs: Fields) => {
      const merged = mergeFields(base, mine, theirs);
      const both = KEYS.filter(
        (k) => base[k] !== mine[k] && base[k] !== theirs[k] && mine[k] !== theirs[k],
      );
      if (!merged.ok) {
        expect([...merged.conflicts].sort()).toEqual(both);
        return;
      }
      expect(both).toEqual([]);
      for (const k of KEYS) {
        expect(merged.fields[k]).toBe(base[k] === mine[k] ? theirs[k] : mine[k]);
      }
    }),
  );
});

it('does nothing where only one side changed anything', () => {
  fc.assert(
    fc.property(fields, fields, (base, changed) => {
      expect(mergeFields(base, changed, base)).toEqual({ ok: true, fields: changed });
      expect(mergeFields(base, base, changed)).toEqual({ ok: true, fields: changed });
    }),
  );
});

it('turns pits and shelves into fields and back', () => {
  const pit = {
    id: 'tom',
    name: 'Long Tom',
    preset: 'offset-heavy',
    overrides: { leakCm2: 18 },
    ventWay: 'fingers',
  } as const;
  expect(pitWithFields({ ...pit, name: '', overrides: {} }, pitFields(pit))).toEqual(pit);
  const shelf = {
    fuelOnHand: [{ fuel: 'lump' as const, massKg: 3 }],
    prices: [{ fuel: 'lump' as const, bagKg: 8, each: 12 }],
  };
  expect(shelfOfFields(shelfFields(shelf))).toEqual(shelf);
  const theirs = {
    ...shelf,
    fuelOnHand: [...shelf.fuelOnHand, { fuel: 'splits' as const, massKg: 9 }],
  };
  const mine = { ...shelf, prices: [] };
  const merged = mergeFields(shelfFields(shelf), shelfFields(mine), shelfFields(theirs));
  expect(merged.ok && shelfOfFields(merged.fields)).toEqual({ ...theirs, prices: [] });
});
