/**
 * A test burn: an empty pit at three settings of its vents, an hour each. It tells leaks, walls and openings apart sooner
 * than a cook does, since a cook is held at one temperature.
 */
import type { Weather } from '../air/weather';
import { presetOf } from '../pit/catalogue';
import { usualFire } from '../pit/usualFire';
import type { Action } from '../scenario/actions';
import { steadyScenario } from '../solvers/steadyCase';
import type { CardRow, VentCard } from '../solvers/ventCard';
import type { PitBefore } from './learnPit';
import type { LoggedCook } from './loggedCook';

/** Each setting is left alone for so long, and read when it has settled, min after it was set. */
export const BURN = { settingMin: 60, readAtMin: [40, 60] } as const;
/** Settings of a burn. */
const BURN_SETTINGS = 3;
/** Settings that settle between these tell most: a fire neither dying nor running away, C. */
const TELLS_C = { from: 90, to: 185 };

/** A setting of a burn, and what was read at it, C; null where nobody looked. */
export interface BurnSetting {
  intakeFraction: number;
  exhaustFraction: number;
  readC: (number | null)[];
}

/** Whether a pit can be known by such a burn: by its vents, on charcoal that burns for hours by itself. */
export function takesTestBurn(preset: string): boolean {
  const { hasFan, traits } = presetOf(preset);
  return !hasFan && !traits.sideFirebox;
}

/** The settings of a burn, tight to wide: the ends of the card that still tell, and the one between. */
export function burnSettings({ rows }: Pick<VentCard, 'rows'>): CardRow[] {
  const telling = rows.filter((r) => {
    const c = r.settlesC[0]!;
    return c >= TELLS_C.from && c <= TELLS_C.to;
  });
  const from = telling.length >= BURN_SETTINGS ? telling : rows;
  const middle = from[Math.floor((from.length - 1) / 2)]!;
  return [from[0]!, middle, from.at(-1)!];
}

/** When each setting is made, min after lighting: once the pit is up, and every hour after. */
export function burnTimes(preset: string): number[] {
  const { minutes } = presetOf(preset).bringUp;
  return Array.from({ length: BURN_SETTINGS }, (_, i) => minutes + i * BURN.settingMin);
}

/** A burn as a pit is learned from it: the usual fire, empty, on the day as it was. */
export function loggedBurn(
  { preset }: Pick<PitBefore, 'preset'>,
  settings: readonly BurnSetting[],
  weather: Weather,
): LoggedCook {
  const times = burnTimes(preset);
  const [first] = settings;
  const untilMin = times.at(-1)! + BURN.settingMin;
  const scenario = steadyScenario(
    { preset, overrides: {}, fire: usualFire(presetOf(preset)), weather },
    first!.intakeFraction,
    first!.exhaustFraction,
    untilMin,
  );
  const up = scenario.actions.filter((a) => a.atMin === 0);
  const moves = settings.map(({ intakeFraction, exhaustFraction }, i): Action => ({
    atMin: times[i]!,
    do: 'set-vents',
    intakeFraction,
    exhaustFraction,
  }));
  return {
    id: TEST_BURN,
    scenario: { ...scenario, actions: [] },
    done: [...up, ...moves],
    readings: settings.flatMap(({ readC }, i) =>
      BURN.readAtMin.map((after, k) => ({ atMin: times[i]! + after, pitC: readC[k] ?? null })),
    ),
  };
}

/** What a burn is called among the cooks of a pit. */
export const TEST_BURN = 'test-burn';
