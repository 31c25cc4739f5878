/** What a cook's own ways are, out of many cooks: how far a pit may stray before the vents are moved, trimming, yield. */
import { pitOf, type PitPlan } from '../plan/document/pitPlan';
import { ascending, mean, quantile } from '../quantity/statistics';
import { MINUTE_MS } from '../quantity/time';
import { freshPitC, type ReadingRow } from '../instruments/readings';
import { litAtMs, type Log } from '../log/log';
import type { Afterwards, PieceMasses } from './verdicts';

/** What one cook tells of them. */
export interface CookWays {
  /** How far the pit was from its target each time that the vents were moved unasked, K. */
  movedAtK: number[];
  /** Pieces that were weighed, by their cut. */
  weighed: ({ cut: string } & PieceMasses)[];
  /** Charcoal left in the cold pit, kg; null where nobody weighed it. */
  fuelLeftKg: number | null;
}

/** A pit that comes up is not held yet, ms after lighting. */
const HELD_AFTER_MS = 60 * MINUTE_MS;

/** The ways of one finished cook; `readings` are of the pit, in order of time. */
export function waysOf(
  plan: Pick<PitPlan, 'request'>,
  log: Log,
  readings: readonly ReadingRow[],
  { pieces, fuelLeftKg }: Pick<Afterwards, 'pieces' | 'fuelLeftKg'>,
): CookWays {
  const lit = litAtMs(log) ?? Infinity;
  const { pitC } = pitOf(plan).pace;
  const movedAtK = log.lines.flatMap((l) => {
    const moved = l.body.kind === 'act' && l.body.action.do === 'set-vents' && !l.jobId;
    const read = moved && l.at > lit + HELD_AFTER_MS ? freshPitC(readings, l.at) : null;
    return read === null ? [] : [Math.round(10 * (read - pitC)) / 10];
  });
  const weighed = plan.request.meats.flatMap((m) =>
    pieces[m.id] ? [{ cut: m.cut, ...pieces[m.id] }] : [],
  );
  return { movedAtK, weighed, fuelLeftKg };
}

/** A figure out of several cooks. */
export interface LearnedWay {
  value: number;
  /** Cooks behind it. */
  cooks: number;
}

export interface Ways {
  /** So far the pit strays, either way, before the vents are moved, the middle of all moves, K. */
  patienceK: LearnedWay | null;
  /** Of each cut: the share that trimming takes, and the share of the trimmed piece that comes off the fire. */
  cuts: { cut: string; trimFraction: LearnedWay | null; yieldFraction: LearnedWay | null }[];
}

/** Fewer moves than this say nothing. */
const LEAST_MOVES = 4;

/** The ways of somebody out of their cooks. */
export function learnedWays(cooks: readonly CookWays[]): Ways {
  const moving = cooks.filter((c) => c.movedAtK.length > 0);
  const moves = ascending(moving.flatMap((c) => c.movedAtK.map(Math.abs)));
  const weighed = cooks.flatMap((c, cook) => c.weighed.map((w) => ({ ...w, cook })));
  const ids = [...new Set(weighed.map((w) => w.cut))];
  return {
    patienceK:
      moves.length < LEAST_MOVES ? null : { value: quantile(moves, 0.5), cooks: moving.length },
    cuts: ids.map((cut) => {
      const of = weighed.filter((w) => w.cut === cut);
      const share = (from: keyof PieceMasses, to: keyof PieceMasses): LearnedWay | null => {
        const both = of.filter((w) => w[from] && w[to] !== undefined);
        if (both.length === 0) return null;
        return {
          value: mean(both.map((w) => w[to]! / w[from]!)),
          cooks: new Set(both.map((w) => w.cook)).size,
        };
      };
      const left = share('boughtKg', 'trimmedKg');
      return {
        cut,
        trimFraction: left && { ...left, value: 1 - left.value },
        yieldFraction: share('trimmedKg', 'cookedKg'),
      };
    }),
  };
}

/** How fast a fuel burns beside the usual: what the scale says was burnt over what the simulated fire burnt. */
export interface BurnOfCook {
  fuel: string;
  givenKg: number;
  leftKg: number;
  /** By the simulated fire of its log, kg. */
  burntKg: number;
}

/** Of each fuel: times the usual burn, and the cooks behind it. */
export function learnedBurns(cooks: readonly BurnOfCook[]): Record<string, LearnedWay> {
  const fuels = [...new Set(cooks.map((c) => c.fuel))];
  return Object.fromEntries(
    fuels.flatMap((fuel) => {
      const of = cooks.filter((c) => c.fuel === fuel && c.burntKg > 0);
      if (of.length === 0) return [];
      const times = of.map((c) => Math.max(0, c.givenKg - c.leftKg) / c.burntKg);
      return [[fuel, { value: mean(times), cooks: of.length }]];
    }),
  );
}
