/** Wishes that cannot be met, and what would make them possible. */
import { cutOf } from '../meat/cuts';
import { MINUTE_MS, localOf } from '../quantity/time';
import { mean, quantile } from '../quantity/statistics';
import { spanOfTime, temperatureWords, type Units } from '../quantity/words';
import { edibleKg, requestedMassKg } from './request/amount';
import type { PitPlan } from './schedule/pitPlan';
import { footprintOf, grateOf } from './grate/grate';
import type { MisplacedPiece } from './grate/planGrate';
import type { PitSetup } from './fire/designFire';
import { prepareProblem } from './jobs/prepare';
import { servedMs, ascendingNeverLast, latestEndMin, MAX_COOK_MIN } from './schedule/schedule';
import type { Problem, Request, RequestMeat } from './request/types';

/** More pieces than the grate takes beside its fire. */
export function tooManyPieces(
  request: Request,
  setup: PitSetup,
  meat: RequestMeat,
  index: number,
  wanted: number,
  fits: number,
): Problem {
  const cut = cutOf(meat.cut);
  const [low, high] = edibleKg(cut, requestedMassKg(meat));
  const feeds = Math.floor((fits * (low + high) * 500) / request.appetiteG);
  const others = request.meats.length > 1;
  const name = setup.pit.name ?? `the ${setup.preset.name}`;
  if (fits === 0) {
    const grate = grateOf(setup.preset, setup.fire.arrangement);
    const foot = footprintOf(meat.cut, requestedMassKg(meat), meat.thicknessMm);
    const room = Math.round(200 * Math.min(grate.clearRadiusM, grate.lengthM / 2));
    return {
      field: `meats[${index}].massKg`,
      message: `One ${cut.name} of that size is about ${Math.round(100 * foot.lengthM)} by ${Math.round(100 * foot.widthM)} cm; ${others ? 'beside the other pieces there is no room for it' : `${name} has ${room} cm beside its fire`}.`,
      instead: 'Cut it in two, trim it shorter, take a smaller one, or plan it for another pit.',
    };
  }
  return {
    field: meat.pieces === undefined ? 'people' : `meats[${index}].pieces`,
    message: `${wanted} ${cut.plural} are needed, but only ${fits} fit beside the fire on this grate.`,
    instead: `${fits} of them feed about ${feeds}. Ask fewer people, or plan a second pit.`,
  };
}

/** A piece that was laid where it cannot lie. */
export function misplacedPiece(request: Request, { index, piece, why }: MisplacedPiece): Problem {
  const name = cutOf(request.meats[index]!.cut).name;
  return {
    field: `meats[${index}].lie[${piece}]`,
    message:
      why === 'touching'
        ? `A ${name} is laid against another piece.`
        : `A ${name} is laid over the fire or over the edge of the grate.`,
    instead: 'Move it where there is free grate on all sides.',
  };
}

/** Of the pit: out of reach, never done, fuel that cannot last. */
function pitProblems(
  request: Request,
  cook: PitPlan,
  index: readonly number[],
  units: Units,
): Problem[] {
  const { setup } = cook;
  const { pitC: target, bandC } = setup.pit.pace;
  const k = request.pits.findIndex((p) => p.id === setup.pit.id);
  const problems: Problem[] = [];
  const part = cook.result.pitC.filter(
    (c, i): c is number => c !== null && cook.result.minutes[i]! >= 100,
  );
  const settles = cook.tuned?.settlesC ?? mean(part.length > 0 ? part : [target]);
  if (!(Math.abs(settles - target) <= 1.5 * bandC)) {
    const low = settles < target;
    problems.push({
      field: `pits[${Math.max(k, 0)}].pace.pitC`,
      message: low
        ? `Wide open, this fire gives only ${temperatureWords(settles, units)} in this weather.`
        : `As far closed as it goes, this fire still gives ${temperatureWords(settles, units)}.`,
      instead: `Plan for ${temperatureWords(settles, units)}${low ? ', build it with another fire,' : ''} or take another pit.`,
    });
  }
  cook.readyMin.forEach((r, n) => {
    if (Number.isFinite(quantile(ascendingNeverLast(r), request.chanceOnTimeFraction))) return;
    problems.push({
      field: `meats[${index[n]!}].done`,
      message: `Some of these cooks are not done after ${spanOfTime(MAX_COOK_MIN)}.`,
      instead: `Hold the pit hotter than ${temperatureWords(target, units)}, wrap, or take smaller pieces.`,
    });
  });
  const needKg = mean(cook.charcoalKgPerMin) * latestEndMin(cook);
  if (!setup.preset.traits.canTopUp && needKg > 0.97 * cook.fullLoadKg) {
    const lasts = (0.9 * cook.fullLoadKg) / Math.max(mean(cook.charcoalKgPerMin), 1e-6);
    problems.push({
      field: `pits[${Math.max(k, 0)}].fire`,
      message: `A full bowl lasts about ${spanOfTime(Math.round(lasts / 30) * 30)} at this heat; the slow cooks take ${spanOfTime(Math.round(latestEndMin(cook) / 30) * 30)}.`,
      instead: 'Wrap earlier, take smaller pieces, or plan the last hours in a low oven.',
    });
  }
  return problems;
}

/** The next quarter of an hour from an instant on, epoch ms. */
const onTheQuarter = (ms: number): number => Math.ceil(ms / (15 * MINUTE_MS)) * 15 * MINUTE_MS;

/** An hour that would do, with its day where it is not the day that was asked for. */
function hourWords(ms: number, { serveAt, timeZone }: Request): string {
  const local = localOf(ms, timeZone);
  return `${local.slice(11)}${local.slice(0, 10) === serveAt.slice(0, 10) ? '' : ' the next day'}`;
}

/** Of the clock. */
function clockProblems(
  request: Request,
  nowMs: number,
  serveMs: number,
  lightMs: number,
): Problem[] {
  const zone = request.timeZone;
  if (serveMs <= nowMs) {
    return [
      {
        field: 'serveAt',
        message: 'The serving time has passed.',
        instead: 'Choose a later day or hour.',
      },
    ];
  }
  if (lightMs >= nowMs) return [];
  const earliest = onTheQuarter(serveMs + nowMs - lightMs);
  return [
    {
      field: 'serveAt',
      message: `The fire should have been lit at ${localOf(lightMs, zone).slice(11)}.`,
      instead: `Serve at ${hourWords(earliest, request)}, hold the pit hotter, or take smaller pieces.`,
    },
  ];
}

/** What lead times make impossible. */
function leadTimeProblems(
  meat: RequestMeat,
  index: number,
  onMs: number,
  nowMs: number,
  leadMin: number,
): Problem[] {
  const problem = prepareProblem(meat, index, onMs, nowMs, leadMin);
  return problem ? [problem] : [];
}

/** A piece that comes too late to be ready. */
function lateArrivalProblems(
  request: Request,
  index: number,
  lateFraction: number,
  p90Ms: number,
): Problem[] {
  const meat = request.meats[index]!;
  if (!meat.notBefore || lateFraction <= 1.05 - request.chanceOnTimeFraction) return [];
  const then = onTheQuarter(p90Ms + meat.rest.minutes * MINUTE_MS);
  return [
    {
      field: `meats[${index}].notBefore`,
      message: `Put on at ${meat.notBefore.slice(11)}, the ${cutOf(meat.cut).name} is late in ${Math.round(100 * lateFraction)} of 100 cooks.`,
      instead: `Serve it at ${hourWords(then, request)}, have it there ${spanOfTime((then - servedMs(request, meat)) / MINUTE_MS)} sooner, take smaller pieces, or cook hotter.`,
    },
  ];
}

export const problemsOf = {
  pit: pitProblems,
  time: clockProblems,
  lead: leadTimeProblems,
  coming: lateArrivalProblems,
};
