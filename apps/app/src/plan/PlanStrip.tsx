/** The cook as it is expected, on the strip: the pit in its band, the path of this cut, the jobs at their minutes. */
import { epochOf, METRIC, MINUTE_MS } from '@ostrin/core/quantity';
import { foldLog } from '@ostrin/core/log';
import type { PitPlan } from '@ostrin/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { stripData } from '../strip/fromCook';
import { Strip } from '../strip/Strip';
import { useLayout } from '../ui/layout';
import { useTheme } from '../ui/theme';

const NOTHING_YET = foldLog([]);
/** Room before lighting and after serving, min; and the strip's length on a phone and on a wide screen, px. */
const MARGIN_MIN = { before: 50, after: 30 };
const HEIGHT = { down: 560, across: 430 };

export function PlanStrip({ plan }: { plan: PitPlan }) {
  const theme = useTheme();
  const { wide } = useLayout();
  const [width, setWidth] = useState(0);
  const data = useMemo(() => {
    const zone = plan.request.timeZone;
    const light = epochOf(plan.lightAt, zone);
    const made = stripData({
      plan,
      startMs: light,
      log: NOTHING_YET,
      readings: [],
      forecast: null,
      now: light - MARGIN_MIN.before * MINUTE_MS,
      zero: light,
      from: light - MARGIN_MIN.before * MINUTE_MS,
      to: epochOf(plan.serveAt, zone) + MARGIN_MIN.after * MINUTE_MS,
      theme,
      units: plan.request.units ?? METRIC,
    });
    // Nothing is under way: the strip has no "now" yet.
    return { ...made, now: null };
  }, [plan, theme]);
  const height = wide ? HEIGHT.across : HEIGHT.down;
  return (
    <View
      style={{ height }}
      onLayout={({ nativeEvent: { layout } }) => setWidth(Math.floor(layout.width))}
    >
      {width > 100 ? (
        <Strip
          data={data}
          width={width}
          height={height}
          down={!wide}
          units={plan.request.units ?? METRIC}
          timeZone={plan.request.timeZone}
        />
      ) : null}
    </View>
  );
}
