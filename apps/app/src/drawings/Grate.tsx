/** A grate from above, to scale: its fire, the ground that stays free, and the pieces where they lie. */
import {
  CHARCOALS,
  BRIQUETTE_PITCH_M,
  CENTRE_LINE_FRACTION,
  cutOf,
  piecesPerRow,
  presetOf,
} from '@ostrin/core/catalogue';
import { grateOf, type Grate } from '@ostrin/core/engine';
import type { GratePlan, PlannedFire, RequestMeat } from '@ostrin/core';
import Svg, { Circle, G, Line, Rect } from 'react-native-svg';
import { Halo } from '../strip/Halo';
import { useTheme } from '../ui/theme';
import { CHUNK_M, type FirePiece, type PieceKind } from './blocks';
import { Pieces } from './Pieces';

/** A briquette on edge, seen from above, m (common practice). */
const PIECE_M = { along: 0.043, across: 0.03 };
/** Room round the drawing, m. */
const MARGIN_M = 0.02;
/** The head of a snake lies at the lower left and the snake runs clockwise, degrees. */
const HEAD_DEG = 200;

interface Props {
  preset: string;
  diameterM: number;
  fire: PlannedFire;
  grate: GratePlan | undefined;
  meats: readonly RequestMeat[];
  size: number;
  /** A piece that cannot stay where it is being held, by its place in the list. */
  wrong?: number;
}

/** How a grate is put on a drawing so wide: px a metre, the drawing's height, and where its middle is. */
export function frameOf(shape: Grate, diameterM: number, size: number) {
  const lengthM = shape.round ? Math.max(diameterM, shape.lengthM) : shape.lengthM;
  const depthM = shape.round ? lengthM : shape.depthM;
  const m = size / (lengthM + 2 * MARGIN_M);
  const height = (depthM + 2 * MARGIN_M) * m;
  return { lengthM, depthM, m, height, cx: size / 2, cy: height / 2 };
}

export function GrateDrawing({ preset, diameterM, fire, grate, meats, size, wrong }: Props) {
  const theme = useTheme();
  const shape = grateOf(presetOf(preset), fire.arrangement);
  const { lengthM, depthM, m, height, cx, cy } = frameOf(shape, diameterM, size);
  const laid = grate?.laid ?? [];
  return (
    <Svg width={size} height={height} role="img" aria-label={label(fire, laid.length)}>
      {shape.round ? (
        <Circle
          cx={cx}
          cy={cy}
          r={(lengthM / 2) * m}
          fill={theme.sheet}
          stroke={theme.ink}
          strokeWidth={2.5}
        />
      ) : (
        <Rect
          x={cx - (lengthM / 2) * m}
          y={cy - (depthM / 2) * m}
          width={lengthM * m}
          height={depthM * m}
          fill={theme.sheet}
          stroke={theme.ink}
          strokeWidth={2.5}
        />
      )}
      {fire.arrangement === 'snake' ? (
        <G transform={`translate(${cx} ${cy})`}>
          <Pieces pieces={snakeBlocks(fire, diameterM)} m={m} edge={theme.sheet} />
        </G>
      ) : (
        <HotGround shape={shape} fire={fire} m={m} cx={cx} cy={cy} />
      )}
      {laid.map((p, i) => {
        const kind = Math.max(
          0,
          meats.findIndex((x) => x.id === p.meat),
        );
        return (
          <G key={i}>
            <Rect
              x={cx + (p.x - p.lengthM / 2) * m}
              y={cy + (p.y - p.widthM / 2) * m}
              width={p.lengthM * m}
              height={p.widthM * m}
              rx={Math.min(p.lengthM, p.widthM) * 0.4 * m}
              fill={theme.sheet}
              stroke={i === wrong ? theme.pit : theme.meats[kind % 4]}
              strokeWidth={i === wrong ? 4 : 2}
              strokeDasharray={i === wrong ? undefined : '5 4'}
            />
            {p.lengthM * m > 44 ? (
              <Halo
                x={cx + p.x * m}
                y={cy + p.y * m + 5}
                size={13}
                anchor="middle"
                colour={theme.meats[kind % 4]}
                bold
              >
                {cutOf(meats[kind]?.cut ?? 'brisket').short}
              </Halo>
            ) : null}
          </G>
        );
      })}
    </Svg>
  );
}

const label = (fire: PlannedFire, pieces: number): string =>
  fire.arrangement === 'snake'
    ? `Snake from above: ${fire.pieces} ${CHARCOALS[fire.fuel].name} over ${Math.round(fire.arcDegrees ?? 0)} degrees, ${fire.litPieces} lit, ${fire.woodChunks.length} chunks of wood; ${pieces} pieces of meat`
    : `Grate from above, the fire to the left; ${pieces} pieces of meat`;

interface HotProps {
  shape: Grate;
  fire: PlannedFire;
  m: number;
  cx: number;
  cy: number;
}

/** Ground over a basket, with its charcoal, or at a firebox's mouth: nothing lies there. */
function HotGround({ shape, fire, m, cx, cy }: HotProps) {
  const theme = useTheme();
  const width = shape.clearFromX + shape.lengthM / 2;
  if (width < 0.01) return null;
  const edge = cx + shape.clearFromX * m;
  if (!shape.round) {
    const middle = cx - (shape.lengthM / 2 - width / 2) * m;
    return (
      <G>
        <Line
          x1={edge}
          x2={edge}
          y1={cy - (shape.depthM / 2) * m}
          y2={cy + (shape.depthM / 2) * m}
          stroke={theme.pit}
          strokeWidth={2.5}
        />
        <G transform={`rotate(-90 ${middle} ${cy})`}>
          <Halo x={middle} y={cy + 5} size={13} anchor="middle" colour={theme.ink}>
            fire this side
          </Halo>
        </G>
      </G>
    );
  }
  return (
    <G transform={`translate(${cx} ${cy})`}>
      <Pieces pieces={basketBlocks(shape, fire)} m={m} edge={theme.sheet} />
    </G>
  );
}

/** Charcoal along one side as it is seen from above: its uppermost layer, lit in the corner in front, chunks from there on. */
export function basketBlocks(shape: Grate, fire: PlannedFire): FirePiece[] {
  const edge = shape.clearFromX - 0.01;
  const size = { w: PIECE_M.along, h: PIECE_M.across, turnDeg: 0 };
  const blocks: FirePiece[] = [];
  for (let x = edge - PIECE_M.along / 2; x > -shape.lengthM / 2; x -= PIECE_M.along + 0.002) {
    const reach = Math.sqrt(
      Math.max((shape.lengthM / 2 - 0.02) ** 2 - (x - PIECE_M.along / 2) ** 2, 0),
    );
    const rows = Math.floor((2 * reach) / (PIECE_M.across + 0.002));
    for (let i = 0; i < rows; i++) {
      const y = (i - (rows - 1) / 2) * (PIECE_M.across + 0.002);
      blocks.push({ x, y, ...size, kind: 'unlit' });
    }
  }
  // From the lit corner, in front, along the side.
  blocks.sort((a, b) => b.y - a.y);
  const lit = Math.max(1, Math.round((blocks.length * fire.litPieces) / Math.max(fire.pieces, 1)));
  blocks.slice(0, lit).forEach((b) => (b.kind = 'lit'));
  const rest = blocks.length - lit;
  fire.woodChunks.forEach((c, i) => {
    const share = c.depthFraction ?? (i + 0.5) / fire.woodChunks.length;
    const at = blocks[lit + Math.min(Math.floor(share * rest), rest - 1)];
    if (at) blocks.push({ ...at, w: CHUNK_M, h: CHUNK_M, kind: 'wood' });
  });
  return blocks;
}

/** A snake with its lit end and its chunks, as it lies round the rim. */
function snakeBlocks(fire: PlannedFire, diameterM: number): FirePiece[] {
  const { arcDegrees = 0, side = 2, layers = 2 } = fire;
  const radius = (diameterM / 2) * CENTRE_LINE_FRACTION;
  const slots = piecesPerRow(arcDegrees, diameterM);
  const litSlots = Math.round(fire.litPieces / (side * layers));
  const stepDeg = (BRIQUETTE_PITCH_M / radius) * (180 / Math.PI);
  const block = (deg: number, r: number, w: number, h: number, kind: PieceKind, turn: number) => ({
    x: r * Math.cos(((HEAD_DEG + deg) * Math.PI) / 180),
    y: r * Math.sin(((HEAD_DEG + deg) * Math.PI) / 180),
    w,
    h,
    turnDeg: HEAD_DEG + deg + turn,
    kind,
  });
  const rows = Array.from(
    { length: side },
    (_, row) => radius + (row - (side - 1) / 2) * (PIECE_M.across + 0.003),
  );
  return [
    ...rows.flatMap((r) =>
      Array.from({ length: slots }, (_, slot) =>
        block(
          (slot + 0.5) * stepDeg,
          r,
          PIECE_M.along,
          PIECE_M.across,
          slot < litSlots ? 'lit' : 'unlit',
          90,
        ),
      ),
    ),
    ...fire.woodChunks.map((c) => block(c.atArcDegrees ?? 0, radius, CHUNK_M, CHUNK_M, 'wood', 45)),
  ];
}
