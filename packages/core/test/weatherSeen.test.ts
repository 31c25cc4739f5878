/** Weather that somebody saw at the pit, over the forecast. */
import {
  foldLog,
  measuredWeather,
  MILD_DAY,
  weatherSeen,
  type Entry,
  type Verdict,
} from '@ostrin/core/internals';

const T0 = Date.UTC(2027, 4, 15, 8);
const MIN = 60_000;

it('is as somebody saw it too: rain for an hour or until it is over, a gust for minutes', () => {
  const seen = (...looks: readonly (readonly [min: number, verdict: Verdict])[]) =>
    weatherSeen(
      foldLog(
        looks.map(([min, verdict]): Entry => ({
          id: `${verdict}-${min}`,
          at: T0 + min * MIN,
          kind: 'look',
          what: 'weather',
          verdict,
        })),
      ),
      T0,
    );
  const at = (readings: ReturnType<typeof seen>, nowMin: number, min: number) =>
    [...measuredWeather(MILD_DAY, readings, nowMin)].reverse().find((w) => (w.atMin ?? 0) <= min)!;
  const rain = seen([10, 'rain']);
  expect([9, 11, 69, 71].map((min) => at(rain, 12, min).rainMmPerH ?? 0)).toEqual([0, 3, 3, 0]);
  const short = seen([10, 'rain'], [20, 'dry']);
  expect([15, 25].map((min) => at(short, 30, min).rainMmPerH ?? 0)).toEqual([3, 0]);
  // A gust does not end a wind, nor rain; each lasts by itself.
  const gusty = seen([10, 'rain'], [12, 'windy'], [20, 'gust']);
  expect(
    [13, 22, 26, 75].map((min) => {
      const { windMps, rainMmPerH } = at(gusty, 20, min);
      return [windMps, rainMmPerH];
    }),
  ).toEqual([
    [7, 3],
    [10, 3],
    [7, 3],
    [MILD_DAY.windMps, 0],
  ]);
});
