/** Past cooks on the yard's other pits: three on a kamado that is not like a new one, one under a fan, one gone wrong. */
import type { PieceVerdict } from '@ostrin/core/log';
import type { Scenario } from '@ostrin/core';
import type { Story } from './playStory';
import type { Planner, StoryRequest } from './wish';
import { CLAY_JAR, LONG_TOM, TOWER } from './yard';

/** The Clay Jar's gasket is old and its lid has a chip: it leaks more and loses more than its owners think. */
const REALLY_THE_JAR = { leakCm2: 2.4, wallLossFactor: 1.2 };
const inTheRealJar = (s: Scenario): Scenario => ({
  ...s,
  cooker: { ...s.cooker, overrides: { ...s.cooker.overrides, ...REALLY_THE_JAR } },
});

const IN_THE_JAR = {
  pit: CLAY_JAR,
  fire: { fuel: 'lump', species: 'oak' },
  cut: 'pork-shoulder',
  wrap: 'paper',
} as const;

interface JarStory {
  id: string;
  name: string;
  wish: Omit<StoryRequest, keyof typeof IN_THE_JAR>;
  note: string;
  callAtC: number;
  verdicts: PieceVerdict[];
}

const jarStory = (
  planned: Planner,
  { id, name, wish, note, callAtC, verdicts }: JarStory,
): Story => ({
  id,
  name,
  pitName: CLAY_JAR.name,
  plan: planned({ ...IN_THE_JAR, ...wish }),
  really: inTheRealJar,
  lateMin: { hold: 4, 'meat-on': 3 },
  notes: [{ atMin: 130, text: note }],
  extra: [],
  callAtC,
  trims: true,
  after: (meat) => verdicts.map((verdict) => ({ kind: 'verdict', meat, verdict })),
});

const JAR_STORIES: readonly JarStory[] = [
  {
    id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7a04',
    name: 'Boat naming',
    wish: { daysAgo: 16, serve: '18:00', people: 8, massKg: 2.8, pitC: 121, airC: 11, windMps: 2 },
    note: 'Runs hotter than its card says, as always. Vents down a notch.',
    callAtC: 94,
    verdicts: ['tender', 'moist', 'bark-burnt'],
  },
  {
    id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7a05',
    name: 'Long weekend, Sunday',
    wish: { daysAgo: 43, serve: '19:00', people: 6, massKg: 2.2, pitC: 113, airC: 18, windMps: 1 },
    note: 'Idris wants the gasket changed before winter.',
    callAtC: 93,
    verdicts: ['tender', 'moist', 'bark-good', 'smoke-good'],
  },
  {
    id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7a06',
    name: 'End of season',
    wish: { daysAgo: 74, serve: '17:00', people: 10, massKg: 3.2, pitC: 129, airC: 22, windMps: 3 },
    note: 'Wind through the yard all day.',
    callAtC: 95,
    verdicts: ['falls-apart', 'moist'],
  },
];

/** Ribs under the fan, which went as planned. */
const ribsForTheCrew = (planned: Planner): Story => ({
  id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7a07',
  name: 'Ribs for the eight',
  pitName: TOWER.name,
  plan: planned({
    daysAgo: 23,
    pit: TOWER,
    fire: { fuel: 'briquette', species: 'apple' },
    cut: 'spare-ribs',
    serve: '18:30',
    people: 9,
    massKg: 1.3,
    pitC: 121,
    wrap: 'none',
    airC: 13,
    windMps: 2,
  }),
  lateMin: {},
  notes: [{ atMin: 60, text: 'Hopper full, fan humming. Went for a row.' }],
  extra: [],
  callAtC: 93,
  trims: false,
  after: (meat) =>
    (['tender', 'moist', 'bark-good', 'smoke-faint'] as const).map((verdict) => ({
      kind: 'verdict',
      meat,
      verdict,
    })),
});

/** A cook that went wrong: a cold gale, and nobody stacked wood for it. */
const galeOnTheLake = (planned: Planner): Story => ({
  id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7a08',
  name: 'Gale on the lake',
  pitName: LONG_TOM.name,
  plan: planned({
    daysAgo: 51,
    pit: LONG_TOM,
    fire: { fuel: 'splits', species: 'oak' },
    cut: 'mutton-shoulder',
    serve: '19:00',
    people: 7,
    massKg: 2.2,
    pitC: 121,
    wrap: 'paper',
    airC: 15,
    windMps: 2,
  }),
  really: (s) => ({
    ...s,
    weather: [
      { ...(s.weather as object), atMin: 0 } as never,
      { ...(s.weather as object), atMin: 120, windMps: 9, airC: 6 } as never,
    ],
  }),
  lateMin: { 'meat-on': 10 },
  notes: [
    { atMin: 150, text: 'Gusts down the stack. The pit swings by thirty degrees.' },
    { atMin: 320, text: 'Out of dry oak. Took it into the clubhouse oven.' },
  ],
  extra: [{ atMin: 160, action: { do: 'lid-open', seconds: 90 } }],
  callAtC: 94,
  trims: false,
  offAtMin: 330,
  after: (meat) => [
    { kind: 'verdict', meat, verdict: 'tough' },
    {
      kind: 'next-time',
      about: 'pit',
      text: 'Twice the dry oak, and a wind break on the lake side.',
    },
  ],
});

/** All of them. */
export const otherStories = (planned: Planner): Story[] => [
  ...JAR_STORIES.map((s) => jarStory(planned, s)),
  ribsForTheCrew(planned),
  galeOnTheLake(planned),
];
