/** The Larkmere rowing club's boathouse yard. All invented. */
import type { PitRecord } from '@ostrin/contract';
import { DAY_MS, localOf, type Request } from '@ostrin/core';
import { onePit, planDocument } from '@ostrin/wording';
import type { Story } from './playStory';

export const ZONE = 'Europe/Ljubljana';

/** The kettle in the yard: it leaks a little more than the preset, as old ones do. */
export const BOSUN = {
  id: 'bosun',
  name: 'the Bosun',
  preset: 'kettle-57',
  overrides: { leakCm2: 11 },
  ventWay: 'quarters',
} as const satisfies PitRecord;

/** The yard's other pits. */
export const OTHER_PITS: readonly PitRecord[] = [
  {
    id: 'long-tom',
    name: 'Long Tom',
    preset: 'offset-heavy',
    overrides: { leakCm2: 18 },
    ventWay: 'fingers',
  },
  { id: 'clay-jar', name: 'Clay Jar', preset: 'kamado-46', overrides: {}, ventWay: 'mm' },
  { id: 'tower', name: 'the Tower', preset: 'hopper-fan', overrides: {}, ventWay: 'quarters' },
];

interface StoryRequest {
  daysAgo: number;
  serve: string;
  people: number;
  massKg: number;
  pitC: number;
  wrap: 'paper' | 'foil' | 'none';
  airC: number;
  windMps: number;
}

function requestFor(nowMs: number, w: StoryRequest): Request {
  const day = localOf(nowMs - w.daysAgo * DAY_MS, ZONE).slice(0, 10);
  return {
    ostrin: 'request/1',
    serveAt: `${day}T${w.serve}`,
    timeZone: ZONE,
    people: w.people,
    appetiteG: 220,
    pits: [
      {
        id: BOSUN.id,
        cooker: { preset: BOSUN.preset, overrides: BOSUN.overrides },
        fire: { fuel: 'briquette', arrangement: 'snake', species: 'cherry' },
        pace: { pitC: w.pitC, bandC: 8 },
      },
    ],
    meats: [
      {
        id: 'mutton',
        cut: 'mutton-shoulder',
        massKg: w.massKg,
        wrap: w.wrap === 'none' ? { with: 'none' } : { with: w.wrap, when: { coreC: 74 } },
        done: { tender: true },
        rest: { where: 'cool-box', minutes: 60 },
      },
    ],
    weather: {
      airC: w.airC,
      windMps: w.windMps,
      relativeHumidityFraction: 0.65,
      altitudeM: 310,
      rainMmPerH: 0,
    },
    chanceOnTimeFraction: 0.9,
  };
}

/** Plans a past cook as it would have been planned then. */
type Planner = (w: StoryRequest) => Story['plan'];

/** A cook that went well. */
const regattaLunch = (planned: Planner): Story => ({
  id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7a01',
  name: 'Regatta lunch',
  pitName: BOSUN.name,
  plan: planned({
    daysAgo: 9,
    serve: '13:30',
    people: 10,
    massKg: 2.6,
    pitC: 121,
    wrap: 'paper',
    airC: 14,
    windMps: 1.5,
  }),
  lateMin: { hold: 2, 'meat-on': 4 },
  notes: [
    { atMin: 180, text: 'Thin blue since the meat went on. Anka has the early watch.' },
    { atMin: 330, text: 'Bark took its time on the lee side, opened the lid vent a quarter.' },
  ],
  extra: [{ atMin: 240, action: { do: 'lid-open', seconds: 45 } }],
  callAtC: 94,
  trims: true,
});

/** A cook that went wrong: the snake ended halfway and the wind got up off the water. */
const nightBeforeTheRace = (planned: Planner): Story => ({
  id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7a02',
  name: 'Night before the race, short snake',
  pitName: BOSUN.name,
  plan: planned({
    daysAgo: 30,
    serve: '19:00',
    people: 8,
    massKg: 2.4,
    pitC: 121,
    wrap: 'none',
    airC: 7,
    windMps: 2,
  }),
  really: (s) => ({
    ...s,
    fire:
      s.fire?.arrangement === 'snake' ? { ...s.fire, arcDegrees: 0.5 * s.fire.arcDegrees } : s.fire,
    weather: [
      { ...(s.weather as object), atMin: 0 } as never,
      { ...(s.weather as object), atMin: 150, windMps: 7, airC: 3 } as never,
    ],
  }),
  lateMin: { hold: 9, 'meat-on': 12 },
  notes: [
    { atMin: 170, text: 'Wind off the lake. Moved the Bosun behind the boat rack.' },
    {
      atMin: 300,
      text: 'Falling, and it is not the vents: Idris had laid the snake only half as far round.',
    },
    { atMin: 428, text: 'Finished in the clubhouse oven. Late, but eaten.' },
  ],
  extra: [
    { atMin: 200, action: { do: 'lid-open', seconds: 120 } },
    { atMin: 245, action: { do: 'set-vents', intakeFraction: 0.5, exhaustFraction: 0.5 } },
  ],
  callAtC: 94,
  trims: false,
  offAtMin: 430,
});

/** A first try. */
const harvestSupper = (planned: Planner): Story => ({
  id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7a03',
  name: 'Harvest supper, first try',
  pitName: BOSUN.name,
  plan: planned({
    daysAgo: 58,
    serve: '18:00',
    people: 6,
    massKg: 2,
    pitC: 135,
    wrap: 'foil',
    airC: 17,
    windMps: 1,
  }),
  lateMin: { hold: 1, 'meat-on': 2, light: 3 },
  notes: [{ atMin: 150, text: 'Pell says hotter is fine for a small one.' }],
  extra: [],
  callAtC: 93,
  trims: true,
});

/** The past cooks, newest first. `nowMs` decides their days; the engine plays them. */
export function stories(nowMs: number): Story[] {
  const planned: Planner = (w) => {
    const request = requestFor(nowMs, w);
    const whole = planDocument(request, { nowMs: nowMs - (w.daysAgo + 1) * DAY_MS, members: 24 });
    return onePit(whole, request.pits[0]!.id);
  };
  return [regattaLunch(planned), nightBeforeTheRace(planned), harvestSupper(planned)];
}
