/** Values read off a strip at one moment: a line, and a box with the time and what each trace tells there. */
import { fromC, type Units } from '@ostrin/core/quantity';
import { G, Line, Rect } from 'react-native-svg';
import { useTheme } from '../ui/theme';
import { Halo } from './Halo';
import { firstFrom, type Point, type StripData, type Box, type Trace } from './model';
import type { Axes } from './traces';

interface Props {
  /** Epoch ms. */
  at: number;
  data: StripData;
  axes: Axes;
  box: Box;
  units: Units;
  say: (ms: number) => string;
}

/** A value further away in time than this tells nothing of the moment, ms. */
const NEAR_MS = 20 * 60_000;

/** What a trace tells at a moment: the nearest value read, or straight between those expected; null where it tells nothing. */
function valueAt({ past, future }: Pick<Trace, 'past' | 'future'>, at: number): number | null {
  const known = (list: readonly Point[]): Point[] => list.filter((p) => p.c !== null);
  const read = known(past);
  const i = firstFrom(read, at, (p) => p.t);
  const near = [read[i - 1], read[i]]
    .filter((p) => p !== undefined && Math.abs(p.t - at) <= NEAR_MS)
    .sort((a, b) => Math.abs(a!.t - at) - Math.abs(b!.t - at))[0];
  if (near) return near.c;
  const ahead = known(future);
  const k = firstFrom(ahead, at, (p) => p.t);
  const [a, b] = [ahead[k - 1], ahead[k]];
  if (!a || !b) return b && b.t === at ? b.c : null;
  return a.c! + ((b.c! - a.c!) * (at - a.t)) / (b.t - a.t);
}

const BOX = { width: 132, line: 18 };

export function Cursor({ at, data, axes, box, units, say }: Props) {
  const theme = useTheme();
  if (at < data.from || at > data.to) return null;
  const along = axes.t(at);
  const told = data.traces.flatMap((trace) => {
    const c = valueAt(trace, at);
    return c === null
      ? []
      : [{ trace, text: `${trace.label} ${Math.round(fromC(c, units.temperature))}°` }];
  });
  const height = BOX.line * (told.length + 1) + 8;
  const x = axes.down
    ? box.left + 6
    : Math.min(Math.max(along + 8, box.left), box.right - BOX.width);
  const y = axes.down ? Math.min(Math.max(along + 6, box.top), box.bottom - height) : box.top + 6;
  const line = axes.down
    ? { x1: box.left, x2: box.right, y1: along, y2: along }
    : { x1: along, x2: along, y1: box.top, y2: box.bottom };
  return (
    <G testID="strip-cursor">
      <Line {...line} stroke={theme.ink} strokeWidth={1} strokeDasharray="4 3" />
      <Rect
        x={x}
        y={y}
        width={BOX.width}
        height={height}
        rx={5}
        fill={theme.sheet}
        stroke={theme.edge}
      />
      <Halo x={x + 8} y={y + BOX.line} colour={theme.ink} halo={theme.sheet} bold>
        {say(at)}
      </Halo>
      {told.map(({ trace, text }, i) => (
        <Halo
          key={trace.key}
          x={x + 8}
          y={y + BOX.line * (i + 2)}
          colour={trace.colour}
          halo={theme.sheet}
        >
          {text}
        </Halo>
      ))}
    </G>
  );
}
