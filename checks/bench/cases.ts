/** What the bench runs: a 14 h cook with one shoulder in every preset, and a plan. */
import { onlyPiece, onlyPit, type Action, type Request, type Scenario } from '@ostrin/core';
import { feedActions } from '@ostrin/core/engine';
import {
  MAX_ARC_DEGREES,
  presetOf,
  PRESETS,
  hasSmallFirebox,
  usualFire,
  type Place,
} from '@ostrin/core/catalogue';
import { measuredAir, tracePit, type EstimateInput } from '@ostrin/core/internals';

const WEATHER = {
  airC: 12,
  windMps: 2,
  relativeHumidityFraction: 0.6,
  altitudeM: 0,
  rainMmPerH: 0,
};
const UNTIL_MIN = 840;
const MUTTON = { id: 'a', cut: 'mutton-shoulder', massKg: 2.5, startC: 4 };

const vents = (atMin: number, intakeFraction: number, exhaustFraction: number): Action => ({
  atMin,
  do: 'set-vents',
  intakeFraction,
  exhaustFraction,
});

/** A 14 h cook at one-minute output in a preset, on splits or under a fan where that is its way. */
export function cookIn(id: string, fan = false): Scenario {
  const preset = presetOf(id);
  const driven = fan || preset.hasFan;
  const fire = usualFire(preset);
  const chunks = [{ species: 'cherry' as const, massG: 60, atArcDegrees: 40, depthFraction: 0.2 }];
  const [intake, exhaust] = preset.traits.slowToCool ? [0.1, 0.25] : [0.25, 0.5];
  return {
    ostrin: 'scenario/1',
    cooker: { preset: id, overrides: {} },
    fire:
      fire.arrangement === 'snake'
        ? { ...fire, arcDegrees: MAX_ARC_DEGREES - 10, woodChunks: chunks }
        : { ...fire, woodChunks: preset.traits.sideFirebox ? [] : chunks },
    weather: WEATHER,
    control: driven ? { mode: 'fan', targetC: 121 } : { mode: 'vents', targetC: 121 },
    actions: [
      ...(driven
        ? []
        : preset.traits.sideFirebox
          ? [vents(0, 1, 1)]
          : [vents(0, 1, 1), vents(25, intake, exhaust)]),
      ...(preset.traits.sideFirebox && !driven
        ? feedActions({ massKg: hasSmallFirebox(preset) ? 0.45 : 1.25, intervalMin: 45 }, UNTIL_MIN)
        : []),
      { atMin: 30, do: 'lid-open', seconds: 60 },
      { atMin: 30, do: 'meat-on', meat: 'a' },
    ],
    meats: [MUTTON],
    untilMin: UNTIL_MIN,
    everyMin: 1,
  };
}

/** A place of that pit's grate other than where the probe sits. */
function placeIn(id: string): Place {
  const preset = presetOf(id);
  const { positions, probePosition: probe } = preset.layout(preset.parameters);
  return positions.find((p, i) => i !== probe && p.at !== 'over-fire')!.at;
}

/** Every preset's cook, and a fan on a fire that is usually tended by hand. */
export const COOKS: Readonly<Record<string, Scenario>> = {
  ...Object.fromEntries(Object.keys(PRESETS).map((id) => [`cook-14h-${id}`, cookIn(id)])),
  'cook-14h-kettle-57-fan': cookIn('kettle-57', true),
};

/** A second, bigger piece beside the first, at its own place and its own time. */
export const TWO_PIECES: Readonly<Record<string, Scenario>> = Object.fromEntries(
  ['kettle-57', 'offset-heavy'].map((id) => {
    const one = cookIn(id);
    return [
      `cook-14h-${id}-two-pieces`,
      {
        ...one,
        meats: [...one.meats, { id: 'b', cut: 'brisket', massKg: 5, startC: 4, at: placeIn(id) }],
        actions: [...one.actions, { atMin: 90, do: 'meat-on', meat: 'b' }],
      } satisfies Scenario,
    ];
  }),
);

/** The meat alone, in a held pit. */
export const HELD: Scenario = {
  ...cookIn('kettle-57'),
  fire: undefined,
  control: { mode: 'held', schedule: [{ atMin: 0, pitC: 121 }] },
  actions: [{ atMin: 0, do: 'meat-on', meat: 'a' }],
};

/** Five hours of readings of that piece, one each five minutes, for the estimate of what it is like. */
const TRACED = tracePit(HELD, UNTIL_MIN);
const NOW_MIN = 300;
const READINGS = TRACED.pitC
  .map((pitC, atMin) => ({ atMin, pitC, coreC: onlyPiece(TRACED.result).coreC[atMin]! - 2 }))
  .filter((r) => r.atMin <= NOW_MIN && r.atMin % 5 === 0);
export const READ: EstimateInput = {
  scenario: HELD,
  measured: measuredAir(TRACED, READINGS),
  readings: READINGS,
  nowMin: NOW_MIN,
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
  weather: WEATHER,
  chanceOnTimeFraction: 0.9,
};

/** The same table cooked on one pit of each family, for the timings of plans. */
export const REQUESTS: Readonly<Record<string, Request>> = Object.fromEntries(
  (
    [
      ['kettle-57', 'briquette'],
      ['bullet-47', 'briquette'],
      ['kamado-46', 'lump'],
      ['offset-heavy', 'splits'],
      ['offset-light', 'briquette'],
      ['hopper-fan', 'briquette'],
    ] as const
  ).map(([preset, fuel]) => [
    `${preset}-${fuel}`,
    {
      ...REQUEST,
      pits: [{ ...onlyPit(REQUEST), cooker: { preset, overrides: {} }, fire: { fuel } }],
    },
  ]),
);
