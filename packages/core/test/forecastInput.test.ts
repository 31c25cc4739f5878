/** What the core is asked about a cook under way. */
import { foldLog, forecastInput, type Entry, type PlanJob } from '../src/internals';
import { kettle, request } from './scenarios';

const job = (id: string, atMin: number, rest: Pick<PlanJob, 'do' | 'logs'>): PlanJob => ({
  id,
  at: '',
  atMin,
  inWords: '',
  detail: '',
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
    expect(bandK).toBe(plan.request.pits[0]!.pace.bandC);
  });

  it('leaves out what was done', () => {
    const done: Entry = { id: 'a', at: 1, kind: 'job', jobId: 'trim-1' };
    expect(forecastInput('c', plan, foldLog([done]), [], 0, 60_000).ahead).toEqual([]);
  });
});
