/** A pit's fire and vents, as codes and figures. */
import { smokeAgain } from './smokeJobs';
import { charcoalKg, type Action } from '../../scenario/actions';
import { CHARCOALS } from '../../fuel/catalogue';
import { localOf, MINUTE_MS } from '../../quantity/time';
import { mean } from '../../quantity/statistics';
import { roundDigits } from '../../quantity/units';
import { settledC } from '../../solvers/steadyCase';
import { splitStackKg } from '../schedule/fuelLoad';
import type { PitSchedule } from '../schedule/pitSchedule';
import { fireLitKg } from '../../fire/catalogue';
import { settingAt } from './plannedRule';
import { plannedVentMoves } from './ventMoves';
import { lastOffMin } from './job';
import { latestEndMin } from '../schedule/schedule';
import { scoreRun } from '../fire/policyTrial';
import { firstMove } from '../fire/firstMove';
import type { Feeding, PlanVents, PlannedFire } from '../document/plan';

/** Reserve of charcoal at hand for wind and cold: at least this share of the load (common practice: a handful to a quarter). */
const RESERVE_SHARE = 0.25;
/** And enough for a slow piece in the hungriest of the likely pits, and a little over: the true one may be hungrier. */
const HUNGRIER = 1.25;

/** What a fire is given, what it needs, and what should be left over, kg; splits are burnt as they are fed. */
export function fuelBalance(cook: PitSchedule) {
  const last = lastOffMin(cook);
  const feeding = feedingOf(cook, last);
  const fedKg = feeding
    .filter((f) => f.what !== 'splits')
    .reduce((kg, f) => kg + f.massKg * f.count, 0);
  const givenKg = cook.fuelLoadKg + fedKg;
  const splits = feeding.find((f) => f.what === 'splits');
  // Splits are burnt as they are fed, and their coals burn with the bed: what is put on is what is needed.
  const neededKg = splits
    ? givenKg + splits.massKg * splits.count
    : mean(cook.charcoalKgPerMin) * last;
  const leftKg = splits ? 0 : roundDigits(Math.max(0, givenKg - neededKg), 3);
  return { feeding, splits, fedKg, givenKg, neededKg, leftKg };
}

/** A pit's fire. */
export function plannedFireOf(cook: PitSchedule): PlannedFire {
  const { setup, fuelLoadKg: loadKg } = cook;
  const fire = cook.scenario.fire!;
  const piece = CHARCOALS[fire.fuel].pieceKg;
  const { feeding, splits, fedKg, givenKg, neededKg, leftKg } = fuelBalance(cook);
  const lastsMin = splits
    ? splits.toMin + splits.everyMin
    : givenKg / Math.max(mean(cook.charcoalKgPerMin), 1e-4);
  const reserveKg = splits
    ? Math.max(splitStackKg(cook) - splits.massKg * splits.count, splits.massKg)
    : charcoalReserveKg(cook, givenKg);
  const lay =
    fire.arrangement === 'snake'
      ? { side: fire.side, layers: fire.layers, arcDegrees: fire.arcDegrees }
      : {};
  return {
    pit: setup.pit.id,
    arrangement: fire.arrangement,
    fuel: fire.fuel,
    ...lay,
    pieces: Math.round(loadKg / piece),
    massKg: roundDigits(loadKg, 3),
    ...fromLast(cook, loadKg),
    litPieces: Math.round(fireLitKg(fire) / piece),
    litKg: roundDigits(fireLitKg(fire), 3),
    woodChunks: fire.woodChunks,
    ...moreChunks(cook),
    lengthenPieces: Math.round(fedKg / piece),
    lastsMin: Math.round(Math.min(lastsMin, 4000)),
    feeding,
    inBandFraction: roundDigits(cook.rule?.inBandFraction ?? inBandFraction(cook), 2),
    reserveKg: roundDigits(reserveKg, 2),
    neededKg: roundDigits(neededKg, 3),
    leftKg,
    hourPieces: hourPieces(cook),
  };
}

/** Chunks that go on later than the others. */
function moreChunks(cook: PitSchedule): { moreChunks?: number } {
  const again = smokeAgain(cook);
  return again ? { moreChunks: again.count } : {};
}

/** What of the load is in the pit from last time; its lit part is taken from fresh coals. */
function fromLast({ setup, scenario }: PitSchedule, loadKg: number): { fromLastKg?: number } {
  const there = setup.pit.fire.leftKg ?? 0;
  const used = Math.min(there, Math.max(0, loadKg - fireLitKg(scenario.fire!)));
  return used > 0 ? { fromLastKg: roundDigits(used, 3) } : {};
}

/** How much of the time the likely pits stand in their band where no rule for the hand was tried. */
const inBandFraction = ({ likelyRuns: pits, setup: { pit } }: PitSchedule): number =>
  1 - mean(pits.map((r) => scoreRun(r, pit.pace.pitC, pit.pace.bandC).outFraction));

/** Charcoal that stands by besides what is given; none where nothing can be put on under a hot deflector. */
function charcoalReserveKg(cook: PitSchedule, givenKg: number): number {
  if (cook.policy.topUp === null) return 0;
  const hungriest = HUNGRIER * Math.max(...cook.charcoalKgPerMin) * latestEndMin(cook);
  return Math.max(RESERVE_SHARE * givenKg, hungriest - givenKg);
}

/** Pieces that lengthen a snake by an hour, for whoever needs more than was planned; null for other fires. */
function hourPieces({ charcoalKgPerMin, scenario }: PitSchedule): number | null {
  const fire = scenario.fire!;
  if (fire.arrangement !== 'snake') return null;
  return Math.ceil((60 * mean(charcoalKgPerMin)) / CHARCOALS[fire.fuel].pieceKg);
}

/** What is put on in the reference cook, as rounds. */
function feedingOf(cook: PitSchedule, lastMin: number): Feeding[] {
  const fed = (cook.result.happened as Action[]).flatMap((a) =>
    a.do === 'add-fuel' && a.atMin > 0 && a.atMin <= lastMin
      ? [
          {
            atMin: a.atMin,
            what: a.fuel,
            kg: a.fuel === 'splits' ? (a.massKg ?? 0) : charcoalKg(a),
          },
        ]
      : [],
  );
  return [...new Set(fed.map((f) => f.what))].map((what) => {
    const of = fed.filter((f) => f.what === what);
    const count = of.length;
    const [fromMin, toMin] = [of[0]!.atMin, of.at(-1)!.atMin];
    const everyMin = count > 1 ? Math.round((toMin - fromMin) / (count - 1)) : 0;
    return {
      what,
      massKg: roundDigits(mean(of.map((f) => f.kg)), 3),
      everyMin,
      fromMin,
      toMin,
      count,
    };
  });
}

/** Where a pit settles, C. Rounds of splits are corrected as they go, so that only the cook itself shows it. */
function settlesAtC(cook: PitSchedule): number {
  const itself = settledC(cook.result.pitC, cook.scenario.everyMin);
  const settles = cook.setup.onSplits ? itself : (cook.tuned?.settlesC ?? itself);
  const known = cook.result.pitC.filter((c): c is number => c !== null);
  return roundDigits(Number.isFinite(settles) ? settles : mean(known), 1);
}

/** From bring-up to close-down: each setting of the reference cook, and what to try first when it is off. */
export function plannedVentsOf(cook: PitSchedule, litMs: number, zone: string): PlanVents[] {
  const { setup, policy } = cook;
  const { pitC: target, bandC } = setup.pit.pace;
  const moves = { high: firstMove(cook, bandC), low: firstMove(cook, -bandC) };
  const common = { pit: setup.pit.id, settlesC: settlesAtC(cook) };
  const at = (min: number): string => localOf(litMs + min * MINUTE_MS, zone);
  if (setup.underFan) {
    const exhaustFraction = setup.preset.fanExhaustFraction;
    return [
      {
        ...common,
        at: at(0),
        intakeFraction: 0,
        exhaustFraction,
        fanTargetC: target,
        first: true,
        moves,
      },
    ];
  }
  const planned = plannedVentMoves(cook);
  const settings =
    planned.length > 0
      ? planned
      : [{ atMin: 0, intakeFraction: policy.up.intake, exhaustFraction: policy.up.exhaust }];
  const held = cook.rule && settingAt(cook.rule, cook.rule.start);
  if (held) {
    return [
      {
        ...common,
        at: at(planned[0]?.atMin ?? 0),
        intakeFraction: held.intake,
        exhaustFraction: held.exhaust,
        fanTargetC: null,
        first: true,
        moves,
      },
    ];
  }
  return settings.map((m, i) => ({
    ...common,
    at: at(m.atMin),
    intakeFraction: m.intakeFraction,
    exhaustFraction: m.exhaustFraction,
    fanTargetC: null,
    first: i === 0,
    moves: i === 0 ? moves : null,
  }));
}
