/** What became of the fuel of a cook: burnt, and what was left of it, by the simulated fire of its log. */
import { simulate } from '../cook/cook';
import type { PitPlan } from '../plan/document/pitPlan';
import { MINUTE_MS } from '../quantity/time';
import { actionsOf, litAtMs, type Log } from '../log/log';

export interface FuelUse {
  /** Charcoal laid and put on, and splits and chunks, kg as bought. */
  charcoalGivenKg: number;
  /** Splits and chunks put on, kg dry. */
  woodGivenKg: number;
  /** Charcoal burnt, kg as bought. */
  charcoalBurntKg: number;
  /** Wood burnt, kg dry. */
  woodBurntKg: number;
  /** Not burnt when the cook ended, charcoal and wood together, kg. */
  unburntKg: number;
  /** Both vents were shut: what is left goes out and is saved. Otherwise it burns away in the pit. */
  saved: boolean;
}

/** The fire is followed to its end for so long at most, min. */
const LONGEST_MIN = 2880;
/** A fire that was shut is looked at once it has gone out, min. */
const GOES_OUT_MIN = 45;
const EVERY_MIN = 10;

/**
 * Fuel of a cook. Simulates the fire of the plan with what the log says was done, so it belongs in a worker
 * or on a server. Null before the fire was lit. `nowMs`: the cook's clock, for a cook that has not ended.
 */
export function fuelUse(plan: Pick<PitPlan, 'scenarios'>, log: Log, nowMs: number): FuelUse | null {
  const litMs = litAtMs(log);
  const scenario = plan.scenarios[0];
  if (litMs === null || !scenario) return null;
  const actions = actionsOf(log, litMs).filter((a) => !('meat' in a));
  const last = [...actions].reverse().find((a) => a.do === 'set-vents' || a.do === 'fan');
  const saved =
    last?.do === 'set-vents'
      ? last.intakeFraction === 0 && last.exhaustFraction === 0
      : last?.do === 'fan' && !last.on;
  const endMin = Math.ceil(((log.finishedAt ?? nowMs) - litMs) / MINUTE_MS);
  const untilMin = Math.min(Math.max(endMin, 1) + (saved ? GOES_OUT_MIN : 0), LONGEST_MIN);
  const { fuel } = simulate({ ...scenario, meats: [], actions, untilMin, everyMin: EVERY_MIN });
  const woodBurntKg = fuel.woodGivenKg - fuel.woodLeftKg;
  return {
    charcoalGivenKg: fuel.startedKg + fuel.addedKg,
    woodGivenKg: fuel.woodGivenKg,
    charcoalBurntKg: fuel.burnedKg,
    woodBurntKg,
    unburntKg: fuel.leftKg + fuel.woodLeftKg,
    saved,
  };
}
