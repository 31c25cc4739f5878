/** Plans a meal backwards from its serving time: every pit of the request, and what it all needs. */
import { withWindTimes } from '../air/weather';
import { FRIDGE_C, SAUCE_LAST_MIN, SPRAY_SCHOOLS, USUAL_WRAP_WHEN } from '../meat/usualTreatment';
import { epochOf, MINUTE_MS } from '../quantity/time';
import { requestedMassKg, piecesPerMeat } from './request/amount';
import { servedMs, wantedWindow } from './schedule/schedule';
import type { MeatSpec } from '../scenario/scenario';
import { planPit } from './schedule/planPit';
import { pullTemperatureC } from './schedule/pullTemperature';
import { weatherFromLighting } from './request/planWeather';
import type { PitSchedule, PieceTarget } from './schedule/pitSchedule';
import { inRounds, planGrate, mainPlaceOf, type PiecesToPlace } from './grate/planGrate';
import { designFire, type PitSetup } from './fire/designFire';
import { misplacedPiece, tooManyPieces } from './advice/problems';
import type { Plan, Problem } from './document/plan';
import type { Request, RequestMeat } from './request/types';
import { assemble, type PlanOptions } from './assemble';
import type { PlannedPit } from './plannedPit';
import { runToEnd, within, type Steps } from '../sampling/likelyPit';

/** About how long before it is eaten a meal's fire is lit, min (common practice). */
const USUAL_COOK_MIN = 600;

/** The plan for a request, in one go. See `planSteps`. */
export const plan = (request: Request, options: PlanOptions): Plan =>
  runToEnd(planSteps(request, options));

/** One pit's cook, in one go. See `planPit`. */
const planPitAtOnce = (...asked: Parameters<typeof planPit>): PitSchedule =>
  runToEnd(planPit(...asked));

/**
 * The plan for a request, yielding the share done between simulations so that a worker can report it
 * and break off, and, where `handOn` says so, the likely pits as jobs: the next call is given what came of them
 * (nothing: they are run here). Never throws for a wish that cannot be met: `problems` says what stands in the way
 * and what would make it possible. Throws RangeError for names outside the catalogues.
 */
export function* planSteps(asked: Request, options: PlanOptions): Steps<Plan> {
  const wanted = piecesPerMeat(asked);
  const request: Request = {
    ...asked,
    meats: asked.meats.map((m, i) => ({ ...m, massKg: wanted[i]!.massKg })),
  };
  const zone = request.timeZone;
  const serveMs = epochOf(request.serveAt, zone);
  const problems: Problem[] = [];
  const { pieces, setups, grates } = fitToGrates(
    request,
    wanted.map((w) => w.pieces),
    serveMs,
    problems,
  );
  const parts: PlannedPit[] = [];
  const used = request.pits.map((_, k) => request.meats.some((m) => pitOf(request, m) === k));
  const share = 1 / Math.max(used.filter(Boolean).length, 1);
  for (const [k, setup] of setups.entries()) {
    if (!used[k]) continue;
    const index = request.meats.flatMap((m, i) => (pitOf(request, m) === k ? [i] : []));
    const meats = index.map((i) => request.meats[i]!);
    const targets = meats.map((m, n) =>
      pieceTarget(
        request,
        { ...m, at: mainPlaceOf(m, grates[k]!) },
        pieces[index[n]!]!,
        serveMs,
        setup.pit.pace.then?.pitC ?? setup.pit.pace.pitC,
      ),
    );
    const done = parts.length * share;
    const { knownPolicies, handOn } = options;
    const asked = { chance: request.chanceOnTimeFraction, knownPolicies, handOn };
    // Which hours a cook goes through is known once it is roughly known how long it takes.
    const over = (litMin: number) =>
      withWindTimes(
        weatherFromLighting(request.weather, zone, serveMs + litMin * MINUTE_MS),
        setup.pit.windTimes ?? 1,
      );
    const weather = Array.isArray(request.weather)
      ? over(planPitAtOnce(setup, over(-USUAL_COOK_MIN), targets, { ...asked, members: 1 }).litMin)
      : over(0);
    const work = planPit(setup, weather, targets, { ...asked, members: options.members });
    const cook = yield* within(work, done, 0.99 * share);
    parts.push({ cook, meats, pieces: index.map((i) => pieces[i]!), index });
  }
  yield 1;
  return assemble(request, options, parts, grates, problems, serveMs);
}

/** Which pit of the request a meat lies on. */
const pitOf = (request: Request, m: RequestMeat): number =>
  Math.max(
    0,
    request.pits.findIndex((p) => p.id === m.pit),
  );

/** Fires, places on the grates, and how many pieces there is room for. */
function fitToGrates(
  request: Request,
  wanted: readonly number[],
  serveMs: number,
  problems: Problem[],
) {
  const setups = request.pits.map(designFire);
  const pieces = [...wanted];
  const grates = setups.map((setup, k) => {
    const on: PiecesToPlace[] = request.meats.flatMap((meat, i) =>
      pitOf(request, meat) === k ? [{ meat, pieces: wanted[i]!, index: i }] : [],
    );
    const together = planGrate(setup, on);
    const allFit = on.every((o) => together.fits[o.index]! >= o.pieces);
    // What does not fit together may fit one after the other.
    const { plan, fits, misplaced } =
      allFit || on.length < 2
        ? together
        : planGrate(setup, inRounds(on, hoursOnGrate(request, setup, on, serveMs)));
    problems.push(...misplaced.map((m) => misplacedPiece(request, m)));
    for (const { meat, index } of on) {
      if (fits[index]! < wanted[index]!) {
        problems.push(tooManyPieces(request, setup, meat, index, wanted[index]!, fits[index]!));
        pieces[index] = Math.max(1, fits[index]!);
      }
    }
    return plan;
  });
  return { pieces, setups, grates };
}

/** From when to when each meat lies on the grate, min on the clock of the plan, by a rough schedule. */
function hoursOnGrate(
  request: Request,
  setup: PitSetup,
  on: readonly PiecesToPlace[],
  serveMs: number,
): (readonly [number, number])[] {
  const { pitC } = setup.pit.pace;
  const targets = on.map((o) => pieceTarget(request, o.meat, o.pieces, serveMs, pitC));
  const litMs = serveMs - USUAL_COOK_MIN * MINUTE_MS;
  const weather = weatherFromLighting(request.weather, request.timeZone, litMs);
  const chance = request.chanceOnTimeFraction;
  const { onMin, readyMin } = planPitAtOnce(setup, weather, targets, { chance, members: 1 });
  return on.map((_, i) => [onMin[i]!, Math.max(...readyMin[i]!)]);
}

/** A meat as the scheduler takes it: minutes from the request's serving time. */
function pieceTarget(
  request: Request,
  meat: RequestMeat,
  pieces: number,
  serveMs: number,
  pitC: number,
): PieceTarget {
  const [readyFromMin, readyByMin] = wantedWindow(
    meat,
    (servedMs(request, meat) - serveMs) / MINUTE_MS,
  );
  const spec: MeatSpec = {
    id: meat.id,
    cut: meat.cut,
    count: pieces,
    massKg: requestedMassKg(meat),
    thicknessMm: meat.thicknessMm,
    startC: FRIDGE_C,
    at: meat.at,
    injected: meat.injected,
    wrap:
      meat.wrap.with === 'none'
        ? undefined
        : { ...meat.wrap, when: meat.wrap.when ?? USUAL_WRAP_WHEN },
    spray: meat.spray && { ...SPRAY_SCHOOLS[meat.spray], ...meat.sprayTimes },
    sauce: meat.sauce ? { lastMin: meat.sauceLastMin ?? SAUCE_LAST_MIN } : undefined,
    done: undefined,
    rest: meat.rest,
  };
  spec.done =
    'plateC' in meat.done ? { coreC: pullTemperatureC(spec, meat.done.plateC, pitC) } : meat.done;
  return {
    spec,
    wanted: meat.done,
    readyByMin,
    readyFromMin,
    ...(meat.notBefore
      ? { onFromMin: (epochOf(meat.notBefore, request.timeZone) - serveMs) / MINUTE_MS }
      : {}),
  };
}
