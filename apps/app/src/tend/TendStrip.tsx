/** The strip of a cook under way. */
import { jobMs, type DueJob } from '@ostrin/core/log';
import { MINUTE_MS } from '@ostrin/core/quantity';
import type { Advice } from '@ostrin/core/tending';
import { useState } from 'react';
import { useSettings } from '../store/settings';
import { stripData } from '../strip/fromCook';
import type { StripData } from '../strip/model';
import { MovableStrip } from '../strip/MovableStrip';
import { useFineReadings } from '../strip/useFineReadings';
import type { Span } from '../strip/useStripView';
import { useLayout } from '../ui/layout';
import { useTheme } from '../ui/theme';
import { useLive } from '../store/live';
import { useTendedCook } from './cookContext';

/** Cook minutes shown on a phone: what was, and what comes. */
const SPAN = { pastMin: 130, aheadMin: 90 };
/** Room round what a wide strip shows, and least time ahead, min. */
const WIDE = { beforeMin: 10, afterMin: 15, aheadMin: 60 };

/** What part of the cook the strip shows, epoch ms. */
function shownSpan(wide: boolean, firstMs: number, nowMs: number, serveMs: number) {
  return wide
    ? {
        from: firstMs - WIDE.beforeMin * MINUTE_MS,
        to: Math.max(serveMs, nowMs + WIDE.aheadMin * MINUTE_MS) + WIDE.afterMin * MINUTE_MS,
      }
    : {
        from: Math.max(nowMs - SPAN.pastMin * MINUTE_MS, firstMs - WIDE.beforeMin * MINUTE_MS),
        to: Math.max(
          nowMs + SPAN.aheadMin * MINUTE_MS,
          firstMs + (SPAN.pastMin + SPAN.aheadMin) * MINUTE_MS,
        ),
      };
}

interface Props {
  /** Advice whose effect is drawn; null for none. */
  advice: Advice | null;
  /** What is still to do. */
  jobs: readonly DueJob[];
  width: number;
  height: number;
  onMark: (entryId: string) => void;
}

/** The strip of the cook under way; nothing where there is no room for it. */
export function TendStrip({ advice, jobs, width, height, onMark }: Props) {
  const { plan, log, readings: known, forecast, nowMs, zeroMs, state } = useTendedCook().cook;
  const startMs = useLive((s) => s.startMs);
  const cookId = useLive((s) => s.cookId);
  const inSteps = useLive((s) => s.inSteps);
  const [shown, setShown] = useState<Span>({ from: 0, to: 0 });
  const readings = useFineReadings(cookId, known, inSteps, shown);
  const units = useSettings((s) => s.units);
  const theme = useTheme();
  const { wide } = useLayout();
  if (width <= 100 || height <= 120) return null;
  const first = Math.min(startMs + plan.jobs[0]!.atMin * MINUTE_MS, known[0]?.at ?? nowMs);
  const end = jobMs(plan, plan.jobs.at(-1)!, { zeroMs, forecast, serveMs: log.serveMs });
  const dataOf = (span: Span): StripData =>
    stripData({
      plan,
      startMs,
      log,
      readings,
      forecast,
      advice,
      jobs,
      isOut: state.cause.code === 'fire-out',
      now: nowMs,
      ...span,
      theme,
      units,
    });
  return (
    <MovableStrip
      span={shownSpan(wide, first, nowMs, end)}
      dataOf={dataOf}
      width={width}
      height={height}
      down={!wide}
      units={units}
      timeZone={plan.request.timeZone}
      onMark={onMark}
      {...(inSteps ? { onSpan: setShown } : {})}
    />
  );
}
