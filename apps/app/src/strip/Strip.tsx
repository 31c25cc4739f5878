/**
 * The strip: plan, chart and log at once. Time runs down on a phone and across on a wide screen.
 * Scale and both ends of time are always on it.
 */
import { fromC, localOf, type Units } from '@ostrin/core';
import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import Svg, { Circle, ClipPath, Defs, G, Line, Rect } from 'react-native-svg';
import { useTheme } from '../ui/theme';
import { clockOf } from '../ui/words';
import { AcrossMarks, DownMarks, LANES } from './Marks';
import { Halo } from './Halo';
import { lastValue, spreadLabels, type StripData } from './model';
import { Traces, type Axes } from './traces';

interface Props {
  data: StripData;
  width: number;
  height: number;
  down: boolean;
  units: Units;
  timeZone: string;
  onMark?: (entryId: string) => void;
}

const HOUR = 3_600_000;
/** Margins of the trace's field: room for hours, remarks and the scale. */
const DOWN = { left: 50, right: 130, top: 24, bottom: 8 };
const ACROSS = { left: 58, right: 16, top: 26, bottom: 28 + LANES.length * 27 };

/** Whole hours (or every few) inside a span, at most `most`. */
export function hourTicks(from: number, to: number, most: number, zone: string): number[] {
  const offset =
    new Date(`${localOf(from, zone)}:00Z`).getTime() - Math.floor(from / 60000) * 60000;
  const step = [0.5, 1, 2, 3, 4, 6, 12].find((h) => (to - from) / (h * HOUR) <= most) ?? 24;
  const first = Math.ceil((from + offset) / (step * HOUR)) * step * HOUR - offset;
  const ticks: number[] = [];
  for (let t = first; t <= to; t += step * HOUR) ticks.push(t);
  return ticks;
}

/** Round temperatures in the user's unit, as C. */
export function temperatureTicks(
  range: readonly [number, number],
  units: Units,
  most: number,
): number[] {
  const [low, high] = range.map((c) => fromC(c, units.temperature)) as [number, number];
  return scaleLinear()
    .domain([low, high])
    .ticks(most)
    .map((v) => (units.temperature === 'F' ? (v - 32) / 1.8 : v));
}

export function Strip({ data, width, height, down, units, timeZone, onMark }: Props) {
  const theme = useTheme();
  const field = useId();
  const m = down ? DOWN : ACROSS;
  const right = width - m.right;
  const bottom = height - m.bottom;
  const t = scaleLinear()
    .domain([data.from, data.to])
    .range(down ? [m.top, bottom] : [m.left, right]);
  const c = scaleLinear()
    .domain([...data.rangeC])
    .range(down ? [m.left + 6, right - 6] : [bottom, m.top]);
  const axes: Axes = { down, t: (ms) => t(ms), c: (v) => c(v) };
  const hours = hourTicks(data.from, data.to, down ? height / 46 : width / 74, timeZone);
  const degrees = temperatureTicks(data.rangeC, units, down ? 4 : 8);
  const say = (ms: number): string => clockOf(localOf(ms, timeZone));
  const nowAt = data.now === null ? null : t(data.now);
  const clear = (at: number, room: number): boolean =>
    nowAt === null || Math.abs(at - nowAt) > room;
  const bandA = c(data.bandC[0]);
  const bandB = c(data.bandC[1]);
  return (
    <Svg
      width={width}
      height={height}
      role="img"
      aria-label="Strip of the cook: temperatures over time"
    >
      <Defs>
        <ClipPath id={field}>
          <Rect x={m.left} y={m.top} width={right - m.left} height={bottom - m.top} />
        </ClipPath>
      </Defs>
      <Rect
        x={m.left}
        y={m.top}
        width={right - m.left}
        height={bottom - m.top}
        fill={theme.sheet}
      />
      {down ? (
        <Rect x={bandA} y={m.top} width={bandB - bandA} height={bottom - m.top} fill={theme.band} />
      ) : (
        <Rect
          x={m.left}
          y={bandB}
          width={right - m.left}
          height={bandA - bandB}
          fill={theme.band}
        />
      )}
      {[bandA, bandB].map((at) => (
        <Line
          key={at}
          {...(down
            ? { x1: at, x2: at, y1: m.top, y2: bottom }
            : { x1: m.left, x2: right, y1: at, y2: at })}
          stroke={theme.bandEdge}
          strokeWidth={1.5}
        />
      ))}
      {degrees.map((v) => {
        const at = c(v);
        const text = `${Math.round(fromC(v, units.temperature))}°`;
        return (
          <G key={v}>
            <Line
              {...(down
                ? { x1: at, x2: at, y1: m.top, y2: bottom }
                : { x1: m.left, x2: right, y1: at, y2: at })}
              stroke={theme.rule}
              strokeWidth={1}
            />
            {down ? (
              <Halo x={at} y={15} anchor="middle" colour={theme.soot} halo={theme.paper}>
                {text}
              </Halo>
            ) : (
              <Halo x={m.left - 8} y={at + 5} anchor="end" colour={theme.soot} halo={theme.paper}>
                {text}
              </Halo>
            )}
          </G>
        );
      })}
      {hours.map((ms) => {
        const at = t(ms);
        return (
          <G key={ms}>
            <Line
              {...(down
                ? { x1: m.left, x2: right, y1: at, y2: at }
                : { x1: at, x2: at, y1: m.top, y2: height - 26 })}
              stroke={theme.rule}
              strokeWidth={1}
            />
            {clear(at, down ? 20 : 48) ? (
              down ? (
                <Halo x={m.left - 6} y={at + 5} anchor="end" colour={theme.soot} halo={theme.paper}>
                  {say(ms)}
                </Halo>
              ) : (
                <Halo x={at} y={height - 8} anchor="middle" colour={theme.soot} halo={theme.paper}>
                  {say(ms)}
                </Halo>
              )
            ) : null}
          </G>
        );
      })}
      <G clipPath={`url(#${field})`}>
        <Traces traces={data.traces} axes={axes} />
      </G>
      {down ? (
        <DownMarks
          marks={data.marks}
          at={axes.t}
          x={right}
          top={m.top}
          bottom={bottom}
          onMark={onMark}
        />
      ) : (
        <AcrossMarks
          marks={data.marks}
          at={axes.t}
          left={m.left}
          right={right}
          top={bottom}
          onMark={onMark}
        />
      )}
      <Now data={data} axes={axes} m={m} right={right} height={height} say={say} />
      <Names data={data} axes={axes} field={{ left: m.left, right, top: m.top, bottom }} />
    </Svg>
  );
}

interface NowProps {
  data: StripData;
  axes: Axes;
  m: { left: number; top: number };
  right: number;
  height: number;
  say: (ms: number) => string;
}

/** The line at now, its label, and the pit's last reading on it. */
function Now({ data, axes, m, right, height, say }: NowProps) {
  const theme = useTheme();
  if (data.now === null) return null;
  const at = axes.t(data.now);
  // The label keeps clear of the temperature scale and of the edge.
  const tag = Math.min(Math.max(at, m.left + 26), right - 26);
  const pit = lastValue(data.traces[0]?.past ?? []);
  const dot = pit
    ? axes.down
      ? { cx: axes.c(pit.c!), cy: at }
      : { cx: at, cy: axes.c(pit.c!) }
    : null;
  return (
    <G>
      <Line
        {...(axes.down
          ? { x1: m.left - 2, x2: right + 4, y1: at, y2: at }
          : { x1: at, x2: at, y1: m.top - 2, y2: height - 26 })}
        stroke={theme.ink}
        strokeWidth={2}
      />
      {axes.down ? (
        <Rect x={0} y={at - 12} width={m.left - 2} height={24} rx={5} fill={theme.ink} />
      ) : (
        <Rect x={tag - 25} y={1} width={50} height={24} rx={5} fill={theme.ink} />
      )}
      <Halo
        x={axes.down ? (m.left - 2) / 2 : tag}
        y={axes.down ? at + 5 : 18}
        anchor="middle"
        colour={theme.paper}
        halo={theme.ink}
        bold
      >
        {say(data.now)}
      </Halo>
      {dot ? <Circle {...dot} r={6} fill={theme.pit} stroke={theme.sheet} strokeWidth={2} /> : null}
    </G>
  );
}

interface NamesProps {
  data: StripData;
  axes: Axes;
  field: { left: number; right: number; top: number; bottom: number };
}

/** The name of each trace at its end, moved apart where they would touch. */
function Names({ data, axes, field }: NamesProps) {
  const ends = data.traces.flatMap((trace) => {
    const inside = (p: { t: number }): boolean => p.t >= data.from && p.t <= data.to;
    const end = lastValue(trace.future.filter(inside)) ?? lastValue(trace.past.filter(inside));
    return end ? [{ trace, end }] : [];
  });
  const across = ends.map(({ end }) => axes.c(end.c!));
  const places = axes.down
    ? spreadLabels(across, 62, field.left + 30, field.right - 30)
    : spreadLabels(across, 19, field.top + 12, field.bottom - 4);
  return (
    <G>
      {ends.map(({ trace, end }, i) =>
        axes.down ? (
          <Halo
            key={trace.key}
            x={places[i]!}
            y={Math.min(axes.t(end.t) - 6, field.bottom - 6)}
            anchor="middle"
            colour={trace.colour}
            bold
          >
            {trace.label}
          </Halo>
        ) : (
          <Halo
            key={trace.key}
            x={Math.min(axes.t(end.t), field.right - 4)}
            y={places[i]! - 6}
            anchor="end"
            colour={trace.colour}
            bold
          >
            {trace.label}
          </Halo>
        ),
      )}
    </G>
  );
}
