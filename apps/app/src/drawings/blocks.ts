/** Many blocks of one kind as one path: a fire has a hundred pieces, and a page that draws each for itself is slow. */

interface Block {
  x: number;
  y: number;
  w: number;
  h: number;
  turnDeg: number;
}

export type PieceKind = 'unlit' | 'lit' | 'wood';
/** A piece of a fire. */
export type FirePiece = Block & { kind: PieceKind };

/** A chunk of wood, m (common practice). */
export const CHUNK_M = 0.045;

const digits = (v: number): string => v.toFixed(4);

/** Rectangles about their middles, each turned by its own angle, as the `d` of one path; in the units of `x` times `scale`. */
export function blocksPath(blocks: readonly Block[], scale = 1): string {
  return blocks
    .map(({ x, y, w, h, turnDeg }) => {
      const [cos, sin] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)];
      const corner = (sx: number, sy: number): string => {
        const [dx, dy] = [(sx * w) / 2, (sy * h) / 2];
        return `${digits(scale * (x + dx * cos - dy * sin))} ${digits(scale * (y + dx * sin + dy * cos))}`;
      };
      return `M${corner(-1, -1)}L${corner(1, -1)}L${corner(1, 1)}L${corner(-1, 1)}Z`;
    })
    .join('');
}
