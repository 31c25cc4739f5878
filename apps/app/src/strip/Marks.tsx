/** Remarks: at the right edge when time runs down, in lanes when it runs across. */
import { G, Line, Rect } from 'react-native-svg';
import { useTheme } from '../ui/theme';
import { Halo } from './Halo';
import { MarkShape } from './MarkShape';
import { spreadLabels, type Mark, type MarkKind } from './model';

export const LANES: readonly { kind: MarkKind; name: string }[] = [
  { kind: 'fuel', name: 'fire' },
  { kind: 'vents', name: 'vents' },
  { kind: 'lid', name: 'lid' },
  { kind: 'meat', name: 'meat' },
  { kind: 'watch', name: 'shift' },
  { kind: 'note', name: 'notes' },
];
const LANE_HEIGHT = 27;
const LABEL_GAP = 22;
const MOST_LETTERS = 13;
/** Of a longer word at least so many are shown, or none: its mark says what it is as well. */
const LEAST_LETTERS = 6;

/** A label cut to fit, with a sign that it was. */
export const short = (label: string, letters = MOST_LETTERS): string =>
  label.length <= letters ? label : `${label.slice(0, letters - 1).trimEnd()}…`;

interface DownProps {
  marks: readonly Mark[];
  at: (ms: number) => number;
  x: number;
  top: number;
  bottom: number;
  onMark?: (entryId: string) => void;
}

/** Remarks down the right edge, the ones nearest to the middle kept when there are too many. */
export function DownMarks({ marks, at, x, top, bottom, onMark }: DownProps) {
  const theme = useTheme();
  const room = Math.max(1, Math.floor((bottom - top) / LABEL_GAP));
  const inside = marks.filter((m) => at(m.t) >= top && at(m.t) <= bottom).slice(-room);
  const places = spreadLabels(
    inside.map((m) => at(m.t)),
    LABEL_GAP,
    top + 10,
    bottom - 10,
  );
  return (
    <G>
      {inside.map((m, i) => {
        const y = places[i]!;
        const touch = m.entryId && onMark ? () => onMark(m.entryId!) : undefined;
        return (
          <G key={m.key} onPress={touch}>
            <Line x1={x} y1={at(m.t)} x2={x + 8} y2={y} stroke={theme.edge} strokeWidth={1} />
            <MarkShape
              kind={m.kind}
              x={x + 16}
              y={y}
              done={m.done}
              colour={theme.ink}
              hollow={theme.paper}
            />
            <Halo x={x + 28} y={y + 5} colour={m.done ? theme.ink : theme.soot} halo={theme.paper}>
              {short(m.label)}
            </Halo>
            {touch ? (
              <Rect x={x} y={y - 11} width={130} height={22} fill="transparent" onPress={touch} />
            ) : null}
          </G>
        );
      })}
    </G>
  );
}

interface AcrossProps {
  marks: readonly Mark[];
  at: (ms: number) => number;
  left: number;
  right: number;
  top: number;
  onMark?: (entryId: string) => void;
}

/** Remarks in one lane a kind; expected ones carry a word where it has room. */
export function AcrossMarks({ marks, at, left, right, top, onMark }: AcrossProps) {
  const theme = useTheme();
  return (
    <G>
      {LANES.map((lane, row) => {
        const y = top + 14 + row * LANE_HEIGHT;
        const mine = marks
          .filter((m) => m.kind === lane.kind && at(m.t) >= left && at(m.t) <= right)
          .sort((a, b) => a.t - b.t);
        return (
          <G key={lane.kind}>
            <Halo x={left - 8} y={y + 5} anchor="end" colour={theme.soot} halo={theme.paper}>
              {lane.name}
            </Halo>
            <Line x1={left} x2={right} y1={y} y2={y} stroke={theme.rule} strokeWidth={1} />
            {mine.map((m, i) => {
              const x = at(m.t);
              const next = mine[i + 1];
              const until = next ? at(next.t) - 10 : right;
              const letters = Math.floor((until - x - 14) / 7);
              const touch = m.entryId && onMark ? () => onMark(m.entryId!) : undefined;
              return (
                <G key={m.key} onPress={touch}>
                  <MarkShape
                    kind={m.kind}
                    x={x}
                    y={y}
                    done={m.done}
                    colour={theme.ink}
                    hollow={theme.paper}
                  />
                  {letters >= Math.min(m.label.length, LEAST_LETTERS) ? (
                    <Halo x={x + 12} y={y + 5} size={12} colour={theme.soot} halo={theme.paper}>
                      {short(m.label, Math.min(letters, 22))}
                    </Halo>
                  ) : null}
                  {touch ? (
                    <Rect
                      x={x - 12}
                      y={y - 13}
                      width={24}
                      height={26}
                      fill="transparent"
                      onPress={touch}
                    />
                  ) : null}
                </G>
              );
            })}
          </G>
        );
      })}
    </G>
  );
}
