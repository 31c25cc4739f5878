/** Looks of a cook under way: by the rule of its plan, so long after the pit was last seen to. */
import {
  cookNow,
  knownCook,
  localOf,
  MINUTE_MS,
  planOnePit,
  type CookNow,
  type Entry,
  type JobFacts,
  type ReadingRow,
} from '@ostrin/core/internals';
import { entriesFrom, request } from '@ostrin/testing';

const T0 = Date.UTC(2027, 4, 15, 5);
const PLAN = planOnePit(request(), { nowMs: T0 - 86_400_000, members: 2 });
const RULE = PLAN.rules![0]!;
if (RULE.notches.by !== 'vents') throw new Error('a kettle is held by its vents');
const { settings } = RULE.notches;
const entry = entriesFrom(T0);
const at = (min: number): number => T0 + min * MINUTE_MS;

const vents = (min: number, notch: number, jobId?: string): Entry => {
  const { intake, exhaust } = settings[notch]!;
  return entry(
    min,
    { kind: 'act', action: { do: 'set-vents', intakeFraction: intake, exhaustFraction: exhaust } },
    jobId,
  );
};
const lit = entry(
  0,
  { kind: 'act', action: { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 } },
  'light',
);
const on = entry(40, { kind: 'act', action: { do: 'meat-on', meat: 'mutton' } });
const closed = vents(50, RULE.start, 'hold');

const cook = (entries: Entry[], min: number, wire: ReadingRow[] = []): CookNow =>
  cookNow(
    knownCook({ id: 'c', plan: PLAN, startMs: T0, entries: [lit, on, ...entries], readings: wire }),
    {},
    at(min),
  );
type LookFacts = Extract<JobFacts, { kind: 'look' }>;
const looks = (of: CookNow): { min: number; id: string; facts: LookFacts }[] =>
  of.jobs.flatMap(({ job, ms }) =>
    job.facts.kind === 'look' ? [{ min: (ms - T0) / MINUTE_MS, id: job.id, facts: job.facts }] : [],
  );

describe('a look', () => {
  it('comes so long after the vents were closed down, were moved, or the pit was read, and there is one', () => {
    expect(looks(cook([closed], 55)).map((l) => l.min)).toEqual([50 + RULE.everyMin]);
    const moved = vents(70, RULE.start - 1);
    expect(looks(cook([closed, moved], 72)).map((l) => l.min)).toEqual([70 + RULE.everyMin]);
    const read = entry(81, { kind: 'read', spot: 'grate', c: 120 });
    expect(looks(cook([closed, moved, read], 82)).map((l) => l.min)).toEqual([81 + RULE.everyMin]);
  });

  it('is over when it is done, and the next one counts from there', () => {
    const [first] = looks(cook([closed], 75));
    const done = entry(76, { kind: 'job' }, first!.id);
    const [next] = looks(cook([closed, done], 77));
    expect(next!.id).not.toBe(first!.id);
    expect(next!.min).toBe(76 + RULE.everyMin);
  });

  it('names the notches on either side of where the vents stand, and none beyond the last', () => {
    const [look] = looks(cook([closed], 55));
    expect(look!.facts).toMatchObject({
      overK: RULE.overK,
      underK: RULE.underK,
      tighter: settings[RULE.start - 1],
      wider: settings[RULE.start + 1],
    });
    expect(looks(cook([closed, vents(70, 0)], 72))[0]!.facts.tighter).toBeNull();
    expect(looks(cook([closed, vents(70, settings.length - 1)], 72))[0]!.facts.wider).toBeNull();
  });

  it('is none while it comes up, once all is off, and where a connected thermometer reads the pit', () => {
    expect(looks(cook([], 48))).toEqual([]);
    const off = entry(300, { kind: 'act', action: { do: 'meat-off', meat: 'mutton' } });
    expect(looks(cook([closed, off], 301))).toEqual([]);
    const wire: ReadingRow[] = [{ at: at(100), pitC: 121, coreC: null }];
    expect(looks(cook([closed], 101, wire))).toEqual([]);
    // It fell silent: somebody has to look again.
    expect(looks(cook([closed], 200, wire))).toHaveLength(1);
  });

  it('wakes nobody whom the pit can do without, and is there in the morning', () => {
    const zone = PLAN.request.timeZone;
    const hourOf = (min: number): number => Number(localOf(at(min), zone).slice(11, 13));
    // T0 is 07:00 there.
    const evening = 14 * 60 + 40;
    const read = (min: number) => entry(min, { kind: 'read', spot: 'grate', c: 121 });
    const next = (aloneMin: number | null, lastMin: number): number => {
      const plan = { ...PLAN, rules: [{ ...RULE, aloneMin }] };
      const entries = [lit, on, closed, read(lastMin)];
      const known = knownCook({ id: 'c', plan, startMs: T0, entries, readings: [] });
      return looks(cookNow(known, {}, at(lastMin + 1)))[0]!.min;
    };
    expect(hourOf(evening)).toBe(21);
    // By day, and where it may not be left alone, it comes as the rule says.
    expect(next(300, 300)).toBe(300 + RULE.everyMin);
    expect(next(null, evening + 40)).toBe(evening + 40 + RULE.everyMin);
    expect(next(300, evening + 40)).toBe(evening + 40 + 300);
    // Long before it may be left no longer, people are up.
    const late = evening + 6 * 60;
    expect(hourOf(next(600, late))).toBe(6);
  });
});
