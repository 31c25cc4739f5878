/** The line at now on a strip, and the names of its traces. */
import { Circle, G, Line, Rect } from 'react-native-svg';
import { useTheme } from '../ui/theme';
import { Halo } from './Halo';
import { lastValue, spreadLabels, type StripData } from './model';
import type { Axes } from './traces';

interface NowProps {
  data: StripData;
  axes: Axes;
  m: { left: number; top: number };
  right: number;
  height: number;
  say: (ms: number) => string;
}

/** The line at now, its label, and the pit's last reading on it. */
export function Now({ data, axes, m, right, height, say }: NowProps) {
  const theme = useTheme();
  if (data.now === null || data.now < data.from || data.now > data.to) return null;
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

/** A letter of a name is about so wide, and a line so high, px. */
const LETTER_PX = 9;
const LINE_PX = 16;
/** Names of more letters than this cannot stand side by side on a phone: every other one goes a line higher. */
const SHORT_NAME = 8;

/** The name of each trace at its end, where it has one, moved apart where they would touch. */
export function Names({ data, axes, field }: NamesProps) {
  const ends = data.traces.flatMap((trace) => {
    if (!trace.label) return [];
    const inside = (p: { t: number }): boolean => p.t >= data.from && p.t <= data.to;
    const end = lastValue(trace.future.filter(inside)) ?? lastValue(trace.past.filter(inside));
    return end ? [{ trace, end }] : [];
  });
  const across = ends.map(({ end }) => axes.c(end.c!));
  const longest = Math.max(0, ...ends.map(({ trace }) => trace.label.length));
  const places = axes.down
    ? spreadLabels(
        across,
        Math.min(62, 12 + LETTER_PX * longest),
        field.left + 30,
        field.right - 30,
      )
    : spreadLabels(across, 19, field.top + 12, field.bottom - 4);
  return (
    <G>
      {ends.map(({ trace, end }, i) =>
        axes.down ? (
          <Halo
            key={trace.key}
            x={places[i]!}
            y={
              Math.min(axes.t(end.t) - 6, field.bottom - 6) -
              (longest > SHORT_NAME ? LINE_PX * (i % 2) : 0)
            }
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
