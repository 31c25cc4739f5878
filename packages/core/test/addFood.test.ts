/** Food that is added to a cook: what it does to the pit, and what the log, the plan and its jobs make of it. */
import {
  type Scenario,
  actionsOf,
  addedFoods,
  deedAtMs,
  foldLog,
  foodOf,
  foodOutcome,
  planAsChanged,
  type Entry,
  type FoodWish,
  type ForecastInput,
} from '@ostrin/core/internals';
import { MUTTON_UNDER_WAY, request } from '@ostrin/testing';

const INPUT: ForecastInput = {
  ...MUTTON_UNDER_WAY,
  nowMin: 180,
  readings: MUTTON_UNDER_WAY.readings.filter((r) => r.atMin < 180),
  members: 3,
};
const CHICKEN: FoodWish = {
  id: 'hens',
  cut: 'whole-chicken',
  massKg: 1.6,
  count: 1,
  pitC: 121,
};

describe('food that is added to a cook', () => {
  const one = foodOutcome(INPUT, CHICKEN);
  const four = foodOutcome(INPUT, { ...CHICKEN, count: 4 });

  it('cools the pit, the more the more there is of it, and takes fuel for its heat', () => {
    expect(one.dip.mostK).toBeGreaterThan(1);
    expect(four.dip.mostK).toBeGreaterThan(one.dip.mostK);
    expect(four.dip.backMin ?? Infinity).toBeGreaterThanOrEqual(one.dip.backMin ?? Infinity);
    // The same heat for each piece, over the same fire; four are done a little later and drier.
    expect(four.fuelMin! / one.fuelMin!).toBeGreaterThan(3);
    expect(four.fuelMin! / one.fuelMin!).toBeLessThan(5.5);
  });

  it('is done within hours, safe, and what is on already is not done sooner', () => {
    const [p10, p50, p90] = one.readyMin!;
    expect(p10).toBeGreaterThan(INPUT.nowMin + 45);
    expect(p90).toBeLessThan(INPUT.nowMin + 400);
    expect(p10).toBeLessThanOrEqual(p50);
    expect(p50).toBeLessThanOrEqual(p90);
    expect(one.food.done).toEqual({ coreC: 74 });
    const { without, with: withIt } = four.firstReadyMin;
    expect(withIt?.[1] ?? Infinity).toBeGreaterThanOrEqual(without![1] - 3);
  });

  it('has its hour beyond the end of the cook, and none where it is not done in what is run', () => {
    const scenario = { ...INPUT.scenario, untilMin: 400 };
    const put = (massKg: number, pitC: number) =>
      foodOutcome(
        { ...INPUT, scenario },
        { id: 'b', cut: 'pork-shoulder', massKg, count: 1, pitC },
      );
    expect(put(1, 121).readyMin![1]).toBeGreaterThan(400);
    expect(put(6, 121).readyMin).toBeNull();
  });

  it('is pulled before its wanted middle where a roast is meant', () => {
    const roast = foodOf({ id: 'r', cut: 'rib-roast', massKg: 1.5, count: 1, pitC: 121 });
    expect((roast.done as { coreC: number }).coreC).toBeLessThan(53);
    expect(() => foodOf({ ...CHICKEN, cut: 'unicorn' })).toThrow(RangeError);
  });
});

describe('food in the log', () => {
  const MIN = 60_000;
  const food = foodOf(CHICKEN);
  const light: Entry = {
    id: 'l',
    at: 0,
    jobId: 'light',
    kind: 'act',
    action: { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 },
  };
  const add: Entry = { id: 'f', at: 180 * MIN, kind: 'add-food', food, offAt: 270 * MIN };
  const plan = { request: request(), scenarios: [INPUT.scenario] as [Scenario], jobs: [] };
  const ids = (entries: Entry[]): string[] =>
    planAsChanged(plan, foldLog(entries)).scenarios[0].meats.map((m) => m.id);

  it('goes on under an open lid, is a piece of the plan, and is gone when it is taken back', () => {
    const log = foldLog([light, add]);
    expect(actionsOf(log, 0).slice(1)).toEqual([
      { atMin: 180, do: 'lid-open', seconds: 60 },
      { atMin: 180, do: 'meat-on', meat: 'hens' },
    ]);
    expect(deedAtMs(log, 'meat-on', 'hens')).toBe(180 * MIN);
    expect(ids([light, add])).toEqual(['a', 'hens']);
    const changed = planAsChanged(plan, log);
    expect(changed.request.meats.at(-1)).toMatchObject({ id: 'hens', pieces: 1, massKg: 1.6 });
    expect(changed.scenarios[0].untilMin).toBeGreaterThanOrEqual(180 + 720);
    expect(changed.jobs).toMatchObject([
      { id: 'off hens', atMin: 270, logs: [{ do: 'meat-off', meat: 'hens' }] },
    ]);
    const undo: Entry = { id: 'u', at: 181 * MIN, kind: 'undo', target: 'f' };
    expect(ids([light, add, undo])).toEqual(['a']);
  });

  it('moves with its corrected time', () => {
    const retime: Entry = { id: 't', at: 190 * MIN, kind: 'retime', target: 'f', to: 170 * MIN };
    const log = foldLog([light, add, retime]);
    expect(addedFoods(log)).toEqual([{ food, onMs: 170 * MIN, offMs: 270 * MIN }]);
  });
});
