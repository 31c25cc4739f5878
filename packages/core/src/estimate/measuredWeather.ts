/** The weather of a cook: the forecast, and over it what a weather station at the pit told. */
import { weatherAt, type Weather } from '../air/weather';

/** What a weather station told at a minute; null where it does not tell something. */
export interface WeatherReading {
  /** Minutes after lighting. */
  atMin: number;
  /** Air, C. */
  airC: number | null;
  /** Wind, m/s, as at 10 m. */
  windMps: number | null;
  /** Rain, mm/h. */
  rainMmPerH: number | null;
}

/** What a station told last holds so long; then the forecast does again, min. */
const HOLDS_MIN = 60;

/** The weather as it is known at `nowMin`: what was told up to then where there is a station, else the forecast. */
export function measuredWeather(
  forecast: Weather | Weather[],
  readings: readonly WeatherReading[],
  nowMin: number,
): Weather[] {
  const planned = Array.isArray(forecast) ? forecast : [forecast];
  const told = readings.filter((r) => r.atMin <= nowMin);
  if (told.length === 0) return planned;
  const first = told[0]!.atMin;
  const until = told.at(-1)!.atMin + HOLDS_MIN;
  return [
    ...planned.filter((w) => (w.atMin ?? 0) < first),
    ...told.map((r): Weather => {
      const { airC, windMps, rainMmPerH, ...rest } = weatherAt(forecast, r.atMin);
      return {
        ...rest,
        atMin: r.atMin,
        airC: r.airC ?? airC,
        windMps: r.windMps ?? windMps,
        rainMmPerH: r.rainMmPerH ?? rainMmPerH,
      };
    }),
    { ...weatherAt(forecast, until), atMin: until },
    ...planned.filter((w) => (w.atMin ?? 0) > until),
  ];
}
