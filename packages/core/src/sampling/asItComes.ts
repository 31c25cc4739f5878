/** Fuel and wind as they come: what differs from bag to bag, from split to split and from one minute to the next. */
import { weatherAt, type Weather } from '../air/weather';
import type { Operator } from '../control/operator';
import { WOOD_MOISTURE_FRACTION } from '../fuel/catalogue';
import type { Random } from '../quantity/random';
import { isSplits } from '../scenario/actions';
import type { Scenario } from '../scenario/scenario';

/**
 * Spreads, standard deviations of the logarithm: of the pace of a fire (plausible: charcoal of another bag), and of the
 * moisture of each split (common practice: seasoned wood of 12 to 25 % in one stack).
 */
export const FUEL_SD = { pace: 0.12, moisture: 0.3 };
/** Gusts: the wind's logarithm wanders by so much, and forgets itself in so many minutes (plausible). */
const GUSTS = { sd: 0.35, forgetsMin: 25, everyMin: 5 };

/** The same operator with splits of any moisture. */
export const withLikelySplits = (operator: Operator, random: Random): Operator => ({
  ...operator,
  decide: (seen) =>
    operator.decide(seen).map((a) =>
      isSplits(a)
        ? {
            ...a,
            moistureFraction: WOOD_MOISTURE_FRACTION.seasoned * random.logNormal(FUEL_SD.moisture),
          }
        : a,
    ),
});

/** The scenario with a wind that gusts round that of its weather. */
export function withGusts(scenario: Scenario, random: Random): Scenario {
  const keeps = Math.exp(-GUSTS.everyMin / GUSTS.forgetsMin);
  const count = Math.ceil(scenario.untilMin / GUSTS.everyMin);
  let gust = GUSTS.sd * random.normal();
  const weather = Array.from({ length: count }, (_, i): Weather & { atMin: number } => {
    gust = keeps * gust + GUSTS.sd * Math.sqrt(1 - keeps ** 2) * random.normal();
    const atMin = i * GUSTS.everyMin;
    const now = weatherAt(scenario.weather, atMin);
    return { ...now, atMin, windMps: now.windMps * Math.exp(gust) };
  });
  return { ...scenario, weather };
}
