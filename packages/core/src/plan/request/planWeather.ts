/** The weather of a request, over the hours of one cook. */
import type { Weather, WeatherFromHour } from '../../air/weather';
import { epochOf, MINUTE_MS } from '../../quantity/time';

/**
 * The weather from lighting on. Of what is told by the clock, what is in force at lighting comes first; before
 * the first hour that is told, its weather holds already.
 */
export function weatherFromLighting(
  told: Weather | readonly WeatherFromHour[],
  zone: string,
  litMs: number,
): Weather | Weather[] {
  if (!Array.isArray(told)) return told as Weather;
  const list = (told as readonly WeatherFromHour[])
    .map(({ at, ...weather }) => ({
      ...weather,
      atMin: Math.round((epochOf(at, zone) - litMs) / MINUTE_MS),
    }))
    .sort((a, b) => a.atMin - b.atMin);
  const begun = Math.max(0, list.filter((w) => w.atMin <= 0).length - 1);
  return list.slice(begun).map((w, i) => (i === 0 ? { ...w, atMin: 0 } : w));
}

/** One weather for the first so many minutes: the mean over time, the air to a degree and the wind to a tenth. */
export function meanWeather(weather: Weather | readonly Weather[], minutes: number): Weather {
  if (!Array.isArray(weather)) return weather as Weather;
  const list = weather as readonly Weather[];
  const shares = list.map((w, i) => {
    const until = Math.min(list[i + 1]?.atMin ?? minutes, minutes);
    return Math.max(0, until - (w.atMin ?? 0)) / minutes;
  });
  const mean = (of: (weather: Weather) => number): number =>
    list.reduce((sum, w, i) => sum + of(w) * shares[i]!, 0);
  return {
    airC: Math.round(mean((w) => w.airC)),
    windMps: Math.round(10 * mean((w) => w.windMps)) / 10,
    relativeHumidityFraction: Math.round(20 * mean((w) => w.relativeHumidityFraction)) / 20,
    altitudeM: list[0]!.altitudeM,
    rainMmPerH: Math.round(2 * mean((w) => w.rainMmPerH)) / 2,
  };
}
