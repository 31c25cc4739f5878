/**
 * What to expect from here: the plan's own engine run again with what was really done so far, the
 * jobs still to come, and anchored to what the thermometers say now.
 */
import { simulate } from '../cook/cook';
import type { Action, Scenario } from '../cook/scenario';
import { fan, drawMember, tenFiftyNinety } from '../plan/ensemble';
import { pitWith, presetOf } from '../pit/catalogue';
import { seeded } from '../quantity/random';
import { clamp } from '../quantity/units';

export interface ForecastInput {
  scenario: Scenario;
  /** What was done, minutes after lighting. */
  done: Action[];
  /** What is still planned, minutes after lighting. */
  ahead: Action[];
  nowMin: number;
  /** Latest readings, null when there is none. */
  pitC: number | null;
  coreC: number | null;
  members: number;
  seed: number;
}

export interface Forecast {
  fromMin: number;
  everyMin: number;
  pitC: (number | null)[];
  pitLowC: (number | null)[];
  pitHighC: (number | null)[];
  coreC: (number | null)[];
  coreLowC: (number | null)[];
  coreHighC: (number | null)[];
  /** Minutes after lighting at which the meat is done: p10, p50, p90; null when not in sight. */
  readyMin: [number, number, number] | null;
  /** Minutes the reading stands above (+) or below (-) what was expected at this moment, in K. */
  pitOffK: number | null;
  coreOffK: number | null;
  fuelLeftFraction: number | null;
}

const EVERY_MIN = 5;
/** A pit's deviation from the model fades over this time as the fire settles, min. */
const PIT_MEMORY_MIN = 60;
/** Largest change of pace credited to the meat from one reading. */
const PACE_RANGE: readonly [number, number] = [0.6, 1.6];

/** Forecast from `nowMin` on; entries of every series stand `everyMin` apart, the first at now. */
export function forecast(input: ForecastInput): Forecast {
  const { scenario, nowMin } = input;
  const physics = pitWith(presetOf(scenario.cooker.preset), scenario.cooker.overrides);
  const wraps = new Set(input.done.flatMap((a) => (a.do === 'wrap' ? [a.meat] : [])));
  const ahead = input.ahead.map((a) => ({ ...a, atMin: Math.max(a.atMin, nowMin + 1) }));
  const base: Scenario = {
    ...scenario,
    // Wrapping and taking off are the cook's own acts now; only what still lies ahead may be assumed.
    meats: scenario.meats.map((m) => ({
      ...m,
      wrap: wraps.has(m.id) || !ahead.some((a) => a.do === 'wrap') ? undefined : m.wrap,
    })),
    actions: [...input.done, ...ahead.filter((a) => a.do !== 'wrap' && a.do !== 'meat-off')],
    everyMin: 1,
  };
  const random = seeded(input.seed);
  const now = Math.max(0, Math.round(nowMin));
  const rows = Math.max(1, Math.floor((scenario.untilMin - now) / EVERY_MIN) + 1);
  const pits: (number | null)[][] = [];
  const cores: (number | null)[][] = [];
  const ready: number[] = [];
  let pitOffK: number | null = null;
  let coreOffK: number | null = null;
  let fuelLeft: number | null = null;
  for (let i = 0; i < input.members; i++) {
    const member = i === 0 ? { scenario: base, spreads: [] } : drawMember(base, physics, random);
    const run = simulate(member.scenario, member.spreads);
    const pitNow = run.pitC[now] ?? null;
    const meat = run.meats[0];
    const core = meat?.coreC ?? [];
    const coreNow = core[now] ?? null;
    const off = input.pitC !== null && pitNow !== null ? input.pitC - pitNow : 0;
    if (i === 0) {
      pitOffK = input.pitC !== null && pitNow !== null ? off : null;
      coreOffK = input.coreC !== null && coreNow !== null ? input.coreC - coreNow : null;
      const walked = run.frontDegrees[now] ?? null;
      fuelLeft =
        walked === null || scenario.fire?.arrangement !== 'snake'
          ? null
          : clamp(1 - walked / scenario.fire.arcDegrees, 0, 1);
    }
    pits.push(
      sample(rows, (min) => {
        const c = run.pitC[Math.min(now + min, run.pitC.length - 1)];
        return c === null || c === undefined ? null : c + off * Math.exp(-min / PIT_MEMORY_MIN);
      }),
    );
    const pace = paceOf(core, now, input.coreC);
    cores.push(sample(rows, (min) => core[Math.round(pace.from + min * pace.rate)] ?? null));
    const doneAt = meat?.doneAtMin ?? NaN;
    ready.push(Number.isFinite(doneAt) ? now + (doneAt - pace.from) / pace.rate : NaN);
  }
  const pitFan = fan(pits);
  const coreFan = fan(cores);
  const window = tenFiftyNinety(ready);
  return {
    fromMin: now,
    everyMin: EVERY_MIN,
    pitC: pitFan.mid,
    pitLowC: pitFan.low,
    pitHighC: pitFan.high,
    coreC: coreFan.mid,
    coreLowC: coreFan.low,
    coreHighC: coreFan.high,
    readyMin: window.every(Number.isFinite) ? window : null,
    pitOffK,
    coreOffK,
    fuelLeftFraction: fuelLeft,
  };
}

const sample = (rows: number, at: (min: number) => number | null): (number | null)[] =>
  Array.from({ length: rows }, (_, i) => at(i * EVERY_MIN));

/**
 * Where on its own path a member stands when the probe reads `coreC`, and at what pace it goes on:
 * a piece that needed 4 h for what the model does in 3 is taken to need a third longer to the end.
 */
function paceOf(
  core: readonly (number | null)[],
  now: number,
  coreC: number | null,
): { from: number; rate: number } {
  const on = core.findIndex((c) => c !== null);
  if (coreC === null || on < 0 || now - on < 30) return { from: now, rate: 1 };
  const reached = core.findIndex((c) => c !== null && c >= coreC);
  if (reached < 0) return { from: now, rate: 1 };
  const rate = clamp((reached - on) / (now - on), PACE_RANGE[0], PACE_RANGE[1]);
  return { from: reached, rate };
}
