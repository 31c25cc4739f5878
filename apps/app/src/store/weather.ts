/** The weather of a draft as a request tells it, both ways: by day, and colder in the small hours. */
import { epochOf, localOf } from '@ostrin/core/quantity';
import type { Request, Weather, WeatherFromHour } from '@ostrin/core';
import { WINDS, type PlanDraft } from './planDraft';

type DayAndNight = Pick<PlanDraft, 'airC' | 'nightC' | 'windMps'>;

const HUMIDITY = 0.6;
const DAY_MS = 86_400_000;
/** Nights before a meal that a cook may go through. */
const NIGHTS = [-2, -1, 0];
/** How far the night has come at an hour: coldest from before midnight until the sun is up (common practice). */
const HOURS = [
  { at: '08:00', share: 0.5 },
  { at: '10:00', share: 0 },
  { at: '20:00', share: 0.5 },
  { at: '23:00', share: 1 },
];

/** A day and its small hours, which are never warmer: a day as cool as they are has none of its own. */
export const withNight = (airC: number, nightC: number | null): Omit<DayAndNight, 'windMps'> => ({
  airC,
  nightC: nightC !== null && nightC < airC ? nightC : null,
});

/** What a request says of the weather in a yard so many metres above the sea. */
export function weatherOf(
  draft: DayAndNight & Pick<PlanDraft, 'serveAt' | 'timeZone'>,
  altitudeM: number,
): Request['weather'] {
  const { airC, nightC, windMps, serveAt, timeZone } = draft;
  const by = (c: number): Weather => ({
    airC: c,
    windMps,
    relativeHumidityFraction: HUMIDITY,
    altitudeM,
    rainMmPerH: 0,
  });
  if (nightC === null) return by(airC);
  const noon = epochOf(`${serveAt.slice(0, 10)}T12:00`, timeZone);
  return NIGHTS.flatMap((n): WeatherFromHour[] => {
    const day = localOf(noon + n * DAY_MS, timeZone).slice(0, 10);
    return HOURS.map(({ at, share }) => ({
      at: `${day}T${at}`,
      ...by(airC + share * (nightC - airC)),
    }));
  });
}

/** What a draft can say of a request's weather: its warmest and coldest hours, and the nearest wind. */
export function dayAndNight(weather: Request['weather']): DayAndNight {
  const list: readonly Omit<Weather, 'atMin'>[] = Array.isArray(weather) ? weather : [weather];
  const air = list.map((w) => Math.round(w.airC));
  const wind = Math.max(...list.map((w) => w.windMps));
  const [nearest] = WINDS.map((w) => w.value).sort(
    (a, b) => Math.abs(a - wind) - Math.abs(b - wind),
  );
  return { ...withNight(Math.max(...air), Math.min(...air)), windMps: nearest! };
}
