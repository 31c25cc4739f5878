/** What the core is asked about a cook under way. */
import {
  foldLog,
  forecastInput,
  type Entry,
  type PlanJob,
  type ReadingRow,
} from '@ostrin/core/internals';
import { kettle, request } from '@ostrin/testing';

const job = (id: string, atMin: number, rest: Pick<PlanJob, 'do' | 'logs'>): PlanJob => ({
  id,
  at: '',
  atMin,
  facts: { kind: 'turn-grate' },
  ...rest,
});
const plan: Parameters<typeof forecastInput>[1] = {
  request: request(),
  scenarios: [kettle()],
  jobs: [
    job('trim-1', 90, {
      do: 'check',
      logs: [{ do: 'set-vents', intakeFraction: 0.2, exhaustFraction: 0.5 }],
    }),
    job('shut', 300, {
      do: 'shut-down',
      logs: [
        { do: 'fan', on: false },
        { do: 'set-vents', intakeFraction: 0, exhaustFraction: 0 },
      ],
    }),
  ],
};

describe('what the core is asked about a cook under way', () => {
  it('looks ahead to the jobs that are left, but shuts no pit down by the clock', () => {
    const { ahead, bandK } = forecastInput('c', plan, foldLog([]), [], 0, 60_000);
    expect(ahead).toEqual([
      { do: 'set-vents', intakeFraction: 0.2, exhaustFraction: 0.5, atMin: 90 },
    ]);
    expect(bandK).toBe(plan.request.pits[0].pace.bandC);
  });

  it('leaves out what was done', () => {
    const done: Entry = { id: 'a', at: 1, kind: 'job', jobId: 'trim-1' };
    expect(forecastInput('c', plan, foldLog([done]), [], 0, 60_000).ahead).toEqual([]);
  });

  it('takes one value of each channel in fifteen seconds from an instrument that tells each second', () => {
    const rows: ReadingRow[] = Array.from({ length: 3600 }, (_, i) => ({
      at: 1000 * i,
      pitC: 121,
      coreC: i % 10 === 7 ? 60 : null,
      weather: { windMps: 3 },
    }));
    // What a hand read between two of them is kept.
    rows.splice(1000, 0, { at: 1_000_000, pitC: null, coreC: null, domeC: 140 });
    const asked = forecastInput('c', plan, foldLog([]), rows, 0, 3_600_000);
    const count = (key: 'pitC' | 'coreC' | 'domeC'): number =>
      asked.readings.filter((r) => r[key] != null).length;
    expect(count('pitC')).toBeGreaterThanOrEqual(240);
    expect(asked.readings.length).toBeLessThanOrEqual(500);
    expect(count('coreC')).toBeGreaterThanOrEqual(240);
    expect(count('domeC')).toBe(1);
  });
});
