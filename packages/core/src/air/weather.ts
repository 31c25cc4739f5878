/** The weather at the pit. */
export interface Weather {
  atMin?: number;
  airC: number;
  windMps: number;
  relativeHumidityFraction: number;
  altitudeM: number;
  rainMmPerH: number;
}

/** Weather that holds from an hour of the day on, told in wall-clock time. */
export interface WeatherFromHour extends Omit<Weather, 'atMin'> {
  at: string;
}

/** The weather in force at a minute: the last entry that has begun, or the first. */
export function weatherAt(weather: Weather | Weather[], atMin: number): Weather {
  if (!Array.isArray(weather)) return weather;
  let current = weather[0]!;
  for (const w of weather) if ((w.atMin ?? 0) <= atMin) current = w;
  return current;
}
