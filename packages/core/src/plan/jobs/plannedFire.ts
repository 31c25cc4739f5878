/** A pit's fire and vents as a plan tells them. */
import { charcoalKg, type Action } from '../../scenario/actions';
import { CHARCOALS } from '../../fuel/catalogue';
import { localOf, MINUTE_MS } from '../../quantity/time';
import { mean } from '../../quantity/statistics';
import { roundTo, roundDigits } from '../../quantity/units';
import { countWords, spanOfTime, temperatureWords, type Units } from '../../quantity/words';
import { settledC } from '../../solvers/steadyCase';
import { splitStackKg } from '../schedule/fuelLoad';
import type { PitPlan } from '../schedule/pitPlan';
import { splitLengthCm } from '../../pit/usualFire';
import { fireLitKg } from '../../fire/catalogue';
import { plannedVentMoves } from './fireJobs';
import { lastOffMin } from './job';
import { latestEndMin } from '../schedule/schedule';
import { scoreRun } from '../fire/policyTrial';
import { trimWords } from '../risks';
import type { Feeding, PlannedFire, PlanVents } from '../request/types';
import { buildWords, charcoalWords, settingWords, splitWords } from '../words';

/** Reserve of charcoal at hand for wind and cold: at least this share of the load (common practice: a handful to a quarter). */
const RESERVE_SHARE = 0.25;
/** And enough for a slow piece in the hungriest of the likely pits, and a little over: the true one may be hungrier. */
const HUNGRIER = 1.25;

/** A pit's fire. */
export function plannedFireOf(cook: PitPlan, units: Units): PlannedFire {
  const { setup: way, fuelLoadKg: loadKg } = cook;
  const fire = cook.scenario.fire!;
  const last = lastOffMin(cook);
  const piece = CHARCOALS[fire.fuel].pieceKg;
  const feeding = feedingOf(cook, last, units);
  const fedKg = feeding
    .filter((f) => f.what !== 'splits')
    .reduce((kg, f) => kg + f.massKg * f.count, 0);
  const given = loadKg + fedKg;
  const splits = feeding.find((f) => f.what === 'splits');
  // Splits are burnt as they are fed, and their coals burn with the bed: what is put on is what is needed.
  const neededKg = splits
    ? given + splits.massKg * splits.count
    : mean(cook.charcoalKgPerMin) * last;
  const lastsMin = splits
    ? splits.toMin + splits.everyMin
    : given / Math.max(mean(cook.charcoalKgPerMin), 1e-4);
  const reserveKg = splits
    ? Math.max(splitStackKg(cook) - splits.massKg * splits.count, splits.massKg)
    : charcoalReserveKg(cook, given);
  const lay =
    fire.arrangement === 'snake'
      ? { side: fire.side, layers: fire.layers, arcDegrees: fire.arcDegrees }
      : {};
  return {
    pit: way.pit.id,
    arrangement: fire.arrangement,
    fuel: fire.fuel,
    ...lay,
    pieces: Math.round(loadKg / piece),
    massKg: roundDigits(loadKg, 3),
    litPieces: Math.round(fireLitKg(fire) / piece),
    litKg: roundDigits(fireLitKg(fire), 3),
    woodChunks: fire.woodChunks,
    lengthenPieces: Math.round(fedKg / piece),
    lastsMin: Math.round(Math.min(lastsMin, 4000)),
    feeding,
    inBandFraction: roundDigits(inBandFraction(cook), 2),
    reserveKg: roundDigits(reserveKg, 2),
    neededKg: roundDigits(neededKg, 3),
    leftKg: splits ? 0 : roundDigits(Math.max(0, given - neededKg), 3),
    inWords: [...buildWords(way, fire, units), ...longerWords(cook)],
  };
}

/** How much of the time the likely pits stand in their band. */
const inBandFraction = ({ likelyRuns: pits, setup: { pit } }: PitPlan): number =>
  1 - mean(pits.map((r) => scoreRun(r, pit.pace.pitC, pit.pace.bandC).outFraction));

/** Charcoal that stands by besides what is given; none where nothing can be put on under a hot deflector. */
function charcoalReserveKg(cook: PitPlan, givenKg: number): number {
  if (cook.policy.topUp === null) return 0;
  const hungriest = HUNGRIER * Math.max(...cook.charcoalKgPerMin) * latestEndMin(cook);
  return Math.max(RESERVE_SHARE * givenKg, hungriest - givenKg);
}

/** How a snake is made to last while it burns, for whoever needs more than was planned. */
function longerWords({ setup: way, charcoalKgPerMin, scenario }: PitPlan): string[] {
  const fire = scenario.fire!;
  if (fire.arrangement !== 'snake') return [];
  const { name, pieceKg } = CHARCOALS[fire.fuel];
  const anHour = Math.ceil((60 * mean(charcoalKgPerMin)) / pieceKg);
  return [
    `To make it last: lay more at its tail, ${fire.side} wide and ${fire.layers} high, round into the gap before the fire comes near; about ${anHour} ${way.fire.fuel === 'lump' ? 'pieces of lump' : name} for an hour. Ash out of the gap first.`,
  ];
}

/** What is put on in the middle of the road, told as rounds. */
function feedingOf(cook: PitPlan, lastMin: number, units: Units): Feeding[] {
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
    const massKg = roundDigits(mean(of.map((f) => f.kg)), 3);
    const each =
      what === 'splits'
        ? `a split of ${splitWords(massKg, splitLengthCm(cook.setup.parameters), units)}`
        : charcoalWords({ fuel: what }, massKg, units);
    const often =
      count > 1
        ? ` each ${spanOfTime(roundTo(everyMin, 5))}, ${countWords(count, 'time', 'times')}`
        : ', once';
    return { what, massKg, everyMin, fromMin, toMin, count, inWords: `${each}${often}` };
  });
}

/** From bring-up to close-down: each setting of the middle of the road, and what to try first when it is off. */
export function plannedVentsOf(
  cook: PitPlan,
  litMs: number,
  zone: string,
  units: Units,
): PlanVents[] {
  const { setup: way, policy: guide } = cook;
  const pit = way.pit.id;
  const { pitC: target, bandC } = way.pit.pace;
  // Rounds of splits are corrected as they go: where they come to is seen in the cook itself.
  const itself = settledC(cook.result.pitC, cook.scenario.everyMin);
  const settles = way.onSplits ? itself : (cook.tuned?.settlesC ?? itself);
  const settlesC = roundDigits(
    Number.isFinite(settles)
      ? settles
      : mean(cook.result.pitC.filter((c): c is number => c !== null)),
    1,
  );
  const at = (min: number): string => localOf(litMs + min * MINUTE_MS, zone);
  const near = `settles near ${temperatureWords(settlesC, units)}`;
  if (way.underFan) {
    return [
      {
        at: at(0),
        pit,
        intakeFraction: 0,
        exhaustFraction: way.preset.fanExhaustFraction,
        settlesC,
        inWords: `Fan set to ${temperatureWords(target, units)}, slots open: ${near}`,
        ifHigh: 'Look for air that gets in past the fan: slit shut, ash door tight.',
        ifLow: 'Ash under the fire, or fuel bridging in the hopper: tap it, empty the pan.',
      },
    ];
  }
  const moves = plannedVentMoves(cook);
  const told =
    moves.length > 0
      ? moves
      : [{ atMin: 0, intakeFraction: guide.up.intake, exhaustFraction: guide.up.exhaust }];
  return told.map((m, i) => ({
    at: at(m.atMin),
    pit,
    intakeFraction: m.intakeFraction,
    exhaustFraction: m.exhaustFraction,
    settlesC,
    inWords: `${settingWords(way, m.intakeFraction, m.exhaustFraction)}${i === 0 ? `: ${near}` : ''}`,
    ...(i > 0
      ? {}
      : way.onSplits
        ? {
            ifHigh: 'The next split a quarter lighter; the dampers stay open.',
            ifLow: 'The next split a quarter heavier, and warmed longer.',
          }
        : { ifHigh: trimWords(cook, bandC), ifLow: trimWords(cook, -bandC) }),
  }));
}
