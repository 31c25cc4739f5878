/**
 * A true cook that the estimate's own model cannot be: gusts that hang together, splits of any moisture, fire of
 * another pace, twice the meat grid, thermometers that lag, are off, tremble and fall silent.
 */
import { onlyPit } from '@ostrin/core';
import {
  advance,
  celsius,
  coreProbeC,
  createCook,
  createSimulatedOperator,
  drawPieceVariation,
  policyOf,
  seeded,
  seedFrom,
  weatherAt,
  withProbeError,
  type Action,
  type Cook,
  type Operator,
  type PitPlan,
  type Random,
  type Scenario,
  type WeatherReading,
} from '@ostrin/core/internals';
import type { Case } from '../plans/requests';
import {
  FIRE_SD,
  loggedBy,
  LONGEST_MIN,
  trueScenario,
  withSplitMoisture,
  type PlannedCase,
} from './truePit';

/** Thermometers: what they are off by, tremble by, K, and lag by more than a good one, s. */
const PROBE = { biasK: 1.5, noiseK: 0.5, lagS: [20, 120], offMiddleM: 0.008, silentChance: 0.002 };
/** A weather station at the pit tells so often, and is off by a share of the wind. */
const STATION = { everyMin: 10, windShare: 0.15 };

/** Changes the true cook at a whole minute; nothing of it is logged. */
export type Meddle = (cook: Cook, atMin: number, felt: FeltAtGrate) => void;
/** What a meddler may do to the probe at the grate. */
interface FeltAtGrate {
  /** Replaces what it would feel, C; null leaves it. */
  at: ((c: number, airC: number) => number) | null;
}

/** How a true cook differs from one that goes as planned. */
export interface TruthOptions {
  /** Tends it instead of the plan's own policy. */
  operator?: (scenario: Scenario, plan: PitPlan) => Operator;
  /** Something that goes wrong. */
  meddle?: Meddle;
  /** What is really done where the log says `a`. */
  adjust?: (a: Action) => Action;
  /** Logged besides what is done. */
  logged?: Action[];
  /** Ends the record here, min after lighting; when it is done where left out. */
  untilMin?: number;
}

/** What the record of a true cook holds. Minutes after lighting. */
export interface TrueCook {
  /** The plan that it was cooked by. */
  plan: PitPlan;
  /** The scenario as planned: nothing done yet, the owner's figures of the pit. */
  scenario: Scenario;
  targetC: number;
  bandC: number;
  /** What was done and logged, wraps included. */
  done: Action[];
  /** Every half minute: what pit probe, dial, meat probe and fan tell; null where one was silent or there is none. */
  readings: {
    atMin: number;
    pitC: number | null;
    domeC: number;
    coreC: number | null;
    fanDuty: number | null;
  }[];
  /** What a weather station told. */
  weather: WeatherReading[];
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

/** Thermometers of a true cook: what they are off by, and how they lag and fall silent. */
class Thermometers {
  private readonly biasK: number;
  private readonly domeBiasK: number;
  private readonly lagS: number;
  private laggedC: number | null = null;
  private silentUntil = -1;

  constructor(private readonly random: Random) {
    this.biasK = PROBE.biasK * random.normal();
    this.domeBiasK = 2 * PROBE.biasK * random.normal();
    this.lagS = PROBE.lagS[0]! + (PROBE.lagS[1]! - PROBE.lagS[0]!) * random.next();
  }

  get pitBiasK(): number {
    return this.biasK;
  }

  readonly noiseK = (): number => PROBE.noiseK * this.random.normal();

  /** What they read half a minute on. */
  read(cook: Cook, atMin: number, felt: FeltAtGrate): TrueCook['readings'][number] {
    const pit = cook.pit!;
    const { airC } = weatherAt(cook.scenario.weather, atMin);
    const good = felt.at ? felt.at(celsius(pit.probeK), airC) : celsius(pit.probeK);
    this.laggedC ??= good;
    this.laggedC += (good - this.laggedC) * (1 - Math.exp(-30 / this.lagS));
    if (this.random.next() < PROBE.silentChance) this.silentUntil = atMin + 20 * this.random.next();
    const meat = cook.pieces[0];
    return {
      atMin,
      pitC: atMin < this.silentUntil ? null : this.laggedC + this.biasK + this.noiseK(),
      domeC: celsius(pit.dialK) + this.domeBiasK + 2 * this.noiseK(),
      coreC: meat?.stage === 'on' ? coreProbeC(meat.piece, PROBE.offMiddleM) + this.noiseK() : null,
      fanDuty: cook.fan ? pit.fanDuty : null,
    };
  }
}

/** Cooks one case in its true pit, tended by its plan's policy, and writes down what its thermometers said. */
export function trueCook(c: Case, made: PlannedCase, options: TruthOptions = {}): TrueCook {
  const { plan, scenario, onMin } = made;
  const { pitC: targetC, bandC } = onlyPit(c.request).pace;
  const random = seeded(seedFrom(c.truth));
  const truth = trueScenario(made, random);
  const thermometers = new Thermometers(random);
  const tended = options.operator
    ? options.operator(truth, plan)
    : createSimulatedOperator(truth, targetC, policyOf(plan.guides[0]!));
  const variation = drawPieceVariation(random);
  const cook = createCook(truth, {
    operator: withSplitMoisture(
      withProbeError(tended, thermometers.pitBiasK, thermometers.noiseK),
      random,
      options.adjust,
    ),
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
    weather: [],
    onMin,
    doneMin: null,
    endMin: 0,
  };
  const felt: FeltAtGrate = { at: null };
  const untilMin = options.untilMin ?? LONGEST_MIN - 10;
  for (let half = 0; half / 2 <= untilMin; half++) {
    const atMin = half / 2;
    if (Number.isInteger(atMin)) options.meddle?.(cook, atMin, felt);
    advance(cook, atMin);
    const pit = cook.pit!;
    out.readings.push(thermometers.read(cook, atMin, felt));
    if (atMin % STATION.everyMin === 0) out.weather.push(stationTells(cook, atMin, random));
    out.truePitC.push(celsius(pit.probeK));
    out.trueFuelKg.push(pit.lit.kg + pit.unlit.kg);
    out.trueAsh.push(pit.bedAshKg / pit.layout.ashHalvingKg);
    out.trueFuelLeft.push((pit.lit.kg + pit.unlit.kg) / pit.ledger.givenKg);
    out.endMin = atMin;
    if (options.untilMin === undefined && cook.pieces[0]!.result.doneAtMin !== null) break;
  }
  out.doneMin = cook.pieces[0]!.result.doneAtMin;
  out.done = [...loggedBy(cook), ...(options.logged ?? [])].sort((a, b) => a.atMin - b.atMin);
  return out;
}

/** What a weather station at the pit tells of the cook's own weather. */
function stationTells({ scenario }: Cook, atMin: number, random: Random): WeatherReading {
  const { airC, windMps, rainMmPerH } = weatherAt(scenario.weather, atMin);
  return { atMin, airC, rainMmPerH, windMps: windMps * random.logNormal(STATION.windShare) };
}
