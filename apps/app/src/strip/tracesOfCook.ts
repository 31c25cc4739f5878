/** The traces of a cook beside what was read of pit and first piece: what is expected, other pieces, plan and advice. */
import type { Reading } from '@ostrin/contract/types';
import { MINUTE_MS, type Units } from '@ostrin/core/quantity';
import type { Advice, Forecast } from '@ostrin/core/tending';
import type { Expected, PitPlan } from '@ostrin/core';
import type { DueJob, Log } from '@ostrin/core/log';
import { pieceNamed } from '../store/names';
import type { Theme } from '../ui/tokens';
import type { FanPoint, Ghost, Point, Trace } from './model';

/** What a strip of a cook is made from. */
export interface StripInput {
  plan: PitPlan;
  startMs: number;
  log: Log;
  readings: readonly Reading[];
  forecast: Forecast | null;
  /** Advice whose effect is drawn beside what comes of doing nothing; none when left out. */
  advice?: Advice | null;
  /** What is still to do at its times; by the plan alone when left out. */
  jobs?: readonly DueJob[];
  /** Cook's clock now; null for a finished cook. */
  now: number | null;
  /** Whether the fire is out: nothing is expected then. */
  isOut?: boolean;
  /** When the fire is or will be lit, where the log does not say. */
  zero?: number;
  from: number;
  to: number;
  theme: Theme;
  units: Units;
}

const fanFrom = (
  startMs: number,
  everyMin: number,
  mid: readonly (number | null)[],
  low: readonly (number | null)[],
  high: readonly (number | null)[],
  fromMs: number,
): FanPoint[] =>
  mid
    .map((c, i) => ({
      t: startMs + i * everyMin * MINUTE_MS,
      c,
      low: low[i] ?? null,
      high: high[i] ?? null,
    }))
    .filter((p) => p.t >= fromMs);

/** Pit or first piece as expected: by the forecast, or by the plan while there is none. */
export function expectedPoints(
  planned: Expected,
  forecast: Forecast | null,
  zero: number,
  now: number,
  which: 'pit' | 'core',
): FanPoint[] {
  if (forecast) {
    const start = zero + forecast.fromMin * MINUTE_MS;
    return which === 'pit'
      ? fanFrom(start, forecast.everyMin, forecast.pitC, forecast.pitLowC, forecast.pitHighC, start)
      : fanFrom(
          start,
          forecast.everyMin,
          forecast.coreC,
          forecast.coreLowC,
          forecast.coreHighC,
          start,
        );
  }
  return which === 'pit'
    ? fanFrom(zero, planned.everyMin, planned.pitC, planned.pitLowC, planned.pitHighC, now)
    : fanFrom(zero, planned.everyMin, planned.coreC, planned.coreLowC, planned.coreHighC, now);
}

/** The pit with an advised move, and with none where that differs. */
export function effectTraces(advice: Advice, zero: number, now: number, theme: Theme): Trace[] {
  const trace = (key: string, label: string, series: readonly number[]): Trace => ({
    key,
    label,
    colour: theme.soot,
    past: [],
    future: series
      .map((c, i) => ({
        t: zero + (advice.atMin + i * advice.everyMin) * MINUTE_MS,
        c,
        low: null,
        high: null,
      }))
      .filter((p) => p.t >= now),
    width: 2,
  });
  const nothing = trace('effect-none', 'left alone', advice.leaveC);
  return advice.move.do === 'leave'
    ? [nothing]
    : [trace('effect-move', 'with the move', advice.withC), nothing];
}

/** The other pieces on the pit: what was read of each, by wire or by hand, and what is expected. */
export function otherTraces(
  { plan, log, now, isOut = false, theme }: StripInput,
  zero: number,
  past: (valueOf: (r: Reading) => number | null) => Point[],
): Trace[] {
  return plan.request.meats.slice(1).map((meat, i) => {
    const byHand = log.lines.flatMap(({ at, body }): Point[] =>
      body.kind === 'read' && body.meat === meat.id ? [{ t: at, c: body.c }] : [],
    );
    const byWire = past((r) => r.meatC?.[meat.id] ?? null).filter((p) => p.c !== null);
    const expected = plan.expected.others?.[i];
    return {
      key: `meat-${i + 2}`,
      label: pieceNamed(plan, meat.id).toLowerCase(),
      colour: theme.meats[(i + 1) % theme.meats.length]!,
      past: [...byWire, ...byHand].sort((a, b) => a.t - b.t),
      future:
        now === null || isOut || !expected
          ? []
          : fanFrom(
              zero,
              plan.expected.everyMin,
              expected.coreC,
              expected.coreLowC,
              expected.coreHighC,
              now,
            ),
      width: 2.5,
    };
  });
}

/** Pit and first piece as the plan had them, to stand behind what happened. */
export function planGhosts(
  { expected }: PitPlan,
  zero: number,
  { from, to, now }: Pick<StripInput, 'from' | 'to' | 'now'>,
  theme: Theme,
): Ghost[] {
  return [expected.pitC, expected.coreC].map((series, i) => ({
    key: i === 0 ? 'plan-pit' : 'plan-meat',
    colour: theme.edge,
    points: series
      .map((c, k) => ({ t: zero + k * expected.everyMin * MINUTE_MS, c }))
      .filter((p) => p.t >= from && p.t <= Math.min(to, now ?? to)),
  }));
}
