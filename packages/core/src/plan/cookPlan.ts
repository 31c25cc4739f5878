/** One pit's part of a plan: its fire, how it is held, when its pieces go on, and the likely cooks behind that. */
import type { Guide } from '../cook/guide';
import type { Hand } from '../cook/hand';
import type { MeatSpec, Result, Scenario } from '../cook/scenario';
import { loadKg } from '../fire/catalogue';
import { drawMeat, NO_SPREAD } from '../meat/spread';
import { BRING_UP } from '../pit/usual';
import { seeded, seedFrom } from '../quantity/random';
import { drawPit } from './ensemble';
import { usualWeather } from './day';
import type { Way } from './lay';
import { laidFor } from './load';
import type { CookPlan, Wanted } from './part';
import { pieceInAir, runRoughly, runUntilDone, type Ran } from './run';
import { allowanceMin, lateEnd, LONGEST_MIN } from './schedule';
import { handFor, scenarioOf, tried, type Load } from './trial';
import { firstGuide, tune, type Tuned } from './tune';

/** Pits drawn for an ensemble; the pieces are drawn anew in the air of each. */
const PITS = 8;
/** Usual width of the ready window before an ensemble has been run: shares of the cook. */
const ROUGH = { early: 0.88, late: 1.18 };
/** The weather that a fire is learnt to be held in is the mean of so long, min. */
const LEARNT_OVER_MIN = 600;
/** Meat goes on when the pit has stood this long after closing down and its smoke is not white, min. */
const SETTLE_MIN = 15;
const EARLIEST_ON_MIN = 30;
const LATEST_ON_MIN = 90;
/** Pieces go on so many minutes apart, min. */
const STEP_MIN = 5;
/** Share of the band inside which the middle of the road is left alone. */
const CALM = 0.85;

export interface CookOptions {
  members: number;
  chance: number;
  /** Guides worked out before, for the same fire on the same day: asked and told. */
  known?: Map<string, Tuned>;
}

/** Plans one pit. Yields the share done. */
export function* planCook(
  usual: Way,
  weather: Scenario['weather'],
  wanted: Wanted[],
  options: CookOptions,
): Generator<number, CookPlan> {
  const rough = options.members <= 1;
  const meats = wanted.map((w) => w.spec);
  // Holding is learnt in one weather; the cook itself goes through all of it.
  const day = usualWeather(weather, LEARNT_OVER_MIN);
  const key = JSON.stringify([
    { ...usual.pit, id: '', name: '' },
    day,
    meats.map((m) => [m.cut, m.massKg, m.count, m.at]),
  ]);
  let tuned = options.known?.get(key) ?? null;
  if (!tuned && !rough) {
    const early: Load = { meats, onMin: meats.map(() => usualOnMin(usual)) };
    const work = tune(usual, day, early);
    let step = work.next();
    for (; !step.done; step = work.next()) yield 0.25 * step.value;
    tuned = step.value;
    options.known?.set(key, tuned);
  }
  const way = tuned?.way ?? usual;
  const guide = tuned?.guide ?? firstGuide(way);
  const onMin = rough ? usualOnMin(way) : cleanMin(way, weather, guide);
  yield 0.27;
  const together: Load = { meats, onMin: meats.map(() => onMin) };
  const lively = way.splits || way.fed || way.fanned;
  const first =
    rough && lively
      ? quickly(way, weather, together, guide)
      : middle(way, weather, together, guide);
  yield 0.32;
  const took = meats.map((_, i) => (first.result.meats[i]?.doneAtMin ?? LONGEST_MIN) - onMin);
  const load = staggered(
    meats,
    wanted,
    onMin,
    took.map((t) => t * ROUGH.late),
  );
  const plan: CookPlan = {
    way,
    guide,
    tuned,
    wanted,
    onMin: load.onMin,
    litMin: 0,
    result: first.result,
    scenario: first.scenario,
    endMin: first.endMin,
    readyMin: took.map((t, i) => [ROUGH.early, 1, ROUGH.late].map((x) => load.onMin[i]! + t * x)),
    wrapMin: meats.map((_, i) => {
      const wrap = first.result.meats[i]?.wrappedAtMin ?? null;
      return wrap === null ? [] : [wrap + load.onMin[i]! - onMin];
    }),
    cores: [],
    movedMin: meats.map(() => 0),
    pits: [first.result],
    ...burnOf([first]),
    earliestMin: onMin,
    loadKg: 0,
    fullKg: loadKg(way.fire, way.physics.diameterM),
  };
  if (!rough && meats.length > 0) {
    const work = ensemble(plan, weather, load, options.members);
    let step = work.next();
    for (; !step.done; step = work.next()) yield 0.32 + 0.6 * step.value;
  }
  settle(plan, options.chance, rough);
  const fire = laidFor(plan);
  const again =
    rough && meats.length <= 1
      ? first
      : middle(way, weather, { meats, onMin: plan.onMin }, guide, fire, plan);
  plan.result = again.result;
  plan.scenario = { ...again.scenario, fire };
  plan.endMin = again.endMin;
  plan.loadKg = loadKg(fire, way.physics.diameterM);
  yield 1;
  return plan;
}

/** When the meat usually goes on, before it has been looked at closely: half an hour after the vents are closed. */
const usualOnMin = (way: Way): number => BRING_UP[way.preset.family].minutes + 25;

/** The first five minutes at which the pit has settled and smokes clean. */
function cleanMin(way: Way, weather: Scenario['weather'], guide: Guide): number {
  const run = tried(
    way,
    scenarioOf(way, weather, { meats: [], onMin: [] }, LATEST_ON_MIN + 15),
    guide,
  );
  const target = way.pit.pace.pitC;
  const closed = run.pitC.findIndex(
    (c) => (c ?? 0) >= target - Math.max(guide.closeBelowK, way.fanned ? 8 : 0),
  );
  const from = Math.max(EARLIEST_ON_MIN, (closed < 0 ? 60 : run.minutes[closed]!) + SETTLE_MIN);
  const clean = run.minutes.find(
    (m, i) => m >= from && run.smoke[i] !== 'white' && run.smoke[i] !== 'dark',
  );
  return Math.min(clean ?? LATEST_ON_MIN, LATEST_ON_MIN);
}

/** The middle of the road: the pit as its owner thinks it is, tended by the guide. */
function middle(
  way: Way,
  weather: Scenario['weather'],
  load: Load,
  guide: Guide,
  fire = way.fire,
  until?: CookPlan,
): Ran & { scenario: Scenario } {
  const scenario = scenarioOf(way, weather, load, LONGEST_MIN, fire);
  // What is told is told calmly: only what leaves the band is worth a move.
  const leaveK = Math.max(guide.leaveK, CALM * way.pit.pace.bandC);
  const by = until ? { ...guide, leaveK, untilMin: lateEnd(until) } : guide;
  return { ...runUntilDone(scenario, { hand: handFor(way, scenario, by) }), scenario };
}

/** The middle of the road at a glance, for fires that take long to compute. */
function quickly(
  way: Way,
  weather: Scenario['weather'],
  load: Load,
  guide: Guide,
): Ran & { scenario: Scenario } {
  const scenario = scenarioOf(way, weather, load, LONGEST_MIN);
  return { ...runRoughly(scenario, handFor(way, scenario, guide), load.onMin), scenario };
}

/** When each piece goes on so that all are ready when wanted; the first of them as early as can be. */
function staggered(
  meats: MeatSpec[],
  wanted: readonly Wanted[],
  earliestMin: number,
  allowMin: readonly number[],
): Load {
  const on = wanted.map((w, i) => Math.max(w.readyByMin - allowMin[i]!, w.onFromMin ?? -Infinity));
  const start = Math.min(...on);
  return {
    meats,
    onMin: on.map((m) => earliestMin + Math.floor((m - start) / STEP_MIN) * STEP_MIN),
  };
}

/** Runs the likely pits with the pieces in them, and more pieces in the air of each. */
function* ensemble(
  plan: CookPlan,
  weather: Scenario['weather'],
  load: Load,
  members: number,
): Generator<number, void> {
  const { way, guide } = plan;
  const scenario = scenarioOf(way, weather, load, LONGEST_MIN);
  const random = seeded(
    seedFrom(load.meats.map((m) => m.cut + m.massKg).join() + way.pit.pace.pitC),
  );
  const pits = Math.min(PITS, members);
  plan.readyMin = load.meats.map(() => []);
  plan.wrapMin = load.meats.map(() => []);
  plan.cores = load.meats.map(() => []);
  const rans: Ran[] = [];
  for (let p = 0; p < pits; p++) {
    const drawn =
      p === 0
        ? { scenario, through: (hand: Hand) => hand }
        : drawPit(scenario, way.physics, random);
    const hand = drawn.through(handFor(way, scenario, guide));
    const spreads = load.meats.map(() => (p === 0 ? NO_SPREAD : drawMeat(random)));
    const ran = runUntilDone(drawn.scenario, {
      hand,
      spreads,
      keepAir: true,
    });
    rans.push(ran);
    ran.result.meats.forEach((m, i) => note(plan, i, m));
    const more =
      Math.floor(((p + 1) * (members - pits)) / pits) - Math.floor((p * (members - pits)) / pits);
    for (let k = 0; k < more; k++) {
      load.meats.forEach((meat, i) => {
        const lone = { ...drawn.scenario, untilMin: LONGEST_MIN };
        note(plan, i, pieceInAir(lone, meat, load.onMin[i]!, ran.air[i]!, drawMeat(random)));
      });
      yield (p + (k + 1) / (more + 1)) / pits;
    }
    yield (p + 1) / pits;
  }
  plan.pits = rans.map((r) => r.result);
  Object.assign(plan, burnOf(rans));
}

/** What runs burnt, kg a minute. */
const burnOf = (rans: readonly Ran[]) => ({
  charcoalKgPerMin: rans.map((r) => r.result.fuel.burnedKg / r.endMin),
  woodKgPerMin: rans.map(
    ({ result: { fuel }, endMin }) => (fuel.woodGivenKg - fuel.woodLeftKg) / endMin,
  ),
});

function note(plan: CookPlan, i: number, m: Result['meats'][number]): void {
  plan.readyMin[i]!.push(m.doneAtMin ?? NaN);
  plan.wrapMin[i]!.push(m.wrappedAtMin ?? NaN);
  plan.cores[i]!.push(m.coreC);
}

/** Sets the clock: lit so that the tightest piece is on time, the others put on so much later as they can wait. */
function settle(plan: CookPlan, chance: number, rough: boolean): void {
  const slack = plan.wanted.map((w, i) => {
    const ready = plan.readyMin[i]!;
    const allow = rough ? ready[2]! : allowanceMin(ready, chance, w.readyByMin - w.readyFromMin);
    const lit = w.readyByMin - (Number.isFinite(allow) ? allow : LONGEST_MIN);
    // What comes late goes on late; a step more, since times of lighting are rounded down.
    const there =
      w.onFromMin === undefined ? -Infinity : w.onFromMin - plan.onMin[i]! + 2 * STEP_MIN;
    return Math.max(lit, there);
  });
  const least = Math.min(...slack);
  const later = slack.map((v) => Math.floor((v - least) / STEP_MIN) * STEP_MIN);
  // If even the first piece can wait, everything is lit later.
  const wait = Math.min(...plan.onMin.map((m, i) => m + later[i]!)) - plan.earliestMin;
  plan.litMin = least + wait;
  plan.movedMin = later.map((v) => v - wait);
  const move = (list: number[][]): number[][] =>
    list.map((r, i) => r.map((v) => v + plan.movedMin[i]!));
  plan.onMin = plan.onMin.map((m, i) => m + plan.movedMin[i]!);
  plan.readyMin = move(plan.readyMin);
  plan.wrapMin = move(plan.wrapMin);
}
