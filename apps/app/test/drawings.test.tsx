/** Fires as they are drawn: to scale, with what they are made of, names apart. */
import { CHARCOALS, PRESETS, presetOf } from '@ostrin/core/catalogue';
import { grateOf, designFire } from '@ostrin/core/engine';
import { METRIC } from '@ostrin/core/quantity';
import type { PlannedFire } from '@ostrin/core';
import { render, screen } from '@testing-library/react-native';
import fc from 'fast-check';
import { fireShape } from '../src/drawings/fireShapes';
import { heightOf } from '../src/drawings/heap';
import { FireSide, namesAt } from '../src/drawings/FireSide';
import { basketBlocks } from '../src/drawings/Grate';

/** A fire as planned, of a preset's usual kind unless told otherwise. */
function fireIn(preset: string, part: Partial<PlannedFire> = {}, splits = false): PlannedFire {
  const way = designFire({
    id: 'p',
    cooker: { preset, overrides: {} },
    fire: { fuel: splits ? 'splits' : 'lump', arrangement: part.arrangement },
    pace: { pitC: 121, bandC: 8 },
  });
  const fire = way.fire;
  const massKg = 'massKg' in fire ? fire.massKg : 2.9;
  const litMassKg = 'litMassKg' in fire ? fire.litMassKg : 0.3;
  const piece = CHARCOALS[fire.fuel].pieceKg;
  return {
    pit: 'p',
    arrangement: fire.arrangement,
    fuel: fire.fuel,
    pieces: Math.round(massKg / piece),
    massKg,
    litPieces: Math.round(litMassKg / piece),
    woodChunks: fire.woodChunks,
    lengthenPieces: 0,
    lastsMin: 600,
    feeding: splits
      ? [
          {
            what: 'splits',
            massKg: 1.2,
            everyMin: 45,
            fromMin: 30,
            toMin: 480,
            count: 11,
          },
        ]
      : [],
    reserveKg: 0.5,
    neededKg: 2,
    leftKg: 0.5,
    hourPieces: null,
    ...part,
  };
}

const DEEP = ['kamado-46', 'kamado-steel-50', 'bullet-47', 'hopper-fan', 'hopper-damper'];

describe('a fire from the side', () => {
  it.each(DEEP)('stands in a %s as high as its mass takes, lit where it is lit', (id) => {
    const preset = presetOf(id);
    const full = fireIn(id, { massKg: preset.fullLoadKg });
    const half = fireIn(id, { massKg: preset.fullLoadKg / 2 });
    const count = (f: PlannedFire): number =>
      fireShape(f, preset, METRIC)!.pieces.filter((p) => p.kind !== 'wood').length;
    expect(count(half)).toBeLessThan(0.75 * count(full));
    const pieces = fireShape(full, preset, METRIC)!.pieces;
    const lit = pieces.filter((p) => p.kind === 'lit');
    const unlit = pieces.filter((p) => p.kind === 'unlit');
    expect(lit.length).toBeGreaterThan(0);
    const depth = (of: typeof lit): number => of.reduce((s, p) => s + p.y, 0) / of.length;
    // Y runs downward: a bowl is lit on top, a hopper at its grate.
    if (preset.family === 'hopper') expect(depth(lit)).toBeGreaterThan(depth(unlit));
    else expect(depth(lit)).toBeLessThan(depth(unlit));
    expect(pieces.filter((p) => p.kind === 'wood')).toHaveLength(full.woodChunks.length);
  });

  it('keeps its pieces inside the picture and names each part once', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(PRESETS)),
        fc.double({ min: 0.2, max: 1.1, noNaN: true }),
        fc.boolean(),
        (id, share, splits) => {
          const preset = presetOf(id);
          const fire = fireIn(id, {}, splits && preset.family === 'offset');
          const shape = fireShape({ ...fire, massKg: share * preset.fullLoadKg }, preset, METRIC);
          if (!shape) return;
          for (const p of shape.pieces) {
            expect(p.x).toBeGreaterThan(0);
            expect(p.x).toBeLessThan(shape.widthM);
            expect(p.y).toBeLessThan(shape.heightM);
          }
          const names = shape.labels.map((l) => l.text);
          expect(new Set(names).size).toBe(names.length);
        },
      ),
    );
  });

  it('fills what holds it in proportion to its mass', () => {
    const column = { halfM: () => 0.1, volumeM3: (h: number) => h * 0.04, deepestM: 1 };
    expect(heightOf(column, 6)).toBeCloseTo(0.5, 3);
    expect(heightOf(column, 12)).toBeCloseTo(1, 3);
  });

  it('says what it shows, and leaves snakes and baskets to the picture from above', () => {
    render(<FireSide preset="kamado-46" fire={fireIn('kamado-46')} size={340} />);
    const label = String(screen.getByTestId('fire-side').props['aria-label']);
    expect(label).toMatch(
      /deflector, then the grate; .* lit, on top; 4 chunks of 60 g; .* of lump/,
    );
    expect(
      fireShape(fireIn('kettle-57', { arrangement: 'side-basket' }), presetOf('kettle-57'), METRIC),
    ).toBeNull();
    const bed = fireShape(fireIn('offset-heavy', {}, true), presetOf('offset-heavy'), METRIC)!;
    expect(bed.splits).toHaveLength(2);
    expect(bed.labels.map((l) => l.text)).toContain('a split of 1.2 kg');
  });

  it('keeps names apart and in the picture', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 0.4, noNaN: true }), { minLength: 1, maxLength: 5 }),
        (ys) => {
          const labels = ys.map((y, i) => ({ x: 0, y, text: String(i) }));
          const at = namesAt(labels, 400, 170);
          at.forEach((y, i) => {
            expect(y).toBeGreaterThanOrEqual(14);
            if (i > 0) expect(y - at[i - 1]!).toBeGreaterThanOrEqual(20);
          });
          expect(at.at(-1)!).toBeLessThanOrEqual(170);
        },
      ),
    );
  });
});

it('lays a basket along its side of the grate, lit in one corner, chunks from there on', () => {
  const fire = fireIn('kettle-57', { arrangement: 'side-basket' });
  const shape = grateOf(presetOf('kettle-57'), 'side-basket');
  const blocks = basketBlocks(shape, fire);
  for (const b of blocks) {
    expect(b.x).toBeLessThan(shape.clearFromX);
    expect(Math.hypot(b.x, b.y)).toBeLessThan(shape.lengthM / 2);
  }
  const of = (kind: string) => blocks.filter((b) => b.kind === kind);
  const lowest = (list: typeof blocks): number => Math.min(...list.map((b) => b.y));
  expect(of('lit').length).toBeGreaterThan(0);
  expect(lowest(of('lit'))).toBeGreaterThan(lowest(of('unlit')));
  expect(of('wood')).toHaveLength(fire.woodChunks.length);
});
