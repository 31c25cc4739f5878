/** Scenarios shared by tests. */
import {
  type PitRequest,
  feedActions,
  MILD_DAY,
  MINUTE_MS,
  presetOf,
  usualFire,
  type Action,
  type Entry,
  type EntryBody,
  type ForecastInput,
  type Request,
  type Scenario,
  type SnakeFire,
} from '@ostrin/core/internals';

export const vents = (atMin: number, intakeFraction: number, exhaustFraction: number): Action => ({
  atMin,
  do: 'set-vents',
  intakeFraction,
  exhaustFraction,
});

/** The line of a log with which a fire is lit at `at`, epoch ms, its vents open. */
export const fireLit = (at: number): Entry => ({
  id: 'lit',
  at,
  jobId: 'light',
  kind: 'act',
  action: { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 },
});

/** What writes entries of a log, so many minutes after `t0Ms` (epoch ms), with ids that count up. */
export function entriesFrom(t0Ms: number) {
  let n = 0;
  return (atMin: number, body: EntryBody, jobId?: string): Entry => ({
    id: `e${n++}`,
    at: t0Ms + atMin * MINUTE_MS,
    ...(jobId ? { jobId } : {}),
    ...body,
  });
}

export const SNAKE: SnakeFire = {
  arrangement: 'snake',
  fuel: 'briquette',
  side: 2,
  layers: 2,
  arcDegrees: 290,
  litPieces: 12,
  litAtMin: 0,
  woodChunks: [{ species: 'cherry', massG: 60, atArcDegrees: 30 }],
};

/** A kettle with a 2x2 snake; parts may be replaced. */
export function kettle(part: Partial<Scenario> = {}): Scenario {
  return {
    ostrin: 'scenario/1',
    cooker: { preset: 'kettle-57', overrides: {} },
    fire: SNAKE,
    weather: { airC: 10, windMps: 1, relativeHumidityFraction: 0.6, altitudeM: 0, rainMmPerH: 0 },
    control: { mode: 'vents', targetC: 121 },
    actions: [vents(0, 1, 1), vents(15, 0.25, 0.5)],
    meats: [],
    untilMin: 300,
    everyMin: 1,
    ...part,
  };
}

/** Any preset with its usual fire; parts may be replaced. */
export function pit(preset: string, actions: Action[], part: Partial<Scenario> = {}): Scenario {
  return {
    ostrin: 'scenario/1',
    cooker: { preset, overrides: {} },
    fire: usualFire(presetOf(preset)),
    weather: MILD_DAY,
    control: { mode: 'vents' },
    actions,
    meats: [],
    untilMin: 300,
    everyMin: 1,
    ...part,
  };
}

/** A heavy offset wide open on a steady feed. */
export const stickBurner = (part: Partial<Scenario> = {}, extra: Action[] = []): Scenario =>
  pit(
    'offset-heavy',
    [
      vents(0, 1, 1),
      ...feedActions({ massKg: 1.2, intervalMin: 48 }, part.untilMin ?? 300),
      ...extra,
    ],
    part,
  );

/** A shoulder in a held pit. */
export function held(pitC: number, meat: Partial<Scenario['meats'][number]> = {}): Scenario {
  return kettle({
    fire: undefined,
    control: { mode: 'held', schedule: [{ atMin: 0, pitC }] },
    actions: [{ atMin: 0, do: 'meat-on', meat: 'a' }],
    meats: [{ id: 'a', cut: 'mutton-shoulder', massKg: 2.5, startC: 4, ...meat }],
    untilMin: 720,
  });
}

/** A request for mutton; parts may be replaced, its one pit by several. */
export function request(part?: Partial<PitRequest>): PitRequest;
export function request(part: Partial<Request>): Request;
export function request(part: Partial<Request> = {}): Request {
  return {
    ostrin: 'request/1',
    serveAt: '2027-05-15T18:30',
    timeZone: 'Europe/Ljubljana',
    people: 8,
    appetiteG: 220,
    pits: [
      {
        id: 'bosun',
        cooker: { preset: 'kettle-57', overrides: {} },
        fire: { fuel: 'briquette', species: 'cherry' },
        pace: { pitC: 121, bandC: 8 },
      },
    ],
    meats: [
      {
        id: 'mutton',
        cut: 'mutton-shoulder',
        massKg: 2.5,
        wrap: { with: 'paper', when: { coreC: 74 } },
        done: { tender: true },
        rest: { where: 'cool-box', minutes: 60 },
      },
    ],
    weather: { airC: 12, windMps: 2, relativeHumidityFraction: 0.6, altitudeM: 0, rainMmPerH: 0 },
    chanceOnTimeFraction: 0.9,
    ...part,
  };
}

/** A mutton shoulder that has been on a kettle for hours, as the core is asked about it. */
export const MUTTON_UNDER_WAY: ForecastInput = {
  scenario: kettle({
    meats: [{ id: 'a', cut: 'mutton-shoulder', massKg: 2, startC: 4, done: { tender: true } }],
    untilMin: 1300,
    control: { mode: 'vents', targetC: 121 },
  }),
  done: [
    vents(0, 1, 1),
    vents(15, 0.25, 0.5),
    { atMin: 40, do: 'lid-open', seconds: 60 },
    { atMin: 40, do: 'meat-on', meat: 'a' },
  ],
  piece: 'a',
  ahead: [],
  nowMin: 240,
  readings: Array.from({ length: 48 }, (_, i) => ({
    atMin: 5 * i,
    pitC: i < 5 ? 60 + 12 * i : 121,
    coreC: null,
  })),
  members: 4,
  seed: 3,
};
