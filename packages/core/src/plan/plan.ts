/** Plans one kettle cook backwards from the serving time. */
import { simulate } from '../cook/cook';
import type { Result, Scenario } from '../cook/scenario';
import { arcForPieces, LONGEST_ARC, snakePieces } from '../fire/snake';
import { cutOf } from '../meat/cuts';
import { presetOf } from '../pit/catalogue';
import { seedFrom } from '../quantity/random';
import { ascending, quantile, tenFiftyNinety } from '../quantity/statistics';
import { epochOf, localOf, MINUTE_MS } from '../quantity/time';
import { massWords, METRIC, spanOfTime, temperatureWords } from '../quantity/words';
import { edibleKg, piecesFor, piecesThatFit } from './amount';
import {
  chunksAlong,
  LAY,
  LIT_PIECES,
  litDegrees,
  physicsOf,
  piecesKg,
  scenarioOf,
  type Choice,
} from './build';
import { fan, runEnsemble } from './ensemble';
import { CLOSE_BELOW_K, jobsOf, watchOf } from './jobs';
import type { Plan, PlannedFire, Problem, Request } from './types';
import { quartersFor, ventWords } from './vents';

/** What the planner is told besides the request: time and patience are passed in, never taken. */
export interface PlanOptions {
  nowMs: number;
  /** Members of the ensemble; 1 gives a rough answer at once. */
  members: number;
}

/** Longest cook that is planned, min. */
const LONGEST_MIN = 1080;
const EVERY_MIN = 5;
/** Fuel kept in reserve past the late end of the ready window, min (common practice: an hour). */
const RESERVE_MIN = 60;
/** Usual width of the ready window, before an ensemble has been run: share of the cook. */
const ROUGH_LATE = 1.18;
/** The earliest the meat goes on, and how long the pit settles after closing down, min. */
const EARLIEST_ON_MIN = 30;
const SETTLE_MIN = 15;

/** The plan for a request, in one go. See `planning`. */
export function plan(request: Request, options: PlanOptions): Plan {
  const work = planning(request, options);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/**
 * The plan for a request, yielding the share done between simulations so that a worker can report it
 * and break off. Never throws for a wish that cannot be met: `problems` says what stands in the way
 * and what would make it possible. Throws RangeError for names outside the catalogues.
 */
export function* planning(request: Request, options: PlanOptions): Generator<number, Plan> {
  const pit = request.pits[0]!;
  const meat = request.meats[0]!;
  const cut = cutOf(meat.cut);
  const preset = presetOf(pit.cooker.preset);
  const physics = physicsOf(pit);
  const units = request.units ?? METRIC;
  const serveMs = epochOf(request.serveAt, request.timeZone);
  const problems: Problem[] = [];

  const wanted = meat.pieces ?? piecesFor(request.people, request.appetiteG, cut, meat.massKg);
  const fits = piecesThatFit(preset, cut, meat.massKg, meat.thicknessMm);
  const pieces = Math.max(1, Math.min(wanted, fits));
  if (wanted > fits) problems.push(tooMany(request, wanted, fits));

  const choice: Choice = {
    arcDegrees: LONGEST_ARC,
    lengthenPieces: 0,
    lengthenAtMin: 0,
    intakeFraction: 0.25,
    exhaustFraction: 0.5,
    closeAtMin: 0,
    meatOnMin: EARLIEST_ON_MIN,
    pieces,
    untilMin: 300,
    everyMin: EVERY_MIN,
    overrides: {},
  };
  bringUp(request, choice);
  yield 0.05;
  const vents = quartersFor(pit.pace.pitC, physics, (intakeFraction, exhaustFraction) =>
    scenarioOf(request, { ...choice, intakeFraction, exhaustFraction }),
  );
  choice.intakeFraction = vents.intakeFraction;
  choice.exhaustFraction = vents.exhaustFraction;
  yield 0.15;
  if (!(Math.abs(vents.settlesC - pit.pace.pitC) <= 1.5 * pit.pace.bandC)) {
    problems.push(outOfReach(request, vents.settlesC));
  }

  choice.untilMin = LONGEST_MIN;
  const longRun = simulate(scenarioOf(request, choice));
  const fire = sizeFire(request, choice, longRun);
  yield 0.22;

  // The members need not burn on for hours after the late end of the window.
  const central = longRun.meats[0]?.doneAtMin ?? LONGEST_MIN;
  choice.untilMin = Math.min(LONGEST_MIN, Math.ceil((central * 1.6 + 60) / 60) * 60);
  const scenario = scenarioOf(request, choice);
  const ensemble = runEnsemble(
    scenario,
    physics,
    options.members,
    seedFrom(meat.cut + meat.massKg + pit.pace.pitC),
  );
  let step = ensemble.next();
  for (; !step.done; step = ensemble.next()) yield 0.22 + 0.78 * step.value;
  const members = step.value;
  const readyMin = members.map((r) => r.meats[0]?.doneAtMin ?? NaN);
  let window = tenFiftyNinety(readyMin);
  if (options.members === 1) {
    const cook = window[1] - choice.meatOnMin;
    window = [window[1] - cook * 0.12, window[1], window[1] + cook * (ROUGH_LATE - 1)];
  }
  const onTime =
    options.members === 1
      ? window[2]
      : quantile(
          [
            ...ascending(readyMin),
            ...readyMin.filter((v) => !Number.isFinite(v)).map(() => Infinity),
          ],
          request.chanceOnTimeFraction,
        );
  if (!Number.isFinite(onTime)) problems.push(neverDone(request));
  const allow = Number.isFinite(onTime) ? onTime : LONGEST_MIN;
  const lightMs =
    Math.floor((serveMs - (allow + meat.rest.minutes) * MINUTE_MS) / (5 * MINUTE_MS)) *
    5 *
    MINUTE_MS;
  const serveMin = (serveMs - lightMs) / MINUTE_MS;
  problems.push(...timeProblems(request, options.nowMs, serveMs, lightMs));
  const finite = window.map((v) => (Number.isFinite(v) ? v : LONGEST_MIN)) as typeof window;
  const latest = serveMin - meat.rest.minutes;
  const late = readyMin.filter((v) => !(v <= latest)).length / readyMin.length;

  const wrapTimes = members.map((r) => r.meats[0]?.wrappedAtMin ?? NaN).filter(Number.isFinite);
  const jobs = jobsOf(request, choice, fire, vents.settlesC, {
    lightMs,
    serveMin,
    wrapMin: wrapTimes.length > 0 ? tenFiftyNinety(wrapTimes) : null,
    readyMin: finite,
  });
  const at = (min: number): string => localOf(lightMs + min * MINUTE_MS, request.timeZone);
  const pitFan = fan(members.map((r) => r.pitC));
  const coreFan = fan(members.map((r) => r.meats[0]?.coreC ?? []));
  const [low, high] = edibleKg(cut, meat.massKg);
  return {
    ostrin: 'plan/1',
    request,
    serveAt: request.serveAt,
    lightAt: at(0),
    meatOnAt: [at(choice.meatOnMin)],
    ready: [{ id: meat.id, p10: at(finite[0]), p50: at(finite[1]), p90: at(finite[2]) }],
    restAvailableMin: [Math.max(0, serveMin - finite[2]), Math.max(0, serveMin - finite[0])],
    chanceLateFraction: options.members === 1 ? 1 - request.chanceOnTimeFraction : late,
    pieces,
    cookedKg: [pieces * low, pieces * high],
    fires: [fire],
    vents: [
      {
        at: at(choice.closeAtMin),
        pit: pit.id,
        intakeFraction: vents.intakeFraction,
        exhaustFraction: vents.exhaustFraction,
        settlesC: vents.settlesC,
        inWords: `Bowl vent ${ventWords(vents.intakeFraction)}, lid vent ${ventWords(vents.exhaustFraction)}: settles near ${temperatureWords(vents.settlesC, units)}`,
      },
    ],
    jobs,
    watch: watchOf(jobs),
    shopping: [
      {
        item: `${pieces === 1 ? cut.name : cut.plural}, trimmed`,
        amount: `${pieces} x ${massWords(meat.massKg, units)}`,
      },
      {
        item: 'briquettes',
        amount: massWords(fire.massKg + piecesKg(pit, fire.lengthenPieces), units),
      },
      { item: `${pit.fire.species ?? 'cherry'} chunks`, amount: String(fire.woodChunks.length) },
    ],
    risks: [
      {
        sign: 'The pit sits high or low half an hour after closing down',
        move: 'One quarter on the bowl vent, then wait twenty minutes.',
      },
      {
        sign: 'The pit falls steadily',
        move: 'Look at the snake, not the vents: the fire may have stopped at a gap.',
      },
    ],
    problems,
    cautions: [...new Set(members.flatMap((r) => r.meats[0]?.cautions ?? []))],
    expected: {
      everyMin: EVERY_MIN,
      pitC: solid(pitFan.mid),
      pitLowC: solid(pitFan.low),
      pitHighC: solid(pitFan.high),
      coreC: coreFan.mid,
      coreLowC: coreFan.low,
      coreHighC: coreFan.high,
    },
    scenarios: [{ ...scenario, everyMin: 1 }],
    members: options.members,
  };
}

const solid = (series: (number | null)[]): number[] => series.map((v) => v ?? 0);

/** Finds when to close down and when the smoke is clean enough for the meat. */
function bringUp(request: Request, choice: Choice): void {
  const target = request.pits[0]!.pace.pitC;
  const trial: Scenario = scenarioOf(request, {
    ...choice,
    pieces: 0,
    closeAtMin: 0,
    intakeFraction: 1,
    exhaustFraction: 1,
    untilMin: 90,
    everyMin: 1,
  });
  const up = simulate(trial);
  const passes = up.pitC.findIndex((c) => (c ?? 0) >= target - CLOSE_BELOW_K);
  choice.closeAtMin = passes < 0 ? 60 : Math.max(8, passes);
  const clean = up.smoke.findIndex(
    (s, i) => i >= Math.max(EARLIEST_ON_MIN, choice.closeAtMin + SETTLE_MIN) && s !== 'white',
  );
  choice.meatOnMin = Math.min(Math.ceil((clean < 0 ? 60 : clean) / 5) * 5, 75);
}

/** Settles arc and top-up from how far the front has walked by the late end; writes them into `choice`. */
function sizeFire(request: Request, choice: Choice, run: Result): PlannedFire {
  const pit = request.pits[0]!;
  const physics = physicsOf(pit);
  const done = run.meats[0]?.doneAtMin ?? LONGEST_MIN;
  const untilMin = choice.meatOnMin + (done - choice.meatOnMin) * ROUGH_LATE + RESERVE_MIN;
  const front = (min: number): number =>
    run.frontDegrees[Math.min(Math.round(min / EVERY_MIN), run.frontDegrees.length - 1)] ?? 0;
  const pace = (front(240) - front(90)) / 150;
  const needed = Math.max(front(90) + pace * (untilMin - 90), 3 * litDegrees(physics));
  const perArc = (arc: number): number =>
    snakePieces({ ...LAY, arcDegrees: arc }, physics.diameterM);
  const arcDegrees = Math.min(LONGEST_ARC, needed);
  const row = LAY.side * LAY.layers;
  const pieces = Math.min(Math.ceil(perArc(arcDegrees) / row) * row, perArc(LONGEST_ARC));
  choice.arcDegrees = arcForPieces(pieces, LAY.side, LAY.layers, physics.diameterM);
  if (needed > LONGEST_ARC) {
    choice.lengthenPieces = Math.ceil(perArc(needed - LONGEST_ARC) / row) * row;
    choice.lengthenAtMin = Math.round((90 + (170 - front(90)) / pace) / 15) * 15;
  }
  return {
    pit: pit.id,
    arrangement: 'snake',
    fuel: pit.fire.fuel,
    ...LAY,
    arcDegrees: choice.arcDegrees,
    pieces,
    massKg: piecesKg(pit, pieces),
    litPieces: LIT_PIECES,
    woodChunks: chunksAlong(physics, pit.fire.species ?? 'cherry', choice.arcDegrees),
    lengthenPieces: choice.lengthenPieces,
    lastsMin: Math.round(
      90 +
        (choice.arcDegrees +
          arcForPieces(choice.lengthenPieces, LAY.side, LAY.layers, physics.diameterM) -
          front(90)) /
          pace,
    ),
  };
}

function tooMany(request: Request, wanted: number, fits: number): Problem {
  const meat = request.meats[0]!;
  const cut = cutOf(meat.cut);
  const [low, high] = edibleKg(cut, meat.massKg);
  const feeds = Math.floor((fits * (low + high) * 500) / request.appetiteG);
  return {
    field: 'people',
    message: `${wanted} ${cut.plural} are needed, but only ${fits} fit beside the fire on this grate.`,
    instead:
      fits > 0
        ? `${fits} of them feed about ${feeds}. Ask fewer people, or plan a second pit.`
        : 'Cut the piece in two, or take a smaller one.',
  };
}

function outOfReach(request: Request, settlesC: number): Problem {
  const units = request.units ?? METRIC;
  const high = settlesC < request.pits[0]!.pace.pitC;
  return {
    field: 'pits[0].pace.pitC',
    message: high
      ? `Wide open, this fire gives only ${temperatureWords(settlesC, units)} in this weather.`
      : `As far closed as a quarter goes, this fire still gives ${temperatureWords(settlesC, units)}.`,
    instead: `Plan for ${temperatureWords(settlesC, units)} instead.`,
  };
}

const neverDone = (request: Request): Problem => ({
  field: 'meats[0].done',
  message: `Some of these cooks are not done after ${spanOfTime(LONGEST_MIN)}.`,
  instead: `Hold the pit hotter than ${temperatureWords(request.pits[0]!.pace.pitC, request.units ?? METRIC)}, wrap, or take smaller pieces.`,
});

function timeProblems(
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
  if (lightMs < nowMs) {
    const earliest = Math.ceil((serveMs + nowMs - lightMs) / (15 * MINUTE_MS)) * 15 * MINUTE_MS;
    return [
      {
        field: 'serveAt',
        message: `The fire should have been lit at ${localOf(lightMs, zone).slice(11)}.`,
        instead: `Serve at ${localOf(earliest, zone).slice(11)}, hold the pit hotter, or take smaller pieces.`,
      },
    ];
  }
  return [];
}
