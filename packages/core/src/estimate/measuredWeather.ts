/** The weather of a cook: the forecast, and over it what a weather station or somebody at the pit saw. */
import { weatherAt, type Weather } from '../air/weather';

/** What was seen of the weather at a minute; null where something was not. */
export interface WeatherReading {
  /** Minutes after lighting. */
  atMin: number;
  /** Air, C. */
  airC: number | null;
  /** Wind, m/s, as at 10 m. */
  windMps: number | null;
  /** Rain, mm/h. */
  rainMmPerH: number | null;
  /** From which minute on it is known, where that is before: the end of what somebody saw. */
  knownMin?: number;
}

/** How long what was seen last holds before the forecast does again, min. */
const HOLDS_MIN = 60;

/** The weather as it is known at `nowMin`: what was seen up to then, else the forecast. */
export function measuredWeather(
  forecast: Weather | Weather[],
  readings: readonly WeatherReading[],
  nowMin: number,
): Weather[] {
  const planned = Array.isArray(forecast) ? forecast : [forecast];
  const seen = readings.filter((r) => (r.knownMin ?? r.atMin) <= nowMin);
  const last = seen.at(-1);
  if (!last) return planned;
  const first = seen[0]!.atMin;
  const until = last.atMin + HOLDS_MIN;
  return [
    ...planned.filter((w) => (w.atMin ?? 0) < first),
    ...seen.map((r): Weather => {
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
