/** A piece that waits after it came off: in one stage or two, and until when it waits well. */
import fc from 'fast-check';
import {
  epochOf,
  MINUTE_MS,
  plan,
  simulate,
  type Request,
  type RestSpec,
} from '@ostrin/core/internals';
import { held, request } from '@ostrin/testing';

const NOW = Date.UTC(2027, 4, 12, 12);

describe('a rest in two stages', () => {
  const rest = (spec: RestSpec) =>
    simulate({
      ...held(121, { done: { coreC: 90 }, rest: spec }),
      untilMin: 1400,
      everyMin: 1,
    }).meats[0]!;

  it('stops the cooking before the piece is shut in: it ends colder and less soft', () => {
    const straight = rest({ where: 'oven', atC: 77, minutes: 300 });
    const counter = rest({
      where: 'oven',
      atC: 77,
      minutes: 300,
      first: { where: 'counter', untilCoreC: 71 },
    });
    const at = straight.doneAtMin! + 290;
    expect(counter.doneAtMin).toBe(straight.doneAtMin);
    expect(counter.tenderness[at]!).toBeLessThan(straight.tenderness[at]! - 0.3);
    // It fell to where it was to be shut in, and was kept warm from there on.
    const after = counter.coreC.slice(counter.doneAtMin!).filter((c) => c !== null);
    expect(Math.min(...after)).toBeGreaterThan(62);
    expect(Math.min(...after)).toBeLessThan(72);
  });

  it('keeps to its minutes in all, whatever its stages', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 90 }), (minutes) => {
        const m = rest({ where: 'cool-box', minutes: 60, first: { where: 'open', minutes } });
        const to = m.coreC.findLastIndex((c) => c !== null);
        expect(to - m.doneAtMin!).toBe(59);
      }),
      { numRuns: 4 },
    );
  });
});

describe('the hold of a plan', () => {
  const holdOf = (rest: RestSpec, part: Partial<Request['meats'][number]> = {}) => {
    const usual = request();
    const meat = { ...usual.meats[0], cut: 'brisket', massKg: 6, ...part, rest };
    const made = plan(
      { ...usual, serveAt: '2027-05-16T18:00', meats: [meat] },
      { nowMs: NOW, members: 8 },
    );
    const holds = made.holds.flatMap((h) => ('rows' in h ? [h] : []));
    return { ...made, holds };
  };

  it('is longer after the counter than straight into the same oven, and ends for another reason', () => {
    const oven = { where: 'oven', atC: 77, minutes: 120 } as const;
    const wrap = { with: 'foil', when: { coreC: 74 } } as const;
    const [straight] = holdOf(oven, { wrap }).holds;
    const counter = holdOf({ ...oven, first: { where: 'counter', untilCoreC: 71 } }, { wrap });
    expect(straight!.ends).toBe('soft');
    expect(counter.holds[0]!.goodMin).toBeGreaterThan(2 * straight!.goodMin);
    // Rows each half hour for a day, softer and lighter all the time.
    const { rows } = counter.holds[0]!;
    expect(rows.at(-1)!.afterMin).toBe(1440);
    for (let i = 1; i < rows.length; i++) {
      expect(rows[i]!.tenderness).toBeGreaterThanOrEqual(rows[i - 1]!.tenderness);
      expect(rows[i]!.lostFraction).toBeGreaterThanOrEqual(rows[i - 1]!.lostFraction - 1e-9);
    }
  });

  it('ends in a cool box when the middle is too cold to be held, and its job says no more than that', () => {
    const figures = holdOf({
      where: 'cool-box',
      minutes: 60,
      first: { where: 'open', minutes: 12 },
    });
    const [hold] = figures.holds;
    expect(hold!.ends).toBe('cold');
    const within = hold!.rows.filter((r) => r.afterMin <= hold!.goodMin);
    expect(within.length).toBeGreaterThan(3);
    expect(within.at(-1)!.coreC).toBeGreaterThanOrEqual(60);
    expect(hold!.rows[within.length]!.coreC).toBeLessThan(60);
    const off = figures.jobs.find((j) => j.facts.kind === 'meat-off')!.facts;
    if (off.kind !== 'meat-off') throw new Error(off.kind);
    expect(off.holdsMin).toBeLessThanOrEqual(hold!.goodMin);
    expect(hold!.goodUntil > hold!.offAt).toBe(true);
  });

  it('is when the piece is wanted at the earliest, and no later than its rest allows', () => {
    const figures = holdOf({ where: 'cool-box', minutes: 60 });
    const ready = figures.ready[0]!;
    const [from, to, served] = [...ready.wanted!, figures.serveAt].map((at) =>
      epochOf(at, 'Europe/Ljubljana'),
    );
    expect(served! - to!).toBe(60 * MINUTE_MS);
    // No longer than it waits well, by the simulated piece; that is known to half an hour before its hour is.
    const waits = (served! - from!) / MINUTE_MS;
    expect(waits).toBeGreaterThan(60);
    expect(waits).toBeLessThanOrEqual(figures.holds[0]!.goodMin + 30);
    expect(ready.chanceEarlyFraction).toBeLessThan(0.3);
  });

  it('is not told of a rough answer', () => {
    expect(plan(request(), { nowMs: NOW, members: 1 }).holds).toEqual([]);
  });
});
