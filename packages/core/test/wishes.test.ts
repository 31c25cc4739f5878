import fc from 'fast-check';
import {
  cutOf,
  CUTS,
  edibleKg,
  massStepKg,
  piecesFor,
  piecesPerMeat,
  type Pieces,
  type RequestMeat,
  piecesThatFit,
  areApart,
  footprintOf,
  grateOf,
  arrangePieces,
  fitsOnGrate,
  finestStep,
  fractionAtMark,
  ventMark,
  type PlacedPiece,
  plan,
  presetOf,
  type Plan,
} from '@ostrin/core/internals';
import { ventScale } from '@ostrin/testing/ventScale';
import { request } from '@ostrin/testing';

const NOW = Date.UTC(2027, 4, 14, 12);
const quick = (part: Parameters<typeof request>[0] = {}, members = 8): Plan =>
  plan(request(part), { nowMs: NOW, members });

describe('a wish that cannot be met', () => {
  it('says so for a time that has passed or is too near', () => {
    expect(quick({ serveAt: '2027-05-14T10:00' }).problems[0]).toMatchObject({ field: 'serveAt' });
    const near = quick({ serveAt: '2027-05-14T16:00' });
    const { facts } = near.problems[0]!;
    if (facts.kind !== 'lighting-passed') throw new Error(facts.kind);
    expect(facts.lightMs).toBeLessThan(NOW);
    expect(facts.earliestMs).toBeGreaterThan(NOW);
  });

  it('says so when it does not fit the grate, and how many it feeds', () => {
    const crowd = quick({ people: 300 });
    expect(crowd.problems[0]).toMatchObject({ field: 'people' });
    expect(crowd.problems[0]!.facts).toMatchObject({
      kind: 'too-many-pieces',
      fits: crowd.pieces,
      feeds: expect.any(Number),
    });
    expect(crowd.pieces).toBe(
      piecesThatFit(presetOf('kettle-57'), 'snake', cutOf('mutton-shoulder'), 2.5),
    );
  });

  it('says so when the fire cannot get there', () => {
    const pit = request().pits[0];
    const cooker = { preset: 'kettle-57', overrides: { intakeCm2: 5, exhaustCm2: 5, leakCm2: 2 } };
    const hot = quick({ pits: [{ ...pit, cooker, pace: { pitC: 180, bandC: 8 } }] });
    expect(hot.problems.map((x) => x.field)).toContain('pits[0].pace.pitC');
    const { facts } = hot.problems.find((x) => x.field.startsWith('pits'))!;
    expect(facts).toMatchObject({ kind: 'too-cool' });
    if (facts.kind === 'too-cool') expect(facts.settlesC).toBeLessThan(170);
  });

  it('is none where a fire that a fan blows is fed by hand', () => {
    const pit = { ...request().pits[0], fan: true, pace: { pitC: 121, bandC: 8 } };
    for (const [preset, fuel] of [
      ['offset-light', 'lump'],
      ['offset-heavy', 'briquette'],
    ] as const) {
      const fire = { fuel, arrangement: 'coal-bed' } as const;
      const made = quick({ pits: [{ ...pit, cooker: { preset, overrides: {} }, fire }] }, 2);
      expect(made.problems).toEqual([]);
      expect(made.fires[0]!.inBandFraction).toBeGreaterThan(0.9);
      const fed = made.jobs.filter((j) => j.facts.kind === 'feed');
      expect(fed.length).toBeGreaterThan(4);
      expect(fed.at(-1)!.atMin + 90).toBeGreaterThan(made.jobs.find((j) => j.id === 'off')!.atMin);
    }
  });

  it('says how large a piece is that does not fit, and what to do', () => {
    const pit = { ...request().pits[0], cooker: { preset: 'kettle-47', overrides: {} } };
    const meat = { ...request().meats[0], cut: 'brisket', massKg: 9 };
    const problem = quick({ pits: [pit], meats: [meat] }).problems[0]!;
    expect(problem.field).toBe('meats[0].massKg');
    const { facts } = problem;
    if (facts.kind !== 'no-room') throw new Error(facts.kind);
    expect(facts.lengthM).toBeGreaterThan(facts.roomM!);
  });

  it('throws for names outside the catalogues', () => {
    const meat = { ...request().meats[0], cut: 'shoe' };
    expect(() => quick({ meats: [meat] })).toThrow(RangeError);
  });
});

describe('number and mass of pieces', () => {
  it('fits number and mass to the guests, within what a cut is sold as', () => {
    const kg = ({ pieces, massKg }: Pieces): number => pieces * massKg;
    const of = (people: number, meat: Partial<RequestMeat> & { cut: string }): Pieces =>
      piecesPerMeat({ people, appetiteG: 220, meats: [meat] })[0]!;
    // Twelve people eat some 4.7 kg of trimmed shoulder: one piece of it, not two of 3.8 kg.
    expect(of(12, { cut: 'pork-shoulder' }).pieces).toBe(1);
    expect(kg(of(12, { cut: 'pork-shoulder' }))).toBeLessThan(5.2);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 120 }),
        fc.constantFrom(...Object.values(CUTS)),
        fc.option(fc.integer({ min: 1, max: 12 }), { nil: undefined }),
        (people, cut, pieces) => {
          const [low, high] = cut.massRange;
          const fitted = of(people, { cut: cut.id, pieces });
          expect(fitted.massKg).toBeGreaterThanOrEqual(low);
          expect(fitted.massKg).toBeLessThanOrEqual(high);
          const needKg = (people * 0.22) / ((edibleKg(cut, 1)[0] + edibleKg(cut, 1)[1]) / 2);
          if (pieces === undefined) {
            expect(kg(fitted)).toBeGreaterThanOrEqual(needKg * 0.999);
            // What is too much is less than a step of each piece, or the lightest piece that is sold.
            const steps = fitted.pieces * massStepKg(cut);
            expect(kg(fitted)).toBeLessThanOrEqual(Math.max(needKg + steps, low) + 1e-9);
          } else expect(fitted.pieces).toBe(pieces);
        },
      ),
    );
  });

  it('keeps what is said of number and mass, and shares the rest of the appetite', () => {
    const [roast, ribs] = piecesPerMeat({
      people: 20,
      appetiteG: 220,
      meats: [{ cut: 'pork-shoulder', pieces: 1, massKg: 3 }, { cut: 'spare-ribs' }],
    });
    expect(roast).toEqual({ pieces: 1, massKg: 3 });
    const edible = ({ pieces, massKg }: Pieces, cut: string): number => {
      const [low, high] = edibleKg(cutOf(cut), massKg);
      return (pieces * (low + high)) / 2;
    };
    const all = edible(roast!, 'pork-shoulder') + edible(ribs!, 'spare-ribs');
    expect(all).toBeGreaterThanOrEqual(20 * 0.22 * 0.999);
    expect(all).toBeLessThan(20 * 0.22 * 1.1);
  });
});

describe('amounts and vents', () => {
  it('feeds everybody and never nobody', () => {
    const cut = cutOf('mutton-shoulder');
    for (let people = 1; people < 60; people++) {
      const pieces = piecesFor(people, 220, cut, 2.5);
      expect(pieces).toBeGreaterThanOrEqual(1);
      expect(piecesFor(people + 1, 220, cut, 2.5)).toBeGreaterThanOrEqual(pieces);
    }
  });

  it('round settings to what a person can set, and an opening never to shut', () => {
    expect([0, 0.25, 0.5, 1].map((x) => ventMark(x, { way: 'quarters' }, 60))).toEqual([
      0, 8, 16, 32,
    ]);
    const dial = { shut: 3, open: 9, step: 0.5 };
    expect([0, 0.01, 0.25, 1].map((x) => ventMark(x, { way: 'dial', dial }, 60))).toEqual([
      0, 0.5, 3, 12,
    ]);
    fc.assert(
      fc.property(
        fc.double({ min: 1e-6, max: 1, noNaN: true }),
        ventScale,
        fc.integer({ min: 10, max: 150 }),
        (opening, scale, fullMm) => {
          expect(ventMark(opening, scale, fullMm)).toBeGreaterThan(0);
          expect(finestStep(scale, fullMm)).toBeGreaterThan(0);
          // What is set by a mark is told by the same mark.
          const mark = ventMark(opening, scale, fullMm);
          const set = fractionAtMark(mark, scale, fullMm);
          expect(set > 0 && set <= 1).toBe(true);
          expect(ventMark(set, scale, fullMm)).toBe(mark);
        },
      ),
    );
  });

  it('lays pieces on the grate, apart, never over burning fuel', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('kettle-47', 'kettle-57', 'kamado-46', 'offset-heavy', 'hopper-fan'),
        fc.array(
          fc.record({
            cut: fc.constantFrom(
              'brisket',
              'pork-shoulder',
              'spare-ribs',
              'sausages',
              'whole-turkey',
            ),
            share: fc.double({ min: 0, max: 1, noNaN: true }),
          }),
          { minLength: 1, maxLength: 8 },
        ),
        (id, pieces) => {
          const preset = presetOf(id);
          const grate = grateOf(preset, preset.fire.arrangement);
          const laid = arrangePieces(
            grate,
            pieces.map(({ cut, share }) => {
              const [low, high] = cutOf(cut).massRange;
              return footprintOf(cut, low + share * (high - low));
            }),
          ).filter((p): p is PlacedPiece => p !== null);
          expect(laid.every((p) => fitsOnGrate(grate, p))).toBe(true);
          laid.forEach((p, i) =>
            laid.slice(i + 1).forEach((q) => expect(areApart(p, q)).toBe(true)),
          );
        },
      ),
      { numRuns: 40 },
    );
  });
});

it('shops for the wood of each pit', () => {
  const pit = request().pits[0];
  const meat = request().meats[0];
  const tom = {
    id: 'tom',
    cooker: { preset: 'offset-heavy', overrides: {} },
    fire: { fuel: 'splits', species: 'hickory' } as const,
    pace: { pitC: 121, bandC: 8 },
  };
  const made = quick({ pits: [pit, tom], meats: [meat, { ...meat, id: 'second', pit: 'tom' }] }, 1);
  const woods = made.shopping.flatMap((s) =>
    s.kind === 'fuel' && (s.fuel === 'splits' || s.fuel === 'chunks') ? [[s.fuel, s.species]] : [],
  );
  expect(woods).toEqual(
    expect.arrayContaining([
      ['splits', 'hickory'],
      ['chunks', pit.fire.species ?? 'cherry'],
    ]),
  );
  expect(woods).not.toContainEqual(['splits', 'cherry']);
});
