/**
 * The strip: plan, chart and log at once. Time runs down on a phone and across on a wide screen.
 * Scale and both ends of time are always on it.
 */
import { fromC, localOf, type Units } from '@ostrin/core/quantity';
import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import Svg, { ClipPath, Defs, G, Line, Rect } from 'react-native-svg';
import { useTheme } from '../ui/theme';
import { clockOf } from '../ui/words';
import { AcrossMarks, DownMarks, LANES } from './Marks';
import { Cursor } from './Cursor';
import { Halo } from './Halo';
import type { BandSpan, Box, StripData } from './model';
import { Names, Now } from './StripNow';
import { Traces, type Axes } from './traces';

export interface StripProps {
  data: StripData;
  width: number;
  height: number;
  down: boolean;
  units: Units;
  timeZone: string;
  onMark?: (entryId: string) => void;
  /** A moment whose values are read off, epoch ms; none when left out. */
  cursor?: number | null;
}

/** Margins of the field of the traces, px: before and after it along time. */
export const alongMargins = (down: boolean): readonly [number, number] =>
  down ? [DOWN.top, DOWN.bottom] : [ACROSS.left, ACROSS.right];

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

export function Strip({
  data,
  width,
  height,
  down,
  units,
  timeZone,
  onMark,
  cursor = null,
}: StripProps) {
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
  const box: Box = { left: m.left, right, top: m.top, bottom };
  const say = (ms: number): string => clockOf(localOf(ms, timeZone));
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
      {data.bands.map((band, i) => (
        <Band
          key={band.from}
          bandC={band.bandC}
          axes={axes}
          box={betweenTimes(box, axes, i === 0 ? null : band.from, data.bands[i + 1]?.from ?? null)}
        />
      ))}
      <Degrees rangeC={data.rangeC} units={units} axes={axes} box={box} />
      <Hours data={data} axes={axes} box={box} size={{ width, height }} timeZone={timeZone} />
      <G clipPath={`url(#${field})`}>
        <Traces traces={data.traces} ghosts={data.ghosts ?? []} axes={axes} />
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
      <Names data={data} axes={axes} field={box} />
      {cursor === null ? null : (
        <Cursor at={cursor} data={data} axes={axes} box={box} units={units} say={say} />
      )}
    </Svg>
  );
}

interface AxisProps {
  axes: Axes;
  box: Box;
}

/** A line across the field at one temperature. */
const alongTime = (at: number, { axes, box }: AxisProps) =>
  axes.down
    ? { x1: at, x2: at, y1: box.top, y2: box.bottom }
    : { x1: box.left, x2: box.right, y1: at, y2: at };

/** The part of the field between two times; null: to its edge. */
function betweenTimes(box: Box, axes: Axes, from: number | null, to: number | null): Box {
  const [start, end] = axes.down ? [box.top, box.bottom] : [box.left, box.right];
  const at = (ms: number): number => Math.min(end, Math.max(start, axes.t(ms)));
  const first = from === null ? start : at(from);
  const last = to === null ? end : at(to);
  return axes.down ? { ...box, top: first, bottom: last } : { ...box, left: first, right: last };
}

/** The band that the pit is held in. */
function Band({ bandC, axes, box }: AxisProps & { bandC: BandSpan['bandC'] }) {
  const theme = useTheme();
  const [low, high] = [axes.c(bandC[0]), axes.c(bandC[1])];
  return (
    <G>
      {axes.down ? (
        <Rect
          x={low}
          y={box.top}
          width={high - low}
          height={box.bottom - box.top}
          fill={theme.band}
        />
      ) : (
        <Rect
          x={box.left}
          y={high}
          width={box.right - box.left}
          height={low - high}
          fill={theme.band}
        />
      )}
      {[low, high].map((at) => (
        <Line
          key={at}
          {...alongTime(at, { axes, box })}
          stroke={theme.bandEdge}
          strokeWidth={1.5}
        />
      ))}
    </G>
  );
}

/** The scale of temperatures. */
function Degrees({
  rangeC,
  units,
  axes,
  box,
}: AxisProps & { rangeC: StripData['rangeC']; units: Units }) {
  const theme = useTheme();
  return (
    <G>
      {temperatureTicks(rangeC, units, axes.down ? 4 : 8).map((v) => {
        const at = axes.c(v);
        const place = axes.down
          ? { x: at, y: 15, anchor: 'middle' as const }
          : { x: box.left - 8, y: at + 5, anchor: 'end' as const };
        return (
          <G key={v}>
            <Line {...alongTime(at, { axes, box })} stroke={theme.rule} strokeWidth={1} />
            <Halo {...place} colour={theme.soot} halo={theme.paper}>
              {`${Math.round(fromC(v, units.temperature))}°`}
            </Halo>
          </G>
        );
      })}
    </G>
  );
}

interface HoursProps extends AxisProps {
  data: StripData;
  size: { width: number; height: number };
  timeZone: string;
}

/** The hours; one that would touch the label of now is left out. */
function Hours({ data, axes, box, size, timeZone }: HoursProps) {
  const theme = useTheme();
  const nowAt = data.now === null ? null : axes.t(data.now);
  const room = axes.down ? 20 : 48;
  const most = axes.down ? size.height / 46 : size.width / 74;
  return (
    <G>
      {hourTicks(data.from, data.to, most, timeZone).map((ms) => {
        const at = axes.t(ms);
        const place = axes.down
          ? { x: box.left - 6, y: at + 5, anchor: 'end' as const }
          : { x: at, y: size.height - 8, anchor: 'middle' as const };
        const line = axes.down
          ? { x1: box.left, x2: box.right, y1: at, y2: at }
          : { x1: at, x2: at, y1: box.top, y2: size.height - 26 };
        return (
          <G key={ms}>
            <Line {...line} stroke={theme.rule} strokeWidth={1} />
            {nowAt === null || Math.abs(at - nowAt) > room ? (
              <Halo {...place} colour={theme.soot} halo={theme.paper}>
                {clockOf(localOf(ms, timeZone))}
              </Halo>
            ) : null}
          </G>
        );
      })}
    </G>
  );
}
