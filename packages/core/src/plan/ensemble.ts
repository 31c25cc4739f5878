/** Many possible cooks instead of one: what the windows and fans are made of. */
import { simulate } from '../cook/cook';
import type { Result, Scenario } from '../cook/scenario';
import { drawMeat } from '../meat/spread';
import type { Pit } from '../pit/types';
import { seeded, type Random } from '../quantity/random';
import { ascending, quantile } from '../quantity/statistics';

/**
 * Relative spreads of a pit that a cook tends by its thermometer: what is left of leak, loss, pace
 * and weather after the vents have been trimmed once or twice (common practice: within a band).
 */
const PIT_SD = { leakCm2: 0.2, wallLossFactor: 0.08, spreadFactor: 0.06 };
const WEATHER_SD = { windRelative: 0.3, airK: 1.5 };

/** One member: the scenario with another pit, another day, another piece. */
export function drawMember(scenario: Scenario, physics: Pit, random: Random) {
  const overrides: Partial<Pit> = { ...scenario.cooker.overrides };
  for (const key of ['leakCm2', 'wallLossFactor', 'spreadFactor'] as const) {
    overrides[key] = physics[key] * random.spread(PIT_SD[key]);
  }
  const air = WEATHER_SD.airK * random.normal();
  const wind = random.spread(WEATHER_SD.windRelative);
  const weather = (Array.isArray(scenario.weather) ? scenario.weather : [scenario.weather]).map(
    (w) => ({ ...w, airC: w.airC + air, windMps: w.windMps * wind }),
  );
  return {
    scenario: { ...scenario, cooker: { ...scenario.cooker, overrides }, weather },
    spreads: scenario.meats.map(() => drawMeat(random)),
  };
}

/** Runs `count` members one after another, yielding after each. The first is the middle of the road. */
export function* runEnsemble(
  scenario: Scenario,
  physics: Pit,
  count: number,
  seed: number,
): Generator<number, Result[]> {
  const random = seeded(seed);
  const results: Result[] = [];
  for (let i = 0; i < count; i++) {
    const member = i === 0 ? { scenario, spreads: [] } : drawMember(scenario, physics, random);
    results.push(simulate(member.scenario, { spreads: member.spreads }));
    yield (i + 1) / count;
  }
  return results;
}

/** Low, middle and high series over members, entry by entry; null where fewer than half have a value. */
export function fan(series: readonly (readonly (number | null)[])[]) {
  const length = Math.max(0, ...series.map((s) => s.length));
  const low: (number | null)[] = [];
  const mid: (number | null)[] = [];
  const high: (number | null)[] = [];
  for (let i = 0; i < length; i++) {
    const at = ascending(series.map((s) => s[i] ?? NaN));
    const enough = at.length * 2 > series.length;
    low.push(enough ? Number(quantile(at, 0.1).toFixed(1)) : null);
    mid.push(enough ? Number(quantile(at, 0.5).toFixed(1)) : null);
    high.push(enough ? Number(quantile(at, 0.9).toFixed(1)) : null);
  }
  return { low, mid, high };
}
