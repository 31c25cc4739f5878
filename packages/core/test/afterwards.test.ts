/** What is made of cooks that are over: verdicts, glances, figures, and what explains a difference. */
import fc from 'fast-check';
import {
  afterwardsOf,
  comparedTimes,
  cookVerdict,
  foldLog,
  glanceOf,
  handFigures,
  MINUTE_MS,
  PIECE_VERDICTS,
  simulate,
  summarise,
  TRACE_POINTS,
  whyLate,
  type PieceVerdict,
} from '@ostrin/core/internals';
import { act, cookOf, entry, ZERO } from './finishedCook';

const VERDICTS = Object.values<readonly PieceVerdict[]>(PIECE_VERDICTS).flat();

describe('what is said of a cook', () => {
  it('is what was said last of each piece and thing, and nothing that was taken back', () => {
    const said = fc.record({
      meat: fc.constantFrom('a', 'b'),
      verdict: fc.constantFrom(...VERDICTS),
      undone: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(said, { maxLength: 12 }), (list) => {
        const entries = list.flatMap(({ meat, verdict, undone }) => {
          const e = entry(0, { kind: 'verdict', meat, verdict });
          return undone ? [e, entry(1, { kind: 'undo', target: e.id })] : [e];
        });
        const { verdicts } = afterwardsOf(entries);
        for (const meat of ['a', 'b']) {
          for (const [of, options] of Object.entries(PIECE_VERDICTS)) {
            const last = list.findLast(
              (s) =>
                s.meat === meat && !s.undone && (options as readonly string[]).includes(s.verdict),
            );
            expect(verdicts[meat]?.[of as 'bark']).toBe(last?.verdict);
          }
        }
      }),
    );
  });

  it('comes to as wished, to its faults, or to nothing', () => {
    expect(cookVerdict({ verdicts: {} })).toBeNull();
    expect(cookVerdict({ verdicts: { a: { tenderness: 'tender', bark: 'bark-good' } } })).toEqual({
      asWished: true,
      faults: [],
    });
    const two = { a: { moisture: 'dry' }, b: { moisture: 'dry', smoke: 'smoke-good' } } as const;
    expect(cookVerdict({ verdicts: two })).toEqual({ asWished: false, faults: ['dry'] });
  });

  it('keeps notes for next time and what was weighed', () => {
    const note = entry(9, { kind: 'next-time', about: 'cut', cut: 'brisket', text: 'Longer' });
    const gone = entry(9, { kind: 'next-time', about: 'pit', text: 'Wrong' });
    const after = afterwardsOf([
      note,
      gone,
      entry(10, { kind: 'undo', target: gone.id }),
      entry(11, { kind: 'weighed', what: 'fuel-left', kg: 0.4 }),
      entry(12, { kind: 'weighed', what: 'cooked', meat: 'a', kg: 3.1 }),
      entry(12, { kind: 'weighed', what: 'trimmed', meat: 'a', kg: 5 }),
    ]);
    expect(after.nextTime).toEqual([{ id: note.id, about: 'cut', cut: 'brisket', text: 'Longer' }]);
    expect([after.fuelLeftKg, after.pieces.a]).toEqual([0.4, { trimmedKg: 5, cookedKg: 3.1 }]);
  });
});

it('moves the end of a cook that was forgotten, and takes that back', () => {
  const end = entry(20_000, { kind: 'finish' });
  const move = entry(20_001, { kind: 'retime', target: end.id, to: ZERO + 600 * MINUTE_MS });
  expect(foldLog([end, move]).finishedAt).toBe(ZERO + 600 * MINUTE_MS);
  const back = entry(20_002, { kind: 'undo', target: move.id });
  expect(foldLog([end, move, back]).finishedAt).toBe(end.at);
});

describe('a finished cook', () => {
  const { cook, plan, offMin } = cookOf({}, { massKg: 2.2 });
  const log = foldLog(cook.entries);

  it('is told at a glance', () => {
    const glance = glanceOf(plan, cook.entries, cook.readings);
    expect(glance.traceC).toHaveLength(TRACE_POINTS);
    expect(glance.bandC).toEqual([113, 129]);
    expect(glance.ready.actual).toBe(ZERO + offMin * MINUTE_MS);
    expect(glance.inBandFraction).toBe(summarise(plan, log, cook.readings).inBandFraction);
    expect(glance.verdict).toBeNull();
  });

  it('is told without a single reading', () => {
    const glance = glanceOf(plan, cook.entries, []);
    expect(glance.traceC.every((c) => c === null)).toBe(true);
    expect(glance.inBandFraction).toBeNull();
  });

  it('has the figures that are worked out by hand', () => {
    const f = handFigures(plan, log, cook.readings);
    expect(f.minutesPerKg).toBeCloseTo((offMin - 30) / 2.2, 1);
    expect(f.times.map((t) => (t.actual - t.planned) / MINUTE_MS)).toEqual([0, 5, offMin - 480]);
    expect(f.untouched).toEqual({
      from: ZERO + 30 * MINUTE_MS,
      to: ZERO + offMin * MINUTE_MS,
    });
    expect(f.looks.times).toBe(1);
    // An unwrapped shoulder stalls between 60 and 85 C, as the engine's own piece did.
    const [scenario] = plan.scenarios;
    const own = simulate({ ...scenario, untilMin: offMin }).meats[0]!.stall!;
    expect(Math.abs((f.stall!.from - ZERO) / MINUTE_MS - own.fromMin)).toBeLessThan(3);
    expect(Math.abs((f.stall!.to - ZERO) / MINUTE_MS - own.toMin)).toBeLessThan(3);
  });

  it('costs what its looks took, as far as readings show it', () => {
    const at = ZERO + 200 * MINUTE_MS;
    const pit = (min: number): number => (min <= 0 || min > 10 ? 120 : 90 + 3 * min);
    const readings = Array.from({ length: 40 }, (_, i) => ({
      at: at + (i - 10) * MINUTE_MS,
      pitC: pit(i - 10),
      coreC: 60,
    }));
    const looked = foldLog([act(200, { do: 'lid-open', seconds: 60 })]);
    const { looks } = handFigures(plan, looked, readings);
    expect([looks.times, looks.seen, looks.fallK]).toEqual([1, 1, 27]);
    // Under by 27, 24 … 3 K for a minute each: 135 K min of a difference of 60 K.
    expect(looks.lostMin).toBeCloseTo(132 / 60, 0);
    expect(looks.backMin).toBeGreaterThan(8);
    expect(handFigures(plan, looked, []).looks.lostMin).toBeNull();
  });
});

describe('what explains a difference', () => {
  it('finds nothing between a cook and itself', () => {
    const { cook } = cookOf({});
    const [causes] = comparedTimes([cook, cook]);
    for (const min of Object.values(causes as object))
      expect(Math.abs(min as number)).toBeLessThan(1);
  }, 30_000);

  it('finds the meat where the meat differs, and the wrap where that does', () => {
    const [plain, heavy, wrapped] = [
      cookOf({}, { massKg: 1.6 }).cook,
      cookOf({}, { massKg: 2.6 }).cook,
      cookOf({}, { massKg: 1.6, wrapAtMin: 240 }).cook,
    ];
    const [meat, wrap] = comparedTimes([plain, heavy, wrapped]) as Record<string, number>[];
    expect(meat!.meat).toBeGreaterThan(30);
    expect(Math.abs(meat!.wrap!)).toBeLessThan(10);
    expect(wrap!.wrap).toBeLessThan(-20);
    expect(Math.abs(wrap!.meat!)).toBeLessThan(1);
    for (const causes of [meat!, wrap!]) {
      expect(Math.abs(causes['rest-of-it']!)).toBeLessThan(12);
    }
  }, 30_000);

  it('finds the pit where its vents stood otherwise', () => {
    const hot = [{ atMin: 0, do: 'set-vents' as const, intakeFraction: 0.5, exhaustFraction: 0.5 }];
    const [causes] = comparedTimes([cookOf({}).cook, cookOf({ actions: hot }).cook]);
    const { pit, meat } = causes as Record<string, number>;
    expect(Math.abs(pit!)).toBeGreaterThan(15);
    expect(Math.abs(meat!)).toBeLessThan(1);
  }, 30_000);

  it('says so where a log does not tell, and where nothing was late', () => {
    const { cook } = cookOf({});
    expect(comparedTimes([cook, { ...cook, entries: [] }])).toEqual(['not-logged']);
    const ready = { plannedOn: ZERO, plannedOff: ZERO };
    expect(whyLate({ ...cook, entries: [] }, ready)).toBeNull();
  });

  it('tells why a cook was late: it went on late; its pit was as planned', () => {
    const { cook, offMin } = cookOf({});
    const why = whyLate(cook, {
      plannedOn: ZERO + 10 * MINUTE_MS,
      plannedOff: ZERO + (offMin - 20) * MINUTE_MS,
    })!;
    expect([why.started, why.lateMin]).toEqual([20, 20]);
    const causes = why.causes as Record<string, number>;
    const all = Object.values(causes).reduce((a, b) => a + b, 0);
    // All causes together, with the late start, make up the whole of it.
    expect(why.started + all).toBeCloseTo(why.lateMin, 6);
    expect(Math.abs(causes.pit!)).toBeLessThan(5);
  }, 30_000);
});
