/**
 * A true cook that the estimate's own model cannot be: gusts that hang together, splits of any moisture, fire of
 * another pace, twice the meat grid, thermometers that lag, are off, tremble and fall silent.
 */
import {
  advance,
  celsius,
  coreProbeC,
  createCook,
  createSimulatedOperator,
  drawPieceVariation,
  epochOf,
  MINUTE_MS,
  pitWith,
  policyOf,
  presetOf,
  seeded,
  seedFrom,
  weatherAt,
  weatherFromLighting,
  withProbeError,
  type Action,
  type Cook,
  type Operator,
  type Plan,
  type Random,
  type Scenario,
  type Weather,
} from '@ostrin/core/internals';
import { planDocument } from '@ostrin/wording';
import type { Case } from '../plans/requests';

/** How far a true pit lies from its preset, one standard deviation of the logarithm. */
const PIT_SD = {
  leakCm2: 0.3,
  wallLossFactor: 0.12,
  spreadFactor: 0.12,
  intakeCm2: 0.08,
  metalJPerK: 0.1,
} as const;
/** Of the fire's own pace, of its load, and of the moisture of each split. */
const FIRE_SD = { pace: 0.12, load: 0.06, moisture: 0.3 };
/** Gusts: the wind's logarithm wanders by so much, forgets itself in so many minutes. */
const GUSTS = { sd: 0.35, forgetsMin: 25, everyMin: 5 };
const AIR_SD_K = 2;
/** Thermometers: what they are off by, tremble by, K, and lag by more than a good one, s. */
const PROBE = { biasK: 1.5, noiseK: 0.5, lagS: [20, 120], offMiddleM: 0.008, silentChance: 0.002 };
const LONGEST_MIN = 1500;

/** What the record of a true cook holds. Minutes after lighting. */
export interface TrueCook {
  /** The plan that it was cooked by. */
  plan: Plan;
  /** The scenario as planned: nothing done yet, the owner's figures of the pit. */
  scenario: Scenario;
  targetC: number;
  bandC: number;
  /** What was done and logged, wraps included. */
  done: Action[];
  /** Every half minute: what pit probe, dial and meat probe read; null where one was silent. */
  readings: { atMin: number; pitC: number | null; domeC: number; coreC: number | null }[];
  /** Every half minute: what a perfect probe at the grate would read, C. */
  truePitC: number[];
  /** Every half minute: charcoal and wood left, kg. */
  trueFuelKg: number[];
  /** Every half minute: ash among the coals over what halves the air, and share of the charcoal left. */
  trueAsh: number[];
  trueFuelLeft: number[];
  /** When its meat was on and done; null when never. */
  onMin: number;
  doneMin: number | null;
  endMin: number;
}

/** Changes the true cook at a whole minute; nothing of it is logged. */
export type Meddle = (cook: Cook, atMin: number, read: ReadMeddle) => void;
/** What a meddler may do to the pit's thermometer. */
export interface ReadMeddle {
  /** Replaces what the pit's probe would read, C. */
  pit: ((c: number, airC: number) => number) | null;
}

export interface TruthOptions {
  /** Tends it instead of the plan's own policy. */
  operator?: (scenario: Scenario, plan: Plan) => Operator;
  /** A fault; its minutes are told by itself. */
  meddle?: Meddle;
  /** How many times as thick the true piece is. */
  thickness?: number;
  /** What is really done where the log says `a`. */
  adjust?: (a: Action) => Action;
  /** Logged besides what is done. */
  logged?: Action[];
  /** Ends the record here, min after lighting. */
  untilMin?: number;
  /** Changes the true scenario before it is lit. */
  scenario?: (s: Scenario) => Scenario;
}

/** How fires are held, kept from plan to plan. */
const KNOWN = new Map();

/** The plan of a case, and its scenario as nobody has touched it yet. */
export function planOf(c: Case): { plan: Plan; scenario: Scenario; onMin: number } {
  const { request } = c;
  const nowMs = epochOf(request.serveAt, request.timeZone) - 60 * 60 * MINUTE_MS;
  const plan = planDocument(request, { nowMs, members: 8, knownPolicies: KNOWN });
  const litMs = epochOf(plan.lightAt, request.timeZone);
  const onMin = Math.round((epochOf(plan.meatOnAt[0]!, request.timeZone) - litMs) / MINUTE_MS);
  const planned = plan.scenarios[0]!;
  const { pitC } = request.pits[0]!.pace;
  const preset = presetOf(planned.cooker.preset);
  return {
    plan,
    onMin,
    scenario: {
      ...planned,
      weather: weatherFromLighting(request.weather, request.timeZone, litMs),
      control: { mode: preset.hasFan ? 'fan' : 'vents', targetC: pitC },
      actions: [],
      meats: planned.meats.map((m) => ({ ...m, startC: 4, done: { coreC: 94 } })),
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

/** Cooks one case in its true pit and writes down what its thermometers said. */
export function trueCook(
  c: Case,
  made: ReturnType<typeof planOf>,
  options: TruthOptions = {},
): TrueCook {
  const { plan, scenario, onMin } = made;
  const { pitC: targetC, bandC } = c.request.pits[0]!.pace;
  const random = seeded(seedFrom(c.truth));
  const parameters = pitWith(presetOf(scenario.cooker.preset), scenario.cooker.overrides);
  const overrides = { ...scenario.cooker.overrides };
  for (const key of Object.keys(PIT_SD) as (keyof typeof PIT_SD)[]) {
    overrides[key] = parameters[key] * random.logNormal(PIT_SD[key]);
  }
  const drawn: Scenario = {
    ...scenario,
    cooker: { ...scenario.cooker, overrides },
    weather: gusty(scenario.weather, random),
    actions: [
      { atMin: onMin, do: 'lid-open', seconds: 60 },
      ...scenario.meats.map((m): Action => ({ atMin: onMin, do: 'meat-on', meat: m.id })),
    ],
  };
  const truth = options.scenario ? options.scenario(drawn) : drawn;
  const bias = PROBE.biasK * random.normal();
  const domeBias = 2 * PROBE.biasK * random.normal();
  const lagS = PROBE.lagS[0]! + (PROBE.lagS[1]! - PROBE.lagS[0]!) * random.next();
  const variation = drawPieceVariation(random);
  variation.radius *= options.thickness ?? 1;
  const tended = options.operator
    ? options.operator(truth, plan)
    : createSimulatedOperator(truth, targetC, policyOf(plan.guides[0]!));
  const operator = withSplitMoisture(
    withProbeError(tended, bias, () => PROBE.noiseK * random.normal()),
    random,
    options.adjust,
  );
  const cook = createCook(truth, {
    operator,
    variations: truth.meats.map(() => variation),
    pieceOverrides: { cells: 24 },
  });
  cook.pit!.unlit.paceFactor *= random.logNormal(FIRE_SD.pace);
  cook.pit!.unlit.kg *= random.logNormal(FIRE_SD.load);
  const out: TrueCook = {
    plan,
    scenario,
    targetC,
    bandC,
    done: [],
    readings: [],
    truePitC: [],
    trueFuelKg: [],
    trueAsh: [],
    trueFuelLeft: [],
    onMin,
    doneMin: null,
    endMin: 0,
  };
  const meddled: ReadMeddle = { pit: null };
  let lagged = celsius(cook.pit!.probeK);
  let silentUntil = -1;
  const untilMin = options.untilMin ?? LONGEST_MIN - 10;
  for (let half = 0; half / 2 <= untilMin; half++) {
    const atMin = half / 2;
    if (Number.isInteger(atMin)) options.meddle?.(cook, atMin, meddled);
    advance(cook, atMin);
    const pit = cook.pit!;
    const { airC } = weatherAt(truth.weather, atMin);
    const good = celsius(pit.probeK);
    const felt = meddled.pit ? meddled.pit(good, airC) : good;
    lagged += (felt - lagged) * (1 - Math.exp(-30 / lagS));
    if (random.next() < PROBE.silentChance) silentUntil = atMin + 20 * random.next();
    const noise = (): number => PROBE.noiseK * random.normal();
    const meat = cook.pieces[0];
    const on = meat && meat.stage === 'on';
    out.readings.push({
      atMin,
      pitC: atMin < silentUntil ? null : lagged + bias + noise(),
      domeC: celsius(pit.dialK) + domeBias + 2 * noise(),
      coreC: on ? coreProbeC(meat.piece, PROBE.offMiddleM) + noise() : null,
    });
    out.truePitC.push(good);
    out.trueFuelKg.push(pit.lit.kg + pit.unlit.kg);
    out.trueAsh.push(pit.bedAshKg / pit.layout.ashHalvingKg);
    out.trueFuelLeft.push((pit.lit.kg + pit.unlit.kg) / pit.ledger.givenKg);
    out.endMin = atMin;
    if (meat?.result.doneAtMin != null && options.untilMin === undefined) break;
  }
  out.doneMin = cook.pieces[0]?.result.doneAtMin ?? null;
  out.done = [...loggedBy(cook), ...(options.logged ?? [])].sort((a, b) => a.atMin - b.atMin);
  return out;
}

/** Every split is as wet as it is, and nobody writes that down. */
const withSplitMoisture = (
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
function loggedBy(cook: Cook): Action[] {
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
