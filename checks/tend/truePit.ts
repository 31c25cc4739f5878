/** The true pit of a case: its plan, and a pit, a day and splits that its owner does not know. */
import { planOnePit } from '@ostrin/core/engine';
import { onlyPit } from '@ostrin/core';
import {
  epochOf,
  MINUTE_MS,
  pitWith,
  presetOf,
  weatherAt,
  weatherFromLighting,
  type Action,
  type Cook,
  type Operator,
  type PitPlan,
  type Random,
  type Scenario,
  type Weather,
} from '@ostrin/core/internals';
import { askedMs, type Case } from '../plans/requests';

export const LONGEST_MIN = 1500;
/** The middle at which a piece is called done, C. */
const DONE_C = 94;
/** How far a true pit lies from its preset, one standard deviation of the logarithm. */
const PIT_SD = {
  leakCm2: 0.3,
  wallLossFactor: 0.12,
  spreadFactor: 0.12,
  intakeCm2: 0.08,
  metalJPerK: 0.1,
} as const;
/** Of the fire's own pace, of its load, and of the moisture of each split. */
export const FIRE_SD = { pace: 0.12, load: 0.06, moisture: 0.3 };
/** Gusts: the wind's logarithm wanders by so much, forgets itself in so many minutes. */
const GUSTS = { sd: 0.35, forgetsMin: 25, everyMin: 5 };
const AIR_SD_K = 2;
/** How fires are held, kept from plan to plan. */
const KNOWN = new Map();

/** The plan of a case, its scenario as nobody has touched it yet, and when its meat goes on, min after lighting. */
export interface PlannedCase {
  plan: PitPlan;
  scenario: Scenario;
  onMin: number;
}

/** Plans a case. */
export function planOf(c: Case): PlannedCase {
  // Called done by temperature: tenderness shows only by feel, temperature on a probe.
  const meats = c.request.meats.map((m) => ({ ...m, done: { coreC: DONE_C } }));
  const request = { ...c.request, meats };
  const plan = planOnePit(request, { nowMs: askedMs(request), members: 8, knownPolicies: KNOWN });
  const litMs = epochOf(plan.lightAt, request.timeZone);
  const onMin = Math.round((epochOf(plan.meatOnAt[0]!, request.timeZone) - litMs) / MINUTE_MS);
  const planned = plan.scenarios[0];
  const { pitC } = onlyPit(request).pace;
  const preset = presetOf(planned.cooker.preset);
  return {
    plan,
    onMin,
    scenario: {
      ...planned,
      weather: weatherFromLighting(request.weather, request.timeZone, litMs),
      control: { mode: preset.hasFan ? 'fan' : 'vents', targetC: pitC },
      actions: [],
      meats: planned.meats.map((m) => ({ ...m, startC: 4, done: { coreC: DONE_C } })),
      untilMin: LONGEST_MIN,
      everyMin: 1,
    },
  };
}

/** Wind that gusts round the day's weather. */
function gusty(weather: Weather | Weather[], random: Random): Weather[] {
  let gust = GUSTS.sd * random.normal();
  const airK = AIR_SD_K * random.normal();
  const keeps = Math.exp(-GUSTS.everyMin / GUSTS.forgetsMin);
  return Array.from({ length: LONGEST_MIN / GUSTS.everyMin }, (_, i) => {
    gust = keeps * gust + GUSTS.sd * Math.sqrt(1 - keeps ** 2) * random.normal();
    const w = weatherAt(weather, i * GUSTS.everyMin);
    return {
      ...w,
      atMin: i * GUSTS.everyMin,
      airC: w.airC + airK,
      windMps: w.windMps * Math.exp(gust),
    };
  });
}

/** The scenario of a plan in its true pit, on its true day, with its meat put on. */
export function trueScenario({ scenario, onMin }: PlannedCase, random: Random): Scenario {
  const parameters = pitWith(presetOf(scenario.cooker.preset), scenario.cooker.overrides);
  const overrides = { ...scenario.cooker.overrides };
  for (const key of Object.keys(PIT_SD) as (keyof typeof PIT_SD)[]) {
    overrides[key] = parameters[key] * random.logNormal(PIT_SD[key]);
  }
  return {
    ...scenario,
    cooker: { ...scenario.cooker, overrides },
    weather: gusty(scenario.weather, random),
    actions: [
      { atMin: onMin, do: 'lid-open', seconds: 60 },
      ...scenario.meats.map((m): Action => ({ atMin: onMin, do: 'meat-on', meat: m.id })),
    ],
  };
}

/** Every split is as wet as it is, and nobody writes that down; `adjust` is what is really done where `a` is logged. */
export const withSplitMoisture = (
  operator: Operator,
  random: Random,
  adjust: (a: Action) => Action = (a) => a,
): Operator => ({
  ...operator,
  decide: (seen) =>
    operator
      .decide(seen)
      .map((a) =>
        a.do === 'add-fuel' && a.fuel === 'splits'
          ? { ...a, moistureFraction: 0.18 * random.logNormal(FIRE_SD.moisture) }
          : a,
      )
      .map(adjust),
});

/** What was done, as it is logged: without what nobody knows of a split. */
export function loggedBy(cook: Cook): Action[] {
  return cook.happened.flatMap((a): Action[] => {
    switch (a.do) {
      case 'flare':
      case 'pan-dry':
      case 'fire-out':
        return [];
      case 'add-fuel': {
        const { moistureFraction: _, ...logged } = a;
        // Whoever put it on had warmed it, or meant to.
        return [a.fuel === 'splits' ? { ...logged, preheated: true } : logged];
      }
      default:
        return [a];
    }
  });
}
