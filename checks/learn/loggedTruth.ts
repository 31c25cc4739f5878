/** Pits that are not as their presets, and cooks on them logged as people keep a log. */
import {
  advance,
  celsius,
  createCook,
  createSimulatedOperator,
  PRESETS,
  seeded,
  seedFrom,
  usualFire,
  withProbeError,
  type Action,
  type CookerParameters,
  type Family,
  type LoggedCook,
  type Preset,
  type Random,
  type Scenario,
  type Weather,
} from '@ostrin/core/internals';
import { FIRE_SD, loggedBy, withSplitMoisture } from '../tend/truePit';

/** Families of pits, and true pits of each. */
const FAMILIES: readonly Family[] = ['kettle', 'bullet', 'kamado', 'offset', 'hopper'];
const PER_FAMILY = 12;

/** How a true pit differs from its preset: factors between these, and a dial off by so much either way, K. */
const TRUE_PIT = {
  leakCm2: [0.5, 2.5],
  wallLossFactor: [0.75, 1.3],
  spreadFactor: [0.75, 1.3],
  dialK: [5, 12],
} as const;

/** Longest cook, min, and the heats that are cooked at, C. */
const LASTS_MIN = 540;
const HEATS = [107, 113, 121, 129, 135];
/** A look at the thermometer each so many minutes; its scatter, K; the share of vent moves that nobody writes down. */
const LOGGED = { apartMin: [20, 40], noiseK: 1.5, missingMoves: 0.15 } as const;

/** A true pit: what its owner knows of it, and what is true. */
export interface TruePit {
  id: string;
  preset: Preset;
  overrides: Partial<CookerParameters>;
  /** What its thermometer reads too much, K. */
  dialK: number;
  seed: number;
}

const between = (random: Random, [low, high]: readonly [number, number]): number =>
  low + (high - low) * random.next();
/** Between two factors, as often by so many times more as less. */
const factor = (random: Random, [low, high]: readonly [number, number]): number =>
  Math.exp(between(random, [Math.log(low), Math.log(high)]));

/** The true pits of a seed. */
export function truePits(seed: number): TruePit[] {
  const random = seeded(seed);
  return FAMILIES.flatMap((family) => {
    const presets = Object.values(PRESETS).filter((p) => p.family === family);
    return Array.from({ length: PER_FAMILY }, (_, i): TruePit => {
      const preset = presets[i % presets.length]!;
      const { leakCm2, wallLossFactor, spreadFactor } = preset.parameters;
      return {
        id: `${preset.id}-${i}`,
        preset,
        overrides: {
          leakCm2: leakCm2 * factor(random, TRUE_PIT.leakCm2),
          wallLossFactor: wallLossFactor * factor(random, TRUE_PIT.wallLossFactor),
          spreadFactor: spreadFactor * factor(random, TRUE_PIT.spreadFactor),
        },
        dialK: between(random, TRUE_PIT.dialK) * (random.next() < 0.5 ? -1 : 1),
        seed: Math.floor(random.next() * 2 ** 31),
      };
    });
  });
}

/** A day of some wind and warmth, C and m/s. */
export const someDay = (random: Random): Weather => ({
  airC: between(random, [-2, 28]),
  windMps: between(random, [0.5, 5]),
  relativeHumidityFraction: 0.6,
  altitudeM: 300,
  rainMmPerH: 0,
});

/** The `n`th cook on a pit as its owner would plan it: usual fire, a shoulder, some heat, some day. */
function plannedCook({ preset, seed }: TruePit, n: number): { scenario: Scenario; random: Random } {
  const random = seeded(seedFrom(`${seed}/${n}`));
  const targetC = HEATS[Math.floor(random.next() * HEATS.length)]!;
  const arrangement = preset.family === 'kettle' && targetC > 121 ? 'side-basket' : undefined;
  const fire = usualFire(preset, arrangement);
  const scenario: Scenario = {
    ostrin: 'scenario/1',
    cooker: { preset: preset.id, overrides: {} },
    fire: { ...fire, woodChunks: [] },
    weather: someDay(random),
    control: { mode: preset.hasFan ? 'fan' : 'tended', targetC },
    actions: [{ atMin: 60, do: 'meat-on', meat: 'shoulder' }],
    meats: [
      {
        id: 'shoulder',
        cut: 'pork-shoulder',
        massKg: between(random, [2, 4]),
        startC: 4,
      },
    ],
    untilMin: LASTS_MIN,
    everyMin: 1,
  };
  return { scenario, random };
}

/** Cooks it in the true pit and writes it down as people do. */
export function loggedCook(pit: TruePit, n: number): LoggedCook {
  const { scenario, random } = plannedCook(pit, n);
  const { control } = scenario;
  if (control.mode === 'held') throw new Error('a held pit has nothing to learn');
  const truth: Scenario = {
    ...scenario,
    cooker: { ...scenario.cooker, overrides: pit.overrides },
    // The fan has a probe of its own, which is right.
    control,
  };
  const operator = createSimulatedOperator(truth, control.targetC!);
  const cook = createCook(truth, {
    operator: withSplitMoisture(
      withProbeError(operator, pit.dialK, () => LOGGED.noiseK * random.normal()),
      random,
    ),
  });
  cook.pit!.unlit.paceFactor *= random.logNormal(FIRE_SD.pace);
  cook.pit!.unlit.kg *= random.logNormal(FIRE_SD.load);
  const readings: LoggedCook['readings'] = [];
  for (let atMin = 15; atMin < LASTS_MIN; atMin += between(random, LOGGED.apartMin)) {
    advance(cook, atMin);
    readings.push({
      atMin,
      pitC: celsius(cook.pit!.probeK) + pit.dialK + LOGGED.noiseK * random.normal(),
    });
  }
  const kept = loggedBy(cook).filter(
    (a: Action) => a.do !== 'set-vents' || a.atMin === 0 || random.next() >= LOGGED.missingMoves,
  );
  return { id: `${pit.id}/${n}`, scenario, done: kept, readings };
}
