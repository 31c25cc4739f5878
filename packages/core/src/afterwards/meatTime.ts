/** How long a piece takes in air that is known, and which of several causes makes the difference between two cooks. */
import { onlyPiece } from '../scenario/result';
import { simulate } from '../cook/cook';
import { measuredAir, tracePit, type ProbeReading } from '../estimate/measuredAir';
import type { Surroundings } from '../meat/surface';
import { leadMeat, type PitPlan } from '../plan/document/pitPlan';
import { MINUTE_MS } from '../quantity/time';
import type { Action } from '../scenario/actions';
import type { MeatSpec, Scenario } from '../scenario/scenario';
import { readingsOfPast, type ReadingRow } from '../instruments/readings';
import { thinned } from '../instruments/steps';
import { byLogOnly, onlyBared } from '../forecast/remainingScenario';
import { actionsOf, deedAtMs, foldLog, litAtMs, type Entry } from '../log/log';

/** A finished cook as it is explained: its plan, its log and what was read. */
export interface CookToExplain {
  plan: Pick<PitPlan, 'scenarios' | 'request'>;
  entries: readonly Entry[];
  readings: readonly ReadingRow[];
}

/** One piece on a grate: what it is, the air it lay in, and what was done to it. Minutes after it went on. */
interface PieceOnGrate {
  scenario: Scenario;
  meat: MeatSpec;
  air: readonly Surroundings[];
  /** Wrapping, baring, spraying and turning. */
  deeds: Action[];
}

/** A piece that is not done by this is not done, min. */
const LONGEST_MIN = 2880;
/** Air beyond its end goes on like its last so many minutes. */
const GOES_ON_MIN = 60;

/** Minutes until the piece is done in that air; null where it never is. */
function minutesTillDone({ scenario, meat, air, deeds }: PieceOnGrate): number | null {
  const last = air.length - 1;
  const over = Math.min(GOES_ON_MIN, last + 1);
  const at = (atMin: number): Surroundings => {
    const i = Math.max(0, Math.floor(atMin));
    return air[i <= last ? i : last - ((i - last) % over)]!;
  };
  const alone: Scenario = {
    ...scenario,
    // The weather of the day is in the air already.
    control: { mode: 'vents' },
    actions: [{ atMin: 0, do: 'meat-on', meat: meat.id }, ...deeds],
    // What was wrapped stands in the deeds: no rule wraps.
    meats: [{ ...meat, wrap: onlyBared(meat.wrap) }],
    untilMin: LONGEST_MIN,
    everyMin: LONGEST_MIN,
  };
  return onlyPiece(simulate(alone, { airTrace: at })).doneAtMin;
}

/** What happens to the first piece of a list of actions, in minutes after `onMin`. */
const deedsTo = (actions: readonly Action[], meat: string, onMin: number): Action[] =>
  actions
    .filter((a) => 'meat' in a && a.meat === meat && (a.do === 'wrap' || a.do === 'unwrap'))
    .map((a) => ({ ...a, atMin: Math.max(0, a.atMin - onMin) }));

/** The piece that a cook is explained by: the one its jobs went by. */
const pieceOf = (plan: CookToExplain['plan']): MeatSpec | undefined =>
  plan.scenarios[0].meats.find((m) => m.id === leadMeat(plan).id);

/** The first piece of a cook as it really lay on the grate, and how long it was there, min; null where the log does not tell. */
function asItWas(cook: CookToExplain): (PieceOnGrate & { tookMin: number }) | null {
  const log = foldLog(cook.entries);
  const litMs = litAtMs(log);
  const [scenario] = cook.plan.scenarios;
  const meat = pieceOf(cook.plan);
  if (litMs === null || !meat) return null;
  const [on, off] = [deedAtMs(log, 'meat-on', meat.id), deedAtMs(log, 'meat-off', meat.id)];
  if (on === null || off === null) return null;
  const done = actionsOf(log, litMs);
  const read = thinned(readingsOfPast(cook.plan, log, cook.readings));
  const readings = read.map(({ at, pitC }): ProbeReading => ({
    atMin: (at - litMs) / MINUTE_MS,
    pitC,
    coreC: null,
  }));
  const [onMin, offMin] = [on, off].map((ms) => Math.round((ms - litMs) / MINUTE_MS)) as [
    number,
    number,
  ];
  const traced = tracePit(
    { ...scenario, control: byLogOnly(scenario.control), actions: done, everyMin: LONGEST_MIN },
    offMin,
  );
  const air = measuredAir(traced, readings).air();
  return {
    scenario,
    meat,
    air: Array.from({ length: offMin - onMin + 1 }, (_, i) => ({ ...air(onMin + i) })),
    deeds: deedsTo(done, meat.id, onMin),
    tookMin: (off - on) / MINUTE_MS,
  };
}

/** The first piece of a plan as it was to be: by its rules, in the pit as planned. */
function asPlanned(plan: CookToExplain['plan']): PieceOnGrate | null {
  const [scenario] = plan.scenarios;
  const meat = pieceOf(plan);
  const on = scenario.actions.find((a) => a.do === 'meat-on' && a.meat === meat?.id);
  if (!meat || !on) return null;
  const { air, result } = tracePit({ ...scenario, everyMin: LONGEST_MIN }, scenario.untilMin);
  const { wrappedAtMin, baredAtMin } = result.meats.find((m) => m.id === meat.id)!;
  const by = (atMin: number | null, action: Omit<Action, 'atMin'>): Action[] =>
    atMin === null ? [] : [{ ...action, atMin } as Action];
  const ruled = [
    ...by(wrappedAtMin, { do: 'wrap', meat: meat.id, with: meat.wrap?.with ?? 'none' } as Action),
    ...by(baredAtMin, { do: 'unwrap', meat: meat.id } as Action),
  ];
  return {
    scenario,
    meat,
    air: air.slice(Math.round(on.atMin)),
    deeds: deedsTo(ruled, meat.id, on.atMin),
  };
}

/** What may make one cook longer than another. */
export type TimeCause = 'meat' | 'pit' | 'wrap' | 'rest-of-it';

/** Minutes that a cause makes a cook longer; below 0: shorter. */
export type MinutesByCause = Record<TimeCause, number>;

/** Why a difference cannot be told: a log does not say when the piece went on and came off, or a piece would never be done. */
export type NotTold = 'not-logged' | 'never-done';

/**
 * Why `other` took as long as it did beside `base`: what is different is taken over from one to the other one by one,
 * the meat first, then the pit's air, then wrapping. What is left over is the piece's own pace, and when it was taken off.
 */
function differences(
  base: PieceOnGrate,
  other: PieceOnGrate,
  tookMin: { base: number; other: number },
): MinutesByCause | 'never-done' {
  const steps = [
    base,
    { ...base, meat: { ...other.meat, id: base.meat.id } },
    { ...base, meat: { ...other.meat, id: base.meat.id }, air: other.air },
    other,
  ].map(minutesTillDone);
  if (steps.some((s) => s === null)) return 'never-done';
  const [none, meat, pit, wrap] = steps as [number, number, number, number];
  return {
    meat: meat - none,
    pit: pit - meat,
    wrap: wrap - pit,
    'rest-of-it': tookMin.other - tookMin.base - (wrap - none),
  };
}

/** Why a piece was ready earlier or later than planned, min; `started`: how much later it went on. */
export interface WhyLate {
  started: number;
  causes: MinutesByCause | 'never-done';
  /** How much later it came off than planned, min; below 0: earlier. */
  lateMin: number;
}

/**
 * Why the first piece of a cook was early or late. Null where the log does not tell when it went on and came off.
 * Simulates the pit twice and the piece some times: for a worker.
 */
export function whyLate(
  cook: CookToExplain,
  ready: { plannedOn: number; plannedOff: number },
): WhyLate | null {
  const was = asItWas(cook);
  const planned = asPlanned(cook.plan);
  if (!was || !planned) return null;
  const log = foldLog(cook.entries);
  const on = deedAtMs(log, 'meat-on', was.meat.id)!;
  const off = deedAtMs(log, 'meat-off', was.meat.id)!;
  return {
    started: (on - ready.plannedOn) / MINUTE_MS,
    lateMin: (off - ready.plannedOff) / MINUTE_MS,
    causes: differences(planned, was, {
      base: (ready.plannedOff - ready.plannedOn) / MINUTE_MS,
      other: was.tookMin,
    }),
  };
}

/** What makes each other cook longer or shorter than the first, in their order, or why that cannot be told. */
export function comparedTimes(cooks: readonly CookToExplain[]): (MinutesByCause | NotTold)[] {
  const [first, ...others] = cooks.map(asItWas);
  return others.map((other) =>
    first && other
      ? differences(first, other, { base: first.tookMin, other: other.tookMin })
      : 'not-logged',
  );
}
