import fc from 'fast-check';
import { lastValue, rangeOf, spreadLabels, sampled, type Point } from '../src/strip/model';
import { hourTicks, temperatureTicks } from '../src/strip/Strip';
import { short } from '../src/strip/Marks';
import { spanToAsk } from '../src/strip/useFineReadings';
import { panned, zoomed } from '../src/strip/useStripView';
import { COLOUR_NAMES, contrast, DAY, NIGHT } from '../src/ui/tokens';
import { hourSpan } from '../src/plan/FourTimes';
import { due } from '../src/tend/OrderCard';
import { clockAndDay, degrees, quarter, keepUnitsTogether } from '../src/ui/words';

describe('labels', () => {
  it('never collide while there is room, keep their order and their field', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 400, noNaN: true }), { maxLength: 12 }),
        (wanted) => {
          const at = spreadLabels(wanted, 22, 10, 390);
          const sorted = [...at].sort((a, b) => a - b);
          for (let i = 1; i < sorted.length; i++)
            expect(sorted[i]! - sorted[i - 1]!).toBeGreaterThan(21.99);
          for (const a of at) {
            expect(a).toBeGreaterThan(9.99);
            expect(a).toBeLessThan(390.01);
          }
        },
      ),
    );
  });

  it('do not collide for five pieces that end together, and long names are cut', () => {
    const at = spreadLabels([200, 200, 200, 200, 200], 19, 30, 300);
    expect(new Set(at).size).toBe(5);
    expect(short('the very long name of a shoulder')).toHaveLength(13);
    expect(short('short')).toBe('short');
  });
});

it('keeps figures with their units at the end of a line', () => {
  expect(keepUnitsTogether('cooks 9 h 28, 13.8 kg, 45 min at 121 °C')).toBe(
    'cooks 9\u00a0h\u00a028, 13.8\u00a0kg, 45\u00a0min at 121\u00a0°C',
  );
  expect(keepUnitsTogether('2 mutton shoulders, 4 chunks, in 10 pits')).toBe(
    '2 mutton shoulders, 4 chunks, in 10 pits',
  );
  fc.assert(
    fc.property(fc.string(), (text) => {
      expect(keepUnitsTogether(text).replaceAll('\u00a0', ' ')).toBe(
        text.replaceAll('\u00a0', ' '),
      );
    }),
  );
});

describe('the strip', () => {
  const pick = { timeOf: (p: Point) => p.t, valueOf: (p: Point) => p.c, spans: 200 };

  it('tells a long trace in few points that keep every peak, and its ends and gaps', () => {
    const points = Array.from({ length: 57_600 }, (_, i) => ({
      t: i,
      c: i >= 20_000 && i < 21_000 ? null : i === 33_333 ? 300 : 120 + (i % 7),
    }));
    const few = sampled(points, { ...pick, from: 0, to: 57_600 });
    expect(few.length).toBeLessThanOrEqual(402);
    expect(few.some((p) => p.c === 300)).toBe(true);
    expect(few.some((p) => p.c === null && p.t > 20_000 && p.t < 21_000)).toBe(true);
    expect(Math.min(...few.flatMap((p) => (p.c === null ? [] : [p.c])))).toBe(120);
    expect(lastValue(points, 20_500)!.t).toBe(19_999);
  });

  it('samples any list within its bounds, in order, with its lowest and highest values (property)', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 50_000 }), { minLength: 1, maxLength: 3000 }),
        fc.integer({ min: 5, max: 60 }),
        (times, spans) => {
          const points = times.sort((a, b) => a - b).map((t) => ({ t, c: (t * 7919) % 1000 }));
          const few = sampled(points, { ...pick, spans, from: 0, to: 50_001 });
          expect(few.every((p, i) => i === 0 || p.t > few[i - 1]!.t)).toBe(true);
          const of = (list: readonly Point[]) => list.map((p) => p.c!);
          expect(Math.max(...of(few))).toBe(Math.max(...of(points)));
          expect(Math.min(...of(few))).toBe(Math.min(...of(points)));
          expect(few.length).toBeLessThanOrEqual(2 * spans + 2);
        },
      ),
    );
  });

  it('zooms about the moment that is held, within bounds, and pans by what was dragged (property)', () => {
    const hour = 3_600_000;
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0.05, max: 20, noNaN: true }),
        (share, times) => {
          const span = { from: 10 * hour, to: 14 * hour };
          const held = span.from + share * 4 * hour;
          const next = zoomed(span, held, times);
          expect((held - next.from) / (next.to - next.from)).toBeCloseTo(share, 6);
          expect(next.to - next.from).toBeLessThanOrEqual(72 * hour);
          const moved = panned(next, hour);
          expect(moved.to - moved.from).toBeCloseTo(next.to - next.from, 3);
        },
      ),
    );
  });

  it('has a scale on round figures in either unit, and hours on the clock', () => {
    expect(rangeOf([null, 7, 163], [{ from: 0, bandC: [113, 129] }])).toEqual([0, 180]);
    const f = temperatureTicks([0, 180], { temperature: 'F', mass: 'lb' }, 4);
    for (const c of f) expect((c * 1.8 + 32) % 50).toBeCloseTo(0, 6);
    const from = Date.UTC(2027, 6, 1, 6, 20);
    const ticks = hourTicks(from, from + 5 * 3_600_000, 6, 'Europe/Ljubljana');
    expect(ticks).toHaveLength(5);
    expect(new Date(ticks[0]!).toISOString()).toBe('2027-07-01T07:00:00.000Z');
    expect(
      hourTicks(from, from + 3_600_000, 3, 'Asia/Kolkata').every((t) => t % 1_800_000 === 0),
    ).toBe(true);
  });
});

describe('colours', () => {
  const paperOf = (t: typeof DAY) => [t.paper, t.sheet];
  it.each([
    ['day', DAY],
    ['night', NIGHT],
  ])('%s can be read: readings 7:1, the rest 4.5:1, lines 3:1', (_name, t) => {
    for (const paper of paperOf(t)) {
      expect(contrast(t.ink, paper)).toBeGreaterThanOrEqual(7);
      expect(contrast(t.soot, paper)).toBeGreaterThanOrEqual(4.5);
      for (const meat of t.meats) expect(contrast(meat, paper)).toBeGreaterThanOrEqual(4.5);
      expect(contrast(t.pit, paper)).toBeGreaterThanOrEqual(3);
      expect(contrast(t.edge, paper)).toBeGreaterThanOrEqual(3);
    }
    expect(contrast(t.onPit, t.pit)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(t.onPad, t.pad)).toBeGreaterThanOrEqual(7);
    expect(contrast(t.bandEdge, t.band)).toBeGreaterThanOrEqual(2.5);
    for (const key of Object.keys(COLOUR_NAMES)) expect(t).toHaveProperty(key);
  });
});

describe('words', () => {
  it('says times, spans and settings as a person can use them', () => {
    expect(clockAndDay('2027-05-15T18:30')).toBe('18:30 Sat');
    expect(degrees(121.4, { temperature: 'F', mass: 'lb' })).toBe('251°');
    expect(degrees(null, { temperature: 'C', mass: 'kg' })).toBe('–');
    expect([0, 0.25, 0.5, 0.75, 1].map(quarter)).toEqual(['shut', '¼', '½', '¾', 'open']);
    expect(hourSpan(60, 200)).toBe('1–3¼ h');
    expect(hourSpan(0, 45)).toBe('0–¾ h');
    expect([9.2, 0.3, -0.5, -12, 75].map(due)).toEqual([
      'in 9 min',
      'now',
      'now',
      '12 min ago',
      'in 1 h 15',
    ]);
  });
});

it('asks for more readings of a long record by spans that hold what is shown, and seldom', () => {
  const hour = 3_600_000;
  fc.assert(
    fc.property(
      fc.integer({ min: 10, max: 3000 }),
      fc.integer({ min: 3, max: 160 }),
      (minutes, hoursAgo) => {
        const last = 1_800_000_000_000;
        const from = last - hoursAgo * hour;
        const span = { from, to: from + minutes * 60_000 };
        const ask = spanToAsk(span, last)!;
        expect(ask.from).toBeLessThanOrEqual(span.from);
        expect(ask.to).toBeGreaterThanOrEqual(span.to);
        expect(ask.to - ask.from).toBeLessThanOrEqual(4 * (span.to - span.from));
      },
    ),
  );
  expect(spanToAsk({ from: 100 * hour, to: 101 * hour }, 101 * hour)).toBeNull();
  // Dragged along by an hour, minute by minute, it asks a few times.
  const steps = Array.from({ length: 60 }, (_, i) =>
    JSON.stringify(spanToAsk({ from: i * 60_000, to: hour + i * 60_000 }, 1000 * hour)),
  );
  expect(new Set(steps).size).toBeLessThanOrEqual(5);
});
