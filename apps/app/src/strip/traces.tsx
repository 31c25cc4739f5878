/** The traces of a strip: past solid, future dashed with its fan, in either direction. */
import { area, curveMonotoneX, curveMonotoneY, line } from 'd3-shape';
import { G, Path } from 'react-native-svg';
import type { FanPoint, Ghost, Point, Trace } from './model';

/** Where a time and a temperature lie on the paper. */
export interface Axes {
  down: boolean;
  t: (ms: number) => number;
  c: (celsius: number) => number;
}

function pathOf(axes: Axes, points: readonly Point[]): string {
  const shape = line<Point>()
    .defined((p) => p.c !== null)
    .x((p) => (axes.down ? axes.c(p.c!) : axes.t(p.t)))
    .y((p) => (axes.down ? axes.t(p.t) : axes.c(p.c!)));
  return shape([...points]) ?? '';
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

interface Props {
  traces: readonly Trace[];
  ghosts: readonly Ghost[];
  axes: Axes;
}

export function Traces({ traces, ghosts, axes }: Props) {
  return (
    <G>
      {ghosts.map((g) => (
        <Path
          key={g.key}
          d={pathOf(axes, g.points)}
          fill="none"
          stroke={g.colour}
          strokeWidth={1.5}
          strokeDasharray="2 4"
        />
      ))}
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
