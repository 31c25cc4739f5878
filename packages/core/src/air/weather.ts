/** The weather at the pit. */
export interface Weather {
  /** From when on, min after lighting; from the start when left out. */
  atMin?: number;
  /** Air temperature, C. */
  airC: number;
  /** Wind at 10 m, m/s. */
  windMps: number;
  /** Relative humidity, 0 to 1. */
  relativeHumidityFraction: number;
  /** Height over the sea, m. */
  altitudeM: number;
  /** Rain, mm/h. */
  rainMmPerH: number;
}

/** A dry, quiet day, C and m/s. */
export const MILD_DAY: Weather = {
  airC: 15,
  windMps: 1,
  relativeHumidityFraction: 0.6,
  altitudeM: 0,
  rainMmPerH: 0,
};

/** Weather that holds from an hour of the day on, given in wall-clock time. */
export interface WeatherFromHour extends Omit<Weather, 'atMin'> {
  /** Local time from which it holds. */
  at: string;
}

/** The same weather with so many times its wind: of a pit that stands sheltered, or in a draught. */
export function withWindTimes(weather: Weather | Weather[], times: number): Weather | Weather[] {
  if (times === 1) return weather;
  const scaled = (w: Weather): Weather => ({ ...w, windMps: w.windMps * times });
  return Array.isArray(weather) ? weather.map(scaled) : scaled(weather);
}

/** The weather in force at a minute: the last entry that has begun, or the first. */
export function weatherAt(weather: Weather | Weather[], atMin: number): Weather {
  if (!Array.isArray(weather)) return weather;
  let current = weather[0]!;
  for (const w of weather) if ((w.atMin ?? 0) <= atMin) current = w;
  return current;
}
