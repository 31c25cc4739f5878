/** The traces of a strip: past solid, future dashed with its fan, in either direction. */
import { area, curveMonotoneX, curveMonotoneY, line } from 'd3-shape';
import { G, Path } from 'react-native-svg';
import { type FanPoint, type Point, thin, type Trace } from './model';

/** Where a time and a temperature lie on the paper. */
export interface Axes {
  down: boolean;
  t: (ms: number) => number;
  c: (celsius: number) => number;
}

const MOST_POINTS = 420;

function pathOf(axes: Axes, points: readonly Point[]): string {
  const shape = line<Point>()
    .defined((p) => p.c !== null)
    .x((p) => (axes.down ? axes.c(p.c!) : axes.t(p.t)))
    .y((p) => (axes.down ? axes.t(p.t) : axes.c(p.c!)));
  return shape(thin(points, MOST_POINTS)) ?? '';
}

function fanOf(axes: Axes, points: readonly FanPoint[]): string {
  const shape = area<FanPoint>().defined((p) => p.low !== null && p.high !== null);
  if (axes.down) {
    shape
      .y((p) => axes.t(p.t))
      .x0((p) => axes.c(p.low!))
      .x1((p) => axes.c(p.high!))
      .curve(curveMonotoneY);
  } else {
    shape
      .x((p) => axes.t(p.t))
      .y0((p) => axes.c(p.low!))
      .y1((p) => axes.c(p.high!))
      .curve(curveMonotoneX);
  }
  return shape([...points]) ?? '';
}

export function Traces({ traces, axes }: { traces: readonly Trace[]; axes: Axes }) {
  return (
    <G>
      {traces.map((trace) => (
        <G key={trace.key}>
          <Path d={fanOf(axes, trace.future)} fill={trace.colour} fillOpacity={0.2} />
          <Path
            d={pathOf(axes, trace.future)}
            fill="none"
            stroke={trace.colour}
            strokeWidth={2}
            strokeDasharray="5 5"
          />
          <Path
            d={pathOf(axes, trace.past)}
            fill="none"
            stroke={trace.colour}
            strokeWidth={trace.width}
            strokeLinejoin="round"
          />
        </G>
      ))}
    </G>
  );
}
