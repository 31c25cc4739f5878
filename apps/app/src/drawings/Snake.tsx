/** The kettle from above, to scale: rim, snake with its lit end, chunks, and the meat inside the ring. */
import {
  BRIQUETTE_PITCH_M,
  CENTRE_LINE_SHARE,
  footprintM2,
  piecesPerRow,
  type Cut,
  type PlannedFire,
} from '@ostrin/core';
import Svg, { Circle, Ellipse, G, Rect } from 'react-native-svg';
import { Halo } from '../strip/Halo';
import { useTheme } from '../ui/theme';

/** A briquette on edge, seen from above, m (common practice). */
const PIECE_M = { along: 0.043, across: 0.03 };
const CHUNK_M = 0.045;

interface Props {
  fire: PlannedFire;
  diameterM: number;
  cut: Cut;
  massKg: number;
  pieces: number;
  size: number;
}

/**
 * Where each piece of meat lies, m from the middle: alone, two or three about the middle, more in staggered
 * rows as near to it as they go. `wide` and `high` are a piece's half axes.
 */
export function places(count: number, wide: number, high: number): { x: number; y: number }[] {
  if (count <= 1) return [{ x: 0, y: 0 }];
  if (count <= 3) {
    const r = count === 2 ? wide * 1.06 : high * 1.05;
    return Array.from({ length: count }, (_, i) => {
      const a = (2 * Math.PI * i) / count + (count === 2 ? 0 : -Math.PI / 2);
      return { x: r * Math.cos(a), y: r * Math.sin(a) };
    });
  }
  const reach = Math.ceil(Math.sqrt(count)) + 1;
  const spots: { x: number; y: number }[] = [];
  for (let row = -reach; row <= reach; row++) {
    for (let i = -reach; i <= reach; i++) {
      spots.push({
        x: 2.06 * wide * (i + (row % 2 === 0 ? 0 : 0.5) + (count % 2 === 0 ? 0.25 : 0)),
        y: 1.8 * high * row,
      });
    }
  }
  return spots.sort((a, b) => Math.hypot(a.x, a.y) - Math.hypot(b.x, b.y)).slice(0, count);
}

/** Half axes of a piece on the grate, m: a third longer than wide. */
export function halfAxes(cut: Cut, massKg: number): [number, number] {
  const r = Math.sqrt(footprintM2(cut, massKg) / Math.PI);
  return [r * Math.sqrt(0.75), r / Math.sqrt(0.75)];
}

export function SnakeDrawing({ fire, diameterM, cut, massKg, pieces, size }: Props) {
  const theme = useTheme();
  const margin = 0.02;
  const m = size / (diameterM + 2 * margin);
  const centre = size / 2;
  const radius = (diameterM / 2) * CENTRE_LINE_SHARE;
  const slots = piecesPerRow(fire.arcDegrees, diameterM);
  const litSlots = Math.round(fire.litPieces / (fire.side * fire.layers));
  const stepDeg = (BRIQUETTE_PITCH_M / radius) * (180 / Math.PI);
  // The head lies at the lower left and the snake runs clockwise.
  const angle = (deg: number): number => 200 + deg;
  const at = (deg: number, r: number) => ({
    x: centre + r * m * Math.cos((angle(deg) * Math.PI) / 180),
    y: centre + r * m * Math.sin((angle(deg) * Math.PI) / 180),
  });
  const [wide, high] = halfAxes(cut, massKg);
  const spots = places(pieces, wide, high);
  const rows = Array.from(
    { length: fire.side },
    (_, row) => radius + (row - (fire.side - 1) / 2) * (PIECE_M.across + 0.003),
  );
  return (
    <Svg
      width={size}
      height={size}
      role="img"
      aria-label={`Snake from above: ${fire.pieces} briquettes over ${Math.round(fire.arcDegrees)} degrees, ${fire.litPieces} lit, ${fire.woodChunks.length} chunks of wood`}
    >
      <Circle
        cx={centre}
        cy={centre}
        r={(diameterM / 2) * m}
        fill={theme.sheet}
        stroke={theme.ink}
        strokeWidth={2.5}
      />
      <Circle
        cx={centre}
        cy={centre}
        r={(diameterM / 2 - 0.012) * m}
        fill="none"
        stroke={theme.rule}
        strokeWidth={1}
      />
      {rows.flatMap((r, row) =>
        Array.from({ length: slots }, (_, slot) => {
          const deg = (slot + 0.5) * stepDeg;
          const p = at(deg, r);
          const lit = slot < litSlots;
          return (
            <G key={`${row}-${slot}`} transform={`rotate(${angle(deg) + 90} ${p.x} ${p.y})`}>
              <Rect
                x={p.x - (PIECE_M.along / 2) * m}
                y={p.y - (PIECE_M.across / 2) * m}
                width={PIECE_M.along * m}
                height={PIECE_M.across * m}
                rx={1.5}
                fill={lit ? theme.pit : theme.soot}
                stroke={theme.sheet}
                strokeWidth={0.8}
              />
            </G>
          );
        }),
      )}
      {fire.woodChunks.map((c) => {
        const p = at(c.atArcDegrees, radius);
        const s = (CHUNK_M / 2) * m;
        return (
          <G key={c.atArcDegrees} transform={`rotate(${angle(c.atArcDegrees) + 45} ${p.x} ${p.y})`}>
            <Rect
              x={p.x - s}
              y={p.y - s}
              width={2 * s}
              height={2 * s}
              fill={theme.meats[2]}
              stroke={theme.sheet}
              strokeWidth={1.5}
            />
          </G>
        );
      })}
      {spots.map((s) => (
        <Ellipse
          key={`${s.x},${s.y}`}
          cx={centre + s.x * m}
          cy={centre + s.y * m}
          rx={wide * m}
          ry={high * m}
          fill={theme.sheet}
          stroke={theme.meats[0]}
          strokeWidth={2}
          strokeDasharray="5 4"
        />
      ))}
      <Halo x={centre} y={centre + 5} size={14} anchor="middle" colour={theme.meats[0]} bold>
        {cut.short}
      </Halo>
    </Svg>
  );
}
