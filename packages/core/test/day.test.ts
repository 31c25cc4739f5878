/** Weather that changes over a cook: told by the clock, gone through from lighting on. */
import fc from 'fast-check';
import {
  epochOf,
  localOf,
  MINUTE_MS,
  plan,
  weatherAt,
  weatherFromLighting,
  type Plan,
  type Weather,
  type WeatherFromHour,
} from '@ostrin/core/internals';
import { request } from '@ostrin/testing';

const ZONE = 'Europe/Ljubljana';
const NOW = Date.UTC(2027, 4, 14, 6);
const MILD = request().weather as Weather;
const from = (at: string, airC: number): WeatherFromHour => ({ ...MILD, at, airC });
const planned = (weather: Weather | WeatherFromHour[], members = 1): Plan =>
  plan(request({ weather }), { nowMs: NOW, members });

it('holds at each minute what was told last for that hour, over the change of clocks too', () => {
  const base = epochOf('2027-03-27T12:00', ZONE);
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 0, max: 47 }), { minLength: 1, maxLength: 8 }),
      fc.integer({ min: 0, max: 2000 }),
      fc.integer({ min: 0, max: 2000 }),
      (hours, litMin, minute) => {
        // Entries in any order; the air tells which one it is.
        const told = hours.map((h) => from(localOf(base + h * 60 * MINUTE_MS, ZONE), h));
        const over = weatherFromLighting(told, ZONE, base + litMin * MINUTE_MS);
        const now = (litMin + minute) / 60;
        const begun = hours.filter((h) => h <= now);
        expect(weatherAt(over, minute).airC).toBe(
          begun.length > 0 ? Math.max(...begun) : Math.min(...hours),
        );
      },
    ),
  );
});

it('is one weather for all the cook where one is told', () => {
  expect(weatherFromLighting(MILD, ZONE, 0)).toBe(MILD);
  const [once, listed] = [planned(MILD, 8), planned([from('2027-05-15T12:00', MILD.airC)], 8)];
  expect(listed.jobs).toEqual(once.jobs);
  expect(listed.fires).toEqual(once.fires);
});

it('goes through a cold night: more burnt than on a mild one, less than if it were cold all day', () => {
  const night = [
    from('2027-05-14T12:00', 12),
    from('2027-05-15T06:00', -10),
    from('2027-05-15T12:00', 12),
  ];
  const burnt = (weather: Weather | WeatherFromHour[]): number =>
    planned(weather, 16).fires[0]!.neededKg;
  const [mild, cold, all] = [burnt(MILD), burnt(night), burnt({ ...MILD, airC: -10 })];
  expect(cold).toBeGreaterThan(1.02 * mild);
  expect(all).toBeGreaterThan(1.02 * cold);
});

it('gives each pit of a table the hours of its own fire', () => {
  const weather = [from('2027-05-14T12:00', 12), from('2027-05-15T15:00', 24)];
  const [bosun] = request().pits;
  const [mutton] = request().meats;
  const made = plan(
    request({
      weather,
      pits: [bosun, { ...bosun, id: 'second' }],
      meats: [
        mutton,
        {
          ...mutton,
          id: 'bird',
          cut: 'whole-chicken',
          massKg: 1.6,
          pit: 'second',
          wrap: { with: 'none' },
          done: { coreC: 74 },
          rest: { where: 'tented', minutes: 15 },
        },
      ],
    }),
    { nowMs: NOW, members: 1 },
  );
  const warmFrom = made.scenarios.map(
    ({ weather: over }) => (over as Weather[]).find((w) => w.airC === 24)!.atMin!,
  );
  // The same hour of the day is later in the cook of the fire that is lit sooner.
  const apart = epochOf(made.fires[1]!.lightAt!, ZONE) - epochOf(made.fires[0]!.lightAt!, ZONE);
  expect(warmFrom[0]! - warmFrom[1]!).toBeGreaterThan(apart / MINUTE_MS - 60);
  expect(warmFrom[0]!).toBeGreaterThan(warmFrom[1]! + 60);
});
