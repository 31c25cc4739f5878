/** The moves that a pit has, and what comes of each: likely pits run an hour on with it. */
import { withHoldingIntake, type ControlPolicy } from '../control/controlPolicy';
import type { FireEstimator } from '../estimate/fireEstimate';
import { WHILE_IT_CATCHES } from '../control/splitFeeding';
import { membersAhead } from '../estimate/fireState';
import { CHARCOALS } from '../fuel/catalogue';
import type { PlanLog } from '../plan/document/plan';
import { INNER } from '../diagnosis/diagnose';
import type { PitSetup } from '../plan/fire/designFire';
import { settable, toldVents } from '../plan/fire/firstMove';
import { mean } from '../quantity/statistics';
import { clamp, roundDigits } from '../quantity/units';
import { USUAL_LID_S, type Action } from '../scenario/actions';
import { FEED_WITHIN_MIN } from './thresholds';

/** A move that is advised; its entries for the log are in `Advice.logs`. */
export type AdvisedMove =
  | { do: 'leave' }
  | { do: 'set-vents'; intake: number; exhaust: number; opens: boolean }
  | { do: 'add-charcoal'; pieces: number; massKg: number }
  | { do: 'add-split'; massKg: number }
  /** The feed that is planned next comes so much later. */
  | { do: 'wait-with-fuel'; minutes: number };

/** Openings of both vents, shares of their travel. */
type Vents = ControlPolicy['hold'];

/** What advice is made from. */
export interface AdviseInput {
  fire: FireEstimator;
  setup: PitSetup;
  /** How it is held, the vents where they stand now. */
  policy: ControlPolicy;
  /** Where the vents stand by the plan while the pit is held. */
  planned: Vents;
  /** The notches of the plan's rule, tight to wide: they are tried before other settings. Left out where it has none. */
  notches?: readonly Vents[];
  targetC: number;
  bandC: number;
  /** What is still planned, minutes after lighting. */
  ahead: readonly Action[];
  /** What was done, minutes after lighting. */
  done: readonly Action[];
}

/** Looked ahead so far, in so many likely pits; the first minutes belong to what was. */
export const AHEAD = { min: 60, members: 4, fromMin: 10, everyMin: 5 };
/** The intake is moved by these, logarithm of the opening, the exhaust, which does less, by these; handfuls, kg. */
const MOVES = {
  intakeFolds: [0.15, 0.3, 0.6],
  /** Where the pit's scale has no setting that near, the nearest of these is tried. */
  coarseFolds: [0.9, 1.4],
  exhaustFolds: [0.3, 0.6, 1.2],
  handfulKg: [0.15, 0.3, 0.6],
};

/** A move with what it logs, and what is still planned with it where that changes. */
export interface MoveTried {
  move: AdvisedMove;
  logs: PlanLog[];
  ahead?: readonly Action[];
}

/** What comes of something in the likely pits. */
export interface Outcome {
  /** The pit every few minutes from now on, C: mean of the likely ones. */
  everyC: number[];
  /** How far it is over its target on average, K. */
  meanOffK: number;
  /** Share of the coming hour in the band, 0 to 1. */
  inBand: number;
  /** How far it is out of the inner part of its band, share of the band squared, mean. */
  off: number;
}

/** What comes of the likely pits when this is done now, with what is still planned. */
export function outcomeOf(
  { fire, targetC, bandC, ahead: planned }: AdviseInput,
  { logs, ahead = planned }: Pick<MoveTried, 'logs' | 'ahead'>,
): Outcome {
  const now = logs.map((log): Action => ({ ...log, atMin: fire.atMin + 0.1 }));
  const runs = membersAhead(fire, AHEAD.min, [...ahead, ...now], AHEAD.members);
  const offs = runs.flatMap(({ pitC }) => pitC.slice(AHEAD.fromMin).map((c) => c - targetC));
  const everyC: number[] = [];
  for (let min = 0; min <= AHEAD.min; min += AHEAD.everyMin) {
    everyC.push(mean(runs.map((r) => r.pitC[min]!)));
  }
  return {
    everyC,
    meanOffK: mean(offs),
    inBand: mean(offs.map((k) => Number(Math.abs(k) <= bandC))),
    off: mean(offs.map((k) => Math.max(0, Math.abs(k) / bandC - INNER) ** 2)),
  };
}

/** The moves that this pit has against being high, or low, the smallest first. */
export function movesFor(input: AdviseInput, high: boolean): MoveTried[] {
  const { setup } = input;
  const vents = setup.underFan ? [] : ventMoves(input, high);
  if (high) return [...waitsWithFuel(input), ...vents];
  return isShort(input.fire) ? [...vents, ...handfuls(input)] : vents;
}

/** Whether less charcoal waits to catch than burns: where more does, a handful adds nothing but an open lid. */
const isShort = ({ members }: FireEstimator): boolean =>
  mean(members.map(({ cook }) => cook.pit!.unlit.kg)) <
  mean(members.map(({ cook }) => cook.pit!.lit.kg));

/** A split lighter and heavier than the usual one; and in so many minutes the usual one could go on instead of now. */
const SPLITS = { times: [0.6, 1, 1.5], laterMin: [10, 20] };

/** The moves at a fire on splits: waiting with the next one, vents, and one now, the lightest first. */
export function splitMoves(input: AdviseInput, usualKg: number): MoveTried[] {
  return [
    ...waitsWithFuel(input),
    ...ventMoves(input, true),
    ...ventMoves(input, false),
    ...SPLITS.times.map((times): MoveTried => {
      const massKg = roundDigits(usualKg * times, 2);
      return {
        move: { do: 'add-split', massKg },
        logs: splitLogs(input, massKg),
        ahead: withoutNextFeed(input),
      };
    }),
  ];
}

/** What is still planned where the usual split goes on a little later: leaving the fire alone now leaves that open. */
export const fedLater = (input: AdviseInput, usualKg: number): Action[][] =>
  SPLITS.laterMin.map((later) => [
    ...withoutNextFeed(input),
    ...splitLogs(input, usualKg).map((log): Action => ({
      ...log,
      atMin: input.fire.atMin + later,
    })),
  ]);

/** A warmed split, with the door ajar while it catches. */
const splitLogs = ({ policy }: AdviseInput, massKg: number): PlanLog[] => [
  {
    do: 'add-fuel',
    fuel: 'splits',
    ...(policy.feed?.species ? { species: policy.feed.species } : {}),
    pieces: 1,
    massKg,
    lit: false,
    preheated: true,
  },
  { do: 'door', ...WHILE_IT_CATCHES },
];

/** A feed that comes within so long may be put off by so much, min. */
const PUT_OFF = { withinMin: 12, byMin: 15 };

/** The next planned feed where it comes within so many minutes. */
const nextFeed = ({ fire, ahead }: AdviseInput, withinMin: number): Action | undefined =>
  ahead
    .filter((a) => a.do === 'add-fuel' && a.atMin >= fire.atMin)
    .sort((a, b) => a.atMin - b.atMin)
    .find((a) => a.atMin <= fire.atMin + withinMin);

/** What is still planned once fuel went on now. */
export function withoutNextFeed(input: AdviseInput): Action[] {
  const next = nextFeed(input, FEED_WITHIN_MIN);
  return input.ahead.filter((a) => a !== next);
}

/** Putting the next planned feed off, where one comes soon. */
function waitsWithFuel(input: AdviseInput): MoveTried[] {
  const { ahead } = input;
  const next = nextFeed(input, PUT_OFF.withinMin);
  if (!next) return [];
  const later = ahead.map((a) => (a === next ? { ...a, atMin: a.atMin + PUT_OFF.byMin } : a));
  return [{ move: { do: 'wait-with-fuel', minutes: PUT_OFF.byMin }, logs: [], ahead: later }];
}

/** Moves to these settings of both vents, for a pit that is `high` or low. */
const ventsTo = (settings: readonly Vents[], high: boolean): MoveTried[] =>
  settings.map((to) => ({
    move: { do: 'set-vents', ...to, opens: !high },
    logs: [{ do: 'set-vents', intakeFraction: to.intake, exhaustFraction: to.exhaust }],
  }));

const isTighter = (a: Vents, b: Vents): boolean =>
  a.intake < b.intake || (a.intake === b.intake && a.exhaust < b.exhaust);

/** How far one setting is from another, as a change of the intake, logarithm: what the exhaust does by itself counts half. */
const foldsApart = (a: Vents, b: Vents): number =>
  Math.abs(Math.log(a.intake / b.intake)) || Math.abs(Math.log(a.exhaust / b.exhaust)) / 2;

/** Notches of the plan's rule that are about as far from where the vents stand as moves are, the nearest first. */
function byNotches(
  notches: readonly Vents[],
  { setup, policy: { hold } }: AdviseInput,
  high: boolean,
): Vents[] {
  const here = toldVents(setup, hold);
  const beyond = notches.filter(
    (n) => (high ? isTighter(n, hold) : isTighter(hold, n)) && toldVents(setup, n) !== here,
  );
  const nearest = MOVES.intakeFolds.flatMap((folds) =>
    beyond.length === 0
      ? []
      : beyond.reduce((best, n) =>
          Math.abs(foldsApart(n, hold) - folds) < Math.abs(foldsApart(best, hold) - folds)
            ? n
            : best,
        ),
  );
  return [...new Set(nearest)];
}

/** Moves of the vents, the smallest first: onto the notches that the owner has on paper, as far as they reach. */
function ventMoves(input: AdviseInput, high: boolean): MoveTried[] {
  const rule = input.notches ? byNotches(input.notches, input, high) : [];
  const more = rule.length < MOVES.intakeFolds.length ? byFolds(input, high) : [];
  const told = rule.map((to) => toldVents(input.setup, to));
  return ventsTo(
    [...rule, ...more.filter((to) => !told.includes(toldVents(input.setup, to)))],
    high,
  );
}

/**
 * Vents a little, and more, each setting that this pit's scale can tell from the others. The exhaust moves by itself only
 * where the intake is nearly shut, or has no finer setting left, and the pit is still high; and back from there: a half
 * shut exhaust keeps smoke in.
 */
function byFolds({ setup, policy, planned }: AdviseInput, high: boolean): Vents[] {
  const sign = high ? -1 : 1;
  const usualExhaust = planned.exhaust;
  const { hold, finest } = policy;
  const moved = (opening: number, folds: number, least: number): number =>
    clamp(opening * Math.exp(sign * folds), least, 1);
  const seen = new Set([toldVents(setup, hold)]);
  const areNew = (settings: readonly Vents[]): Vents[] =>
    settings
      .map((to) => settable(setup, to))
      .filter((to) => {
        const told = toldVents(setup, to);
        return !seen.has(told) && seen.add(told);
      });
  const withIntake = (folds: readonly number[]): Vents[] =>
    areNew(folds.map((by) => withHoldingIntake(policy, moved(hold.intake, by, finest.small)).hold));
  const fine = withIntake(MOVES.intakeFolds);
  const byIntake = fine.length > 0 ? fine : withIntake(MOVES.coarseFolds).slice(0, 1);
  const nearlyShut = byIntake.length === 0 || hold.intake <= 2 * finest.small;
  const damped = hold.exhaust < usualExhaust;
  const byItself = policy.exhaustPerIntake === null && (high ? nearlyShut : damped);
  const byExhaust = MOVES.exhaustFolds.map((folds) => ({
    ...hold,
    exhaust: Math.min(moved(hold.exhaust, folds, finest.wide), usualExhaust),
  }));
  // Vents that were never brought to where the plan holds the pit are far from it: that is tried too.
  const furthest = Math.exp(sign * Math.max(...MOVES.intakeFolds)) * hold.intake;
  const isFar = sign * (planned.intake - furthest) > 0;
  const moves = [...(byItself ? areNew(byExhaust) : []), ...byIntake];
  return [...moves, ...(isFar ? areNew([planned]) : [])];
}

/** Charcoal by the handful, unlit, with the lid off for a minute. */
function handfuls(input: AdviseInput): MoveTried[] {
  const { setup } = input;
  const ahead = withoutNextFeed(input);
  const { fuel } = setup.fire;
  return MOVES.handfulKg.map((kg) => {
    const pieces = Math.max(1, Math.round(kg / CHARCOALS[fuel].pieceKg));
    const massKg = pieces * CHARCOALS[fuel].pieceKg;
    const move: AdvisedMove = { do: 'add-charcoal', pieces, massKg };
    const logs: PlanLog[] = [
      { do: 'lid-open', seconds: USUAL_LID_S },
      { do: 'add-fuel', fuel, pieces, lit: false },
    ];
    return { move, logs, ahead };
  });
}
