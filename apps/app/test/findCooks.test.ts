import type { CookSummary } from '@ostrin/contract/types';
import type { Glance } from '@ostrin/core/afterwards';
import fc from 'fast-check';
import { cooksFor, EVERY_COOK, type CookWish } from '../src/log/findCooks';

const cook = (part: Partial<CookSummary>): CookSummary => ({
  id: 'a',
  name: 'Regatta lunch',
  pitId: 'bosun',
  pitName: 'the Bosun',
  startMs: 0,
  fire: 'practice',
  finishedAt: 3_600_000,
  people: 8,
  cut: 'mutton-shoulder',
  pieces: 2,
  glance: null,
  ...part,
});

const LIST = [
  cook({ id: 'old', startMs: 1, finishedAt: 9 }),
  cook({
    id: 'ribs',
    name: 'Večerja',
    cut: 'spare-ribs',
    pitName: 'the Tower',
    startMs: 5,
    finishedAt: 6,
  }),
  cook({ id: 'now', name: 'Supper', startMs: 7, finishedAt: null }),
];
const ids = (part: Partial<typeof EVERY_COOK>): string[] =>
  cooksFor(LIST, { ...EVERY_COOK, ...part }).map((c) => c.id);

const GLANCE: Glance = {
  traceC: [],
  bandC: [113, 129],
  inBandFraction: 0.4,
  ready: { planned: 0, actual: null },
  fire: { arrangement: 'snake', fuel: 'briquette' },
  cuts: ['mutton-shoulder', 'whole-turkey'],
  verdict: { asWished: false, faults: ['dry'] },
  ways: { movedAtK: [], weighed: [], fuelLeftKg: null },
};

describe('the log, searched', () => {
  it('holds all the words, in any letters, of name, pit and cut', () => {
    expect(ids({ words: 'vecerja' })).toEqual(['ribs']);
    expect(ids({ words: 'MUTTON bosun' })).toEqual(['now', 'old']);
    expect(ids({ words: 'mutton tower' })).toEqual([]);
    expect(ids({ pitName: 'the Tower' })).toEqual(['ribs']);
  });

  it('comes newest, oldest or longest first; one under way is the longest', () => {
    expect(ids({})).toEqual(['now', 'ribs', 'old']);
    expect(ids({ sort: 'oldest' })).toEqual(['old', 'ribs', 'now']);
    expect(ids({ sort: 'longest' })).toEqual(['now', 'old', 'ribs']);
  });

  it('is narrowed by cut, fire and verdict, and sorted by how well the pit was held', () => {
    const well = { ...GLANCE, inBandFraction: 0.9, verdict: { asWished: true, faults: [] } };
    const ring = { ...GLANCE, fire: { arrangement: 'ring', fuel: 'lump' } as const, verdict: null };
    const list = [
      cook({ id: 'dry', glance: GLANCE }),
      cook({ id: 'well', glance: well }),
      cook({ id: 'ring', glance: { ...ring, cuts: ['spare-ribs'], inBandFraction: null } }),
      cook({ id: 'now', finishedAt: null }),
    ];
    const found = (part: Partial<CookWish>): string[] =>
      cooksFor(list, { ...EVERY_COOK, ...part }).map((c) => c.id);
    expect(found({ cut: 'whole-turkey' })).toEqual(['dry', 'well']);
    expect(found({ words: 'turkey' })).toEqual(['dry', 'well']);
    expect(found({ cut: 'mutton-shoulder' })).toEqual(['dry', 'well', 'now']);
    expect(found({ fire: 'ring lump' })).toEqual(['ring']);
    expect(found({ verdict: 'as-wished' })).toEqual(['well']);
    expect(found({ verdict: 'not-as-wished' })).toEqual(['dry']);
    expect(found({ verdict: 'none' })).toEqual(['ring', 'now']);
    expect(found({ sort: 'best-held' }).slice(0, 2)).toEqual(['well', 'dry']);
  });

  it('loses no cook and makes none up, whatever is looked for', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 12 }), (words) => {
        const found = ids({ words });
        expect(new Set(found).size).toBe(found.length);
        expect(found.every((id) => LIST.some((c) => c.id === id))).toBe(true);
        if (words.trim() === '') expect(found).toHaveLength(LIST.length);
      }),
    );
  });
});
