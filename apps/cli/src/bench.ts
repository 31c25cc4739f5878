/** Timings as ratios inside one run, against the reference kernel. */
import { plan, quantile, simulate, type Request, type Scenario } from '@ostrin/core';
import { referenceKernel } from './kernel';

const ROUNDS = 15;
const WARM_UP = 4;

/** A 14 h kettle cook with one shoulder. */
export const BENCH_SCENARIO: Scenario = {
  ostrin: 'scenario/1',
  cooker: { preset: 'kettle-57', overrides: {} },
  fire: {
    arrangement: 'snake',
    fuel: 'briquette',
    side: 2,
    layers: 2,
    arcDegrees: 320,
    litPieces: 12,
    litAtMin: 0,
    woodChunks: [{ species: 'cherry', massG: 60, atArcDegrees: 40 }],
  },
  weather: { airC: 12, windMps: 2, relativeHumidityFraction: 0.6, altitudeM: 0, rainMmPerH: 0 },
  control: { mode: 'vents', targetC: 121 },
  actions: [
    { atMin: 0, do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 },
    { atMin: 15, do: 'set-vents', intakeFraction: 0.25, exhaustFraction: 0.5 },
    { atMin: 30, do: 'lid-open', seconds: 60 },
    { atMin: 30, do: 'meat-on', meat: 'a' },
  ],
  meats: [{ id: 'a', cut: 'mutton-shoulder', massKg: 2.5, startC: 4 }],
  untilMin: 840,
  everyMin: 1,
};

const HELD: Scenario = {
  ...BENCH_SCENARIO,
  fire: undefined,
  control: { mode: 'held', schedule: [{ atMin: 0, pitC: 121 }] },
  actions: [{ atMin: 0, do: 'meat-on', meat: 'a' }],
};

const REQUEST: Request = {
  ostrin: 'request/1',
  serveAt: '2027-05-15T18:30',
  timeZone: 'UTC',
  people: 8,
  appetiteG: 220,
  pits: [
    {
      id: 'a',
      cooker: { preset: 'kettle-57', overrides: {} },
      fire: { fuel: 'briquette' },
      pace: { pitC: 121, bandC: 8 },
    },
  ],
  meats: [
    {
      id: 'a',
      cut: 'mutton-shoulder',
      massKg: 2.5,
      wrap: { with: 'paper', when: { coreC: 74 } },
      done: { tender: true },
      rest: { where: 'cool-box', minutes: 60 },
    },
  ],
  weather: { airC: 12, windMps: 2, relativeHumidityFraction: 0.6, altitudeM: 0, rainMmPerH: 0 },
  chanceOnTimeFraction: 0.9,
};

function medianMs(work: () => unknown, now: () => number, rounds = ROUNDS): number {
  const times: number[] = [];
  for (let i = 0; i < rounds; i++) {
    const began = now();
    work();
    times.push(now() - began);
  }
  return quantile(
    times.sort((a, b) => a - b),
    0.5,
  );
}

/** All timings, ms (median), and as multiples of the kernel. */
export function bench(now: () => number) {
  for (let i = 0; i < WARM_UP; i++) {
    referenceKernel();
    simulate(BENCH_SCENARIO);
    simulate(HELD);
  }
  const kernelMs = medianMs(referenceKernel, now);
  const ms = {
    kernel: kernelMs,
    'cook-14h-kettle': medianMs(() => simulate(BENCH_SCENARIO), now),
    'meat-14h-held': medianMs(() => simulate(HELD), now),
    'plan-rough': medianMs(() => plan(REQUEST, { nowMs: 0, members: 1 }), now, 5),
    'plan-24': medianMs(() => plan(REQUEST, { nowMs: 0, members: 24 }), now, 3),
  };
  const round = (v: number): number => Number(v.toFixed(2));
  return {
    ostrin: 'bench/1',
    medianMs: Object.fromEntries(Object.entries(ms).map(([k, v]) => [k, round(v)])),
    timesKernel: Object.fromEntries(Object.entries(ms).map(([k, v]) => [k, round(v / kernelMs)])),
  };
}
