import fc from 'fast-check';
import {
  ARRANGEMENTS,
  CHARCOALS,
  PRESETS,
  WOODS,
  dafFraction,
  emptyParcelRates,
  presetOf,
  snakePieces,
  usualFire,
  wetWoodHeat,
  buildFire,
  createParcel,
  isSpent,
  emptyWoodYield,
  stepParcel,
  addToPool,
  fuelPoolOf,
} from '@ostrin/core/internals';

describe('fuels', () => {
  it('knows at least fourteen woods and two grades of ash', () => {
    expect(Object.keys(WOODS).length).toBeGreaterThanOrEqual(14);
    for (const w of Object.values(WOODS)) {
      expect(w.specificGravity).toBeGreaterThan(0.35);
      expect(w.specificGravity).toBeLessThan(0.95);
    }
    expect(CHARCOALS['briquette-ashy'].ashFraction).toBeGreaterThan(
      CHARCOALS.briquette.ashFraction,
    );
  });

  it('gives wet wood less heat than dry, by the water it must boil', () => {
    expect(wetWoodHeat(0)).toBe(18.5e6);
    expect(wetWoodHeat(0.5)).toBeCloseTo(0.5 * 18.5e6 - 0.5 * 2.443e6, 0);
  });

  it('mixes fuels without losing mass, heat or ash', () => {
    const kg = fc.double({ min: 0, max: 5, noNaN: true });
    fc.assert(
      fc.property(kg, kg, (a, b) => {
        const mixed = fuelPoolOf(CHARCOALS.briquette, a);
        const lump = fuelPoolOf(CHARCOALS.lump, b);
        const heat = mixed.kg * mixed.heatJPerKg + lump.kg * lump.heatJPerKg;
        const ash = mixed.kg * mixed.ashPerKg + lump.kg * lump.ashPerKg;
        addToPool(mixed, lump, lump.kg);
        expect(mixed.kg * mixed.heatJPerKg).toBeCloseTo(heat, 2);
        expect(mixed.kg * mixed.ashPerKg).toBeCloseTo(ash, 9);
      }),
    );
  });
});

describe('arrangements', () => {
  it('counts as many pieces in a snake as practice says', () => {
    const pieces = snakePieces({ side: 2, layers: 2, arcDegrees: 290 }, 0.57);
    expect(pieces).toBeGreaterThanOrEqual(105);
    expect(pieces).toBeLessThanOrEqual(112);
  });

  it('builds every arrangement with all the charcoal it was given', () => {
    for (const id of ARRANGEMENTS) {
      const preset = Object.values(PRESETS).find((p) => p.arrangements.includes(id))!;
      const built = buildFire(usualFire(preset, id), preset.parameters);
      const share = dafFraction(CHARCOALS[usualFire(preset, id).fuel]);
      expect(built.lit.kg + built.unlit.kg).toBeCloseTo(built.boughtKg * share, 9);
      expect(built.lit.kg).toBeGreaterThan(0);
      expect(built.arrangement.frontKgPerM).toBeGreaterThan(0);
    }
  });

  it('knows where a snake burns and when a chunk on it is reached', () => {
    const preset = presetOf('kettle-57');
    const { arrangement, lit, unlit } = buildFire(usualFire(preset), preset.parameters);
    const all = lit.kg + unlit.kg;
    expect(arrangement.frontDegrees(all)).toBeCloseTo(330, -1);
    expect(arrangement.frontDegrees(all / 2)).toBeCloseTo(165, -1);
    expect(arrangement.caughtFractionToReach({ atArcDegrees: 165 })).toBeCloseTo(0.5, 1);
    const { arrangement: bowl } = buildFire(
      usualFire(presetOf('kamado-46')),
      presetOf('kamado-46').parameters,
    );
    expect(bowl.frontDegrees(1)).toBeNull();
    expect(bowl.caughtFractionToReach({ depthFraction: 0.7 })).toBeCloseTo(0.7);
  });
});

describe('wood on the coals', () => {
  const burn = (moistureFraction: number, oxygen: number, split = true) => {
    const p = createParcel({
      species: 'oak',
      massKg: split ? 1.2 : 0.06,
      moistureFraction,
      split,
      startK: 283,
    });
    p.caught = true;
    const out = emptyWoodYield();
    const rates = emptyParcelRates();
    let flamesAt = Infinity;
    let burntAt = Infinity;
    let t = 0;
    for (; t < 7200 && p.dryKg > 0; t += 5) {
      stepParcel(p, { coalK: 1080, gasK: 620, oxygen, open: false, contact: 1 }, 5, out, rates);
      if (p.flame > 0.5) flamesAt = Math.min(flamesAt, t);
      if (p.dryKg < 0.05 * p.initialDryKg) burntAt = Math.min(burntAt, t);
    }
    return { p, out, flamesAt, burntAt };
  };

  it('turns all of its dry mass into breath and char, all of its water into steam', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.4, noNaN: true }),
        fc.double({ min: 0.02, max: 0.22, noNaN: true }),
        fc.boolean(),
        (moisture, oxygen, split) => {
          const { p, out } = burn(moisture, oxygen, split);
          expect(out.volatilesKg + out.charKg + p.dryKg).toBeCloseTo(p.initialDryKg, 9);
          const water = (p.initialDryKg / (1 - moisture)) * moisture;
          expect(out.steamKg + p.skinWaterKg + p.coreWaterKg).toBeCloseTo(water, 9);
          expect(out.burntVolatilesKg).toBeLessThanOrEqual(out.volatilesKg);
          expect(out.volatilesKg).toBeGreaterThanOrEqual(0);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('burns nearly all of a split in half an hour to an hour and a quarter, later and longer when damp', () => {
    const dry = burn(0.16, 0.18);
    const damp = burn(0.3, 0.18);
    expect(dry.burntAt / 60).toBeGreaterThan(30);
    expect(dry.burntAt / 60).toBeLessThan(75);
    expect(damp.flamesAt).toBeGreaterThan(dry.flamesAt);
    expect(damp.burntAt).toBeGreaterThan(dry.burntAt);
    expect(isSpent(dry.p)).toBe(true);
  });

  it('smokes without a flame where there is no air', () => {
    const starved = burn(0.16, 0.03);
    const aired = burn(0.16, 0.18);
    expect(starved.flamesAt).toBe(Infinity);
    const smoke = (x: typeof aired): number => x.out.volatilesKg - x.out.burntVolatilesKg;
    expect(smoke(starved)).toBeGreaterThan(5 * smoke(aired));
  });
});
