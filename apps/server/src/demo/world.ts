/** The Larkmere rowing club's boathouse yard. All invented. */
import { DAY_MS } from '@ostrin/core/quantity';
import { onePit, pitFor } from '@ostrin/core';
import { plan } from '@ostrin/core/engine';
import type { Story } from './playStory';
import { otherStories } from './otherStories';
import { BOSUN } from './yard';
import { requestFor, type Planner } from './wish';

/** Mutton over a snake in the Bosun, as these were. */
const ON_THE_BOSUN = {
  pit: BOSUN,
  fire: { fuel: 'briquette', arrangement: 'snake', species: 'cherry' },
  cut: 'mutton-shoulder',
} as const;

/** A cook that went well. */
const regattaLunch = (planned: Planner): Story => ({
  id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7a01',
  name: 'Regatta lunch',
  pitName: BOSUN.name,
  plan: planned({
    ...ON_THE_BOSUN,
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
  after: (meat) => [
    { kind: 'verdict', meat, verdict: 'tender' },
    { kind: 'verdict', meat, verdict: 'moist' },
    { kind: 'verdict', meat, verdict: 'bark-good' },
    { kind: 'verdict', meat, verdict: 'smoke-good' },
    { kind: 'weighed', what: 'fuel-left', kg: 0.3 },
    { kind: 'weighed', what: 'bought', meat, kg: 2.9 },
    { kind: 'weighed', what: 'trimmed', meat, kg: 2.6 },
    { kind: 'weighed', what: 'cooked', meat, kg: 1.6 },
  ],
});

/** A cook that went wrong: the snake ended halfway and the wind got up off the water. */
const nightBeforeTheRace = (planned: Planner): Story => ({
  id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7a02',
  name: 'Night before the race, short snake',
  pitName: BOSUN.name,
  plan: planned({
    ...ON_THE_BOSUN,
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
  after: (meat) => [
    { kind: 'verdict', meat, verdict: 'tough' },
    { kind: 'verdict', meat, verdict: 'bark-soft' },
    {
      kind: 'next-time',
      about: 'pit',
      text: 'Two of us look at the snake before it is lit, and it goes behind the boat rack when wind is forecast.',
    },
  ],
});

/** A first try. */
const harvestSupper = (planned: Planner): Story => ({
  id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7a03',
  name: 'Harvest supper, first try',
  pitName: BOSUN.name,
  plan: planned({
    ...ON_THE_BOSUN,
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
  after: (meat) => [
    { kind: 'verdict', meat, verdict: 'tender' },
    { kind: 'verdict', meat, verdict: 'dry' },
    { kind: 'weighed', what: 'trimmed', meat, kg: 2 },
    { kind: 'weighed', what: 'cooked', meat, kg: 1.15 },
    {
      kind: 'next-time',
      about: 'cut',
      cut: 'mutton-shoulder',
      text: 'A small one dries out at 135 °C: go slower, or wrap it in paper.',
    },
  ],
});

/** The past cooks, newest first. `nowMs` decides their days; the engine plays them. */
export function stories(nowMs: number): Story[] {
  const planned: Planner = (w) => {
    const request = requestFor(nowMs, w);
    const whole = plan(request, { nowMs: nowMs - (w.daysAgo + 1) * DAY_MS, members: 24 });
    return onePit(whole, pitFor(request, undefined).id);
  };
  return [
    regattaLunch(planned),
    nightBeforeTheRace(planned),
    harvestSupper(planned),
    ...otherStories(planned),
  ];
}
