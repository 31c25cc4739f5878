/** Changes of mind: each is run before it is chosen, and the plan follows what was chosen. */
import {
  type Scenario,
  changeOptions,
  FollowedFire,
  foldLog,
  planAsChanged,
  type Entry,
  type ForecastInput,
} from '@ostrin/core/internals';
import { MUTTON_UNDER_WAY, request } from '@ostrin/testing';

const input = (part: Partial<ForecastInput> = {}): ForecastInput => ({
  ...MUTTON_UNDER_WAY,
  ...part,
});

describe('a change of mind', () => {
  const followed = new FollowedFire();
  const options = changeOptions(input(), { targetC: 121, ovenC: 135 }, followed);
  const of = (id: string) => options.find((o) => o.id === id)!;
  const ready = (id: string): number => of(id).readyMin![1];

  it('offers what can be done to a bare piece, each with its window', () => {
    expect(options.map((o) => o.id)).toEqual([
      'as-planned',
      'paper-now',
      'foil-now',
      'boat-now',
      'pan-now',
      'oven-now',
      'lower',
      'hotter',
      'leave-bare',
    ]);
    for (const { readyMin } of options) if (readyMin) expect(readyMin[0]).toBeGreaterThan(240);
  });

  it('is sooner hot and in foil, later in a lower pit, and costs fuel where it is hot', () => {
    expect(ready('hotter')).toBeLessThan(ready('as-planned') - 20);
    expect(ready('foil-now')).toBeLessThan(ready('as-planned'));
    expect(of('lower').readyMin?.[1] ?? Infinity).toBeGreaterThan(ready('as-planned') + 15);
    expect(of('hotter').fuelTimes).toBeGreaterThan(1.3);
    expect(of('lower').fuelTimes).toBeLessThan(1);
    expect(of('oven-now').fuelTimes).toBe(0);
  });

  it('offers unwrapping a piece that is wrapped, and no second wrap', () => {
    const wrapped = input();
    wrapped.done = [...wrapped.done, { atMin: 200, do: 'wrap', meat: 'a', with: 'foil' }];
    expect(changeOptions(wrapped, { targetC: 121, ovenC: 135 }).map((o) => o.id)).toEqual([
      'as-planned',
      'unwrap-now',
      'oven-now',
      'lower',
      'hotter',
    ]);
  });
});

describe('a plan as changed', () => {
  const act = (id: string, at: number, targetC: number, jobId?: string): Entry => ({
    id,
    at,
    kind: 'act',
    action: { do: 'set-target', targetC },
    ...(jobId ? { jobId } : {}),
  });
  const plan = {
    request: request(),
    scenarios: [MUTTON_UNDER_WAY.scenario] as [Scenario],
    jobs: [],
  };
  const target = (entries: Entry[]): number =>
    planAsChanged(plan, foldLog(entries)).request.pits[0].pace.pitC;
  const planned = plan.request.pits[0].pace.pitC;

  it('has the last target that was set by hand, and not the one that a fan was lit with', () => {
    expect(target([])).toBe(planned);
    expect(target([act('a', 1, 150, 'light')])).toBe(planned);
    expect(target([act('a', 1, 150), act('b', 2, 107)])).toBe(107);
    expect(planAsChanged(plan, foldLog([]))).toBe(plan);
  });
});
