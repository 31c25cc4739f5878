/** One table from several pits, pieces laid by hand, and the same meal in other ways. */
import fc from 'fast-check';
import {
  onePit,
  areApart,
  compareVariants,
  designFire,
  epochOf,
  fitsOnGrate,
  footprintOf,
  grateOf,
  lateIfLitAt,
  placedAt,
  planGrate,
  type Request,
  simulate,
  type VariantFigures,
  variantRequests,
  WRAP_SCHOOLS,
} from '@ostrin/core/internals';
import { type WordedPlan } from '@ostrin/wording';
import { planDocument } from '@ostrin/wording/documents';
import { request } from '@ostrin/testing';

const NOW = Date.UTC(2027, 4, 13, 12);
const MEAT = request().meats[0];
const quick = (part: Partial<Request> = {}, members = 8): WordedPlan =>
  planDocument(request(part), { nowMs: NOW, members });
const pitOf = (id: string, preset: string, fuel: 'lump' | 'briquette', pitC: number) => ({
  id,
  cooker: { preset, overrides: {} },
  fire: { fuel },
  pace: { pitC, bandC: 8 },
});
const SAUSAGES = {
  ...MEAT,
  id: 'treat',
  cut: 'sausages',
  massKg: 0.15,
  pieces: 6,
  serveAt: '2027-05-15T15:00',
  wrap: { with: 'none' as const },
  done: { coreC: 74 },
  rest: { where: 'open' as const, minutes: 5 },
};

describe('a plan for two pits', () => {
  const whole = quick({
    pits: [pitOf('bosun', 'kettle-57', 'briquette', 121), pitOf('jar', 'kamado-46', 'lump', 135)],
    meats: [
      { ...MEAT, id: 'a', pit: 'bosun', pieces: 1 },
      { ...MEAT, id: 'b', pit: 'jar', pieces: 1, prepare: 'dry-brine' },
      { ...SAUSAGES, pit: 'jar' },
    ],
  });
  const parts = ['bosun', 'jar'].map((id) => onePit(whole, id));

  it('comes apart into two plans that lose nothing and speak of one fire each', () => {
    expect(parts.map((p) => p.request.meats.map((m) => m.id))).toEqual([['a'], ['b', 'treat']]);
    expect(parts.map((p) => p.fires.length + p.scenarios.length)).toEqual([2, 2]);
    const jobs = parts.flatMap((p) => p.jobs.filter((j) => j.do !== 'serve'));
    // Shopping is the table's.
    expect(whole.jobs.filter((j) => j.do === 'shop')).toHaveLength(1);
    expect(jobs).toHaveLength(whole.jobs.filter((j) => !['serve', 'shop'].includes(j.do)).length);
    expect(parts.reduce((n, p) => n + p.pieces, 0)).toBe(whole.pieces);
    expect(parts.flatMap((p) => p.vents)).toHaveLength(whole.vents.length);
  });

  it.each([0, 1])('gives part %i the plain names and times of a plan of its own', (k) => {
    const part = parts[k]!;
    const ids = part.jobs.map((j) => j.id);
    expect(ids).toEqual(
      expect.arrayContaining(['lay', 'light', 'meat-on', 'off', 'shut', 'serve']),
    );
    expect(new Set(ids).size).toBe(ids.length);
    expect(part.jobs.every((j) => j.pit === undefined)).toBe(true);
    const lit = epochOf(part.lightAt, part.request.timeZone);
    for (const j of part.jobs) {
      const at = epochOf(j.at, part.request.timeZone);
      expect(Math.abs((at - lit) / 60000 - j.atMin)).toBeLessThanOrEqual(0.5);
    }
    expect([part.lightAt, part.meatOnAt[0]!, part.ready[0]!.p50, part.serveAt]).toEqual(
      [part.lightAt, part.meatOnAt[0]!, part.ready[0]!.p50, part.serveAt].sort(),
    );
    expect(simulate(part.scenarios[0]).meats[0]!.doneAtMin).not.toBeNull();
  });

  it('keeps courses with their pit, and the middle of every piece', () => {
    expect(parts[0]!.jobs.filter((j) => j.do === 'serve').map((j) => j.id)).toEqual(['serve']);
    expect(parts[1]!.jobs.filter((j) => j.do === 'serve').map((j) => j.id)).toEqual([
      'serve-treat',
      'serve',
    ]);
    const { everyMin, others } = parts[1]!.expected;
    expect(others).toHaveLength(1);
    const lit = epochOf(parts[1]!.lightAt, whole.request.timeZone);
    const on = (epochOf(parts[1]!.meatOnAt[1]!, whole.request.timeZone) - lit) / 60000;
    const first = others![0]!.coreC.findIndex((c) => c !== null);
    expect(Math.abs(first * everyMin - on)).toBeLessThanOrEqual(2 * everyMin);
  });

  it('is the plan itself where there is one pit, and an error where there is none', () => {
    expect(onePit(parts[0]!, 'bosun')).toEqual(parts[0]);
    expect(() => onePit(whole, 'tower')).toThrow(RangeError);
  });

  it('calls a course served from one pit alone its meal', () => {
    const early = quick({
      pits: whole.request.pits,
      meats: [
        { ...MEAT, id: 'a', pit: 'bosun', pieces: 1 },
        { ...SAUSAGES, pit: 'jar' },
      ],
    });
    const treat = onePit(early, 'jar');
    expect(treat.serveAt).toBe(SAUSAGES.serveAt);
    expect(treat.jobs.filter((j) => j.do === 'serve').map((j) => [j.id, j.at])).toEqual([
      ['serve', SAUSAGES.serveAt],
    ]);
  });
});

describe('pieces laid by hand', () => {
  const way = designFire(pitOf('tom', 'offset-heavy', 'lump', 121));
  const grate = grateOf(way.preset, way.fire.arrangement);

  it('lie where they are wished or are named, and never touch or leave the ground', () => {
    const lie = fc.record({
      x: fc.double({ min: -0.6, max: 0.6, noNaN: true }),
      y: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
      turned: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(lie, { minLength: 1, maxLength: 4 }), (wished) => {
        const meat = { ...MEAT, lie: wished };
        const { plan: made, misplaced } = planGrate(way, [{ meat, pieces: 4, index: 0 }]);
        expect(made.laid.every((p) => fitsOnGrate(grate, p))).toBe(true);
        made.laid.forEach((p, i) =>
          made.laid.slice(i + 1).forEach((q) => expect(areApart(p, q)).toBe(true)),
        );
        wished.forEach(({ x, y }, n) => {
          if (misplaced.some((m) => m.piece === n)) return;
          expect(made.laid.some((p) => p.x === x && p.y === y)).toBe(true);
        });
      }),
      { numRuns: 60 },
    );
  });

  it('cook where they lie, and are refused over the fire', () => {
    const pits = [pitOf('tom', 'offset-heavy', 'lump', 121)];
    const foot = footprintOf(MEAT.cut, MEAT.massKg!);
    const far = grate.lengthM / 2 - foot.lengthM / 2 - 0.01;
    expect(fitsOnGrate(grate, placedAt(foot, far, 0))).toBe(true);
    const at = (x: number): WordedPlan =>
      quick({ pits, meats: [{ ...MEAT, pieces: 1, lie: [{ x, y: 0 }] }] }, 1);
    const away = at(far);
    expect(away.problems).toEqual([]);
    expect(away.scenarios[0]!.meats[0]!.at).toBe('far');
    expect(away.grates[0]!.laid[0]!.at).toBe('far');
    const hot = at(-grate.lengthM / 2);
    expect(hot.problems[0]).toMatchObject({ field: 'meats[0].lie[0]' });
    expect(hot.problems[0]!.message).toMatch(/over the fire/);
  });
});

describe('other ways', () => {
  const rows = (wish: Request): VariantFigures[] =>
    [
      ...compareVariants(
        wish,
        { fires: [{ id: 'lump', fire: { fuel: 'lump' } }] },
        { nowMs: NOW, members: 24 },
      ),
    ].filter((r) => r !== null);

  it('are paces, wraps, every school of wrapping, fires and pits, each once and never the same again', () => {
    const others = {
      pits: [pitOf('jar', 'kamado-46', 'lump', 121)],
      fires: [{ id: 'x', fire: { fuel: 'lump' as const } }],
    };
    const ids = variantRequests(request(), others).map((w) => w.id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids.filter((id) => id.startsWith('when-'))).toHaveLength(
      Object.keys(WRAP_SCHOOLS).length - 1,
    );
    expect(ids).toEqual(expect.arrayContaining(['pace-150', 'wrap-foil', 'fire-x', 'pit-jar']));
    const roast = request({
      meats: [{ ...MEAT, cut: 'rib-roast', wrap: { with: 'none' }, done: { coreC: 52 } }],
    });
    expect(variantRequests(roast).some((w) => /^(wrap|when)-/.test(w.id))).toBe(false);
  });

  it('are late or not by the clock of the plan they are compared with', () => {
    const all = rows(request({ pits: [pitOf('jar', 'kamado-46', 'lump', 121)] }));
    const base = all[0]!;
    expect(base.lateIfLitAsPlannedFraction).toBeCloseTo(base.chanceLateFraction, 6);
    const slow = all.find((r) => r.id === 'pace-107')!;
    const fast = all.find((r) => r.id === 'pace-150')!;
    expect(slow.lateIfLitAsPlannedFraction).toBeGreaterThan(base.chanceLateFraction);
    expect(fast.lateIfLitAsPlannedFraction).toBeLessThanOrEqual(base.chanceLateFraction);
    expect(all.every((r) => r.bark !== null && r.tenderness !== null)).toBe(true);
  });

  it('never get later by lighting earlier', () => {
    const p = quick();
    const lit = epochOf(p.lightAt, p.request.timeZone);
    let before = 0;
    for (const min of [-240, -60, 0, 60, 240]) {
      const late = lateIfLitAt(p, lit + min * 60000);
      expect(late).toBeGreaterThanOrEqual(before);
      before = late;
    }
    expect(before).toBeGreaterThan(0.5);
  });
});
