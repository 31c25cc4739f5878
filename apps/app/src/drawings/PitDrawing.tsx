/** A pit from the side, to scale: skin, grates, where the fire lies and where air comes in and goes out. */
import { pitWith, presetOf } from '@ostrin/core/catalogue';
import type { PitRecord } from '@ostrin/contract/types';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import { Halo } from '../strip/Halo';
import { useTheme } from '../ui/theme';
import { PIT_SHAPES } from './pitShapes';

interface Props {
  pit: Pick<PitRecord, 'preset' | 'overrides' | 'name'>;
  width: number;
  height: number;
  /** Without names and measures. */
  bare?: boolean;
}

/** Room for names beside the drawing, px. */
const MARGIN = { side: 78, top: 26 };

export function PitDrawing({ pit, width, height, bare = false }: Props) {
  const theme = useTheme();
  const preset = presetOf(pit.preset);
  const parameters = pitWith(preset, pit.overrides);
  const shape = PIT_SHAPES[preset.family](parameters);
  const room = bare ? { side: 2, top: 2 } : MARGIN;
  const scale = Math.min(
    (width - 2 * room.side) / shape.widthM,
    (height - room.top - 4) / shape.heightM,
  );
  const left = (width - scale * shape.widthM) / 2;
  const at = (x: number, y: number) => ({ x: left + x * scale, y: room.top + y * scale });
  const intake = at(shape.intake.x, shape.intake.y);
  const exhaust = at(shape.exhaust.x, shape.exhaust.y);
  const ground = at(0, shape.heightM).y;
  const line = (w: number): number => w / scale;
  return (
    <Svg
      width={width}
      height={height}
      role="img"
      aria-label={`${pit.name}, ${preset.name}, from the side`}
    >
      <G transform={`translate(${left} ${room.top}) scale(${scale})`}>
        {shape.legs.map((d) => (
          <Path key={d} d={d} stroke={theme.edge} strokeWidth={line(bare ? 1.5 : 3)} fill="none" />
        ))}
        {shape.skin.map((d) => (
          <Path
            key={d}
            d={d}
            fill={theme.sheet}
            stroke={theme.ink}
            strokeWidth={line(bare ? 1.5 : 2.5)}
            strokeLinejoin="round"
          />
        ))}
        {shape.inside.map((d) => (
          <Path key={d} d={d} fill="none" stroke={theme.edge} strokeWidth={line(bare ? 1 : 2)} />
        ))}
        {shape.grates.map(([x1, y, x2]) => (
          <Line key={y} x1={x1} x2={x2} y1={y} y2={y} stroke={theme.soot} strokeWidth={line(2)} />
        ))}
        <Rect
          {...{ x: shape.coals.x, y: shape.coals.y }}
          width={shape.coals.w}
          height={shape.coals.h}
          fill={theme.pit}
        />
      </G>
      {bare ? null : (
        <G>
          <Line x1={8} x2={width - 8} y1={ground} y2={ground} stroke={theme.edge} strokeWidth={1} />
          <Name
            at={intake}
            to={intake.x < width / 2 ? 12 : width - 12}
            y={Math.min(intake.y + 4, ground - 8)}
            colour={theme.ink}
          >
            air in
          </Name>
          <Name at={exhaust} to={width - 12} y={Math.max(exhaust.y - 2, 18)} colour={theme.ink}>
            smoke out
          </Name>
        </G>
      )}
    </Svg>
  );
}

/** A name at the picture's edge with a hairline to its place. */
function Name(props: {
  at: { x: number; y: number };
  to: number;
  y: number;
  colour: string;
  children: string;
}) {
  const theme = useTheme();
  const start = props.to < props.at.x;
  const edge = props.to + (start ? 1 : -1) * props.children.length * 7.6;
  return (
    <G>
      <Line
        x1={edge}
        x2={props.at.x}
        y1={props.y - 4}
        y2={props.at.y}
        stroke={theme.edge}
        strokeWidth={1}
      />
      <Rect x={props.at.x - 3.5} y={props.at.y - 3.5} width={7} height={7} fill={theme.ink} />
      <Halo
        x={props.to}
        y={props.y}
        anchor={start ? 'start' : 'end'}
        colour={props.colour}
        halo={theme.paper}
      >
        {props.children}
      </Halo>
    </G>
  );
}
