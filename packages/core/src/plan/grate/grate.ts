/** Which pieces fit on a grate beside its fire, and where they lie. Lengths in m from the middle of the grate. */
import { CENTRE_LINE_FRACTION } from '../../fire/snake';
import type { ArrangementId } from '../../fire/fireSpec';
import { cutOf } from '../../meat/cuts';
import { usualThicknessMm, type Cut } from '../../meat/cut';
import { meatDensity } from '../../meat/properties';
import type { Place } from '../../pit/layout';
import type { Preset } from '../../pit/preset';
import { mean } from '../../quantity/statistics';

/** Room between two pieces, m (common practice: a finger). */
const GAP_M = 0.015;
/** Half the width of the strip over a snake where nothing may lie, and what a basket at one side takes of the grate. */
const OVER_SNAKE_M = 0.045;
const BASKET_SHARE = 0.3;
/** End of a long grate at the firebox that is too hot for meat, share of its length. */
const HOT_END_SHARE = 0.08;
/** Corners of meat are round: its rectangle may stand out of a round grate by this share of its length. */
const ROUND_CORNERS = 0.16;

/** Ground that may be used. */
export interface Grate {
  /** Whether it is round; else a rectangle. */
  round: boolean;
  /** Diameter, or length and depth of a long one. */
  lengthM: number;
  /** Depth of a rectangle, m. */
  depthM: number;
  /** Round grates: nothing beyond this radius, and nothing left of this line (a basket's side). */
  clearRadiusM: number;
  /** Where the free part begins, m from the middle. */
  clearFromX: number;
  /** Places on it. */
  places: readonly Place[];
}

/** A piece's ground. */
interface Footprint {
  /** Length, m. */
  lengthM: number;
  /** Width, m. */
  widthM: number;
}

export interface PlacedPiece extends Footprint {
  /** Along the grate from its middle, m. */
  x: number;
  /** Across the grate from its middle, m. */
  y: number;
}

/** The grate of a preset over that fire. */
export function grateOf(preset: Preset, arrangement: ArrangementId): Grate {
  const places = preset.layout(preset.parameters).positions.map((p) => p.at);
  const long = preset.traits.longGrate;
  if (long) {
    const area = (Math.PI / 4) * preset.grateDiameterM ** 2;
    const lengthM =
      preset.parameters.lengthM > 0 ? preset.parameters.lengthM : Math.sqrt(1.5 * area);
    const depthM = area / lengthM;
    return {
      round: false,
      lengthM,
      depthM,
      clearRadiusM: Infinity,
      clearFromX: -lengthM / 2 + HOT_END_SHARE * lengthM,
      places,
    };
  }
  const d = preset.grateDiameterM;
  const side = ['side-basket', 'crescent', 'horseshoe'].includes(arrangement);
  return {
    round: true,
    lengthM: d,
    depthM: d,
    clearRadiusM:
      arrangement === 'snake'
        ? (preset.parameters.diameterM / 2) * CENTRE_LINE_FRACTION - OVER_SNAKE_M
        : d / 2,
    clearFromX: side ? -d / 2 + BASKET_SHARE * d : -d / 2,
    places,
  };
}

/** Ground a piece covers, m2. */
function footprintM2(cut: Cut, massKg: number, thickness?: number): number {
  const volume = massKg / meatDensity(cut.composition, 5);
  return volume / ((thickness ?? usualThicknessMm(cut, massKg)) / 1000);
}

/** A piece as a rectangle, longer side first. */
export function footprintOf(cutId: string, massKg: number, thickness?: number): Footprint {
  const cut = cutOf(cutId);
  const area = footprintM2(cut, massKg, thickness);
  const widthM = Math.sqrt(area / cut.lengthOverWidth);
  return { lengthM: area / widthM, widthM };
}

/** Whether a rectangle lies on the ground that may be used. */
export function fitsOnGrate(grate: Grate, p: PlacedPiece): boolean {
  const { x, y, lengthM, widthM } = p;
  const [hl, hw] = [lengthM / 2, widthM / 2];
  if (x - hl < grate.clearFromX - 1e-9) return false;
  if (!grate.round) {
    return x + hl <= grate.lengthM / 2 + 1e-9 && Math.abs(y) + hw <= grate.depthM / 2 + 1e-9;
  }
  const r = Math.hypot(
    Math.abs(x) + hl * (1 - ROUND_CORNERS),
    Math.abs(y) + hw * (1 - ROUND_CORNERS),
  );
  return r <= grate.clearRadiusM + 1e-9;
}

/** Whether two pieces are a finger apart. */
export const areApart = (a: PlacedPiece, b: PlacedPiece): boolean =>
  Math.abs(a.x - b.x) >= (a.lengthM + b.lengthM) / 2 + GAP_M - 1e-9 ||
  Math.abs(a.y - b.y) >= (a.widthM + b.widthM) / 2 + GAP_M - 1e-9;

/** Steps of the search for a free place, m. */
const STEP_M = 0.01;

/**
 * Lays pieces one after another, the largest first, turned if that fits better: about the middle where all
 * have room there, else from the side away from the fire, and round those that lie already. Entries are null
 * where a piece has no room.
 */
export function arrangePieces(
  grate: Grate,
  pieces: readonly Footprint[],
  there: readonly PlacedPiece[] = [],
): (PlacedPiece | null)[] {
  const order = pieces.map((_, i) => i).sort((a, b) => area(pieces[b]!) - area(pieces[a]!));
  const spots = spotsOf(grate);
  const about = (grate.clearFromX + grate.lengthM / 2) / 2;
  const off = ([x, y]: [number, number]): number => Math.hypot(x - about, y);
  const middle = placeInOrder(
    grate,
    pieces,
    order,
    [...spots].sort((a, b) => off(a) - off(b)),
    there,
  );
  if (middle.every(Boolean)) {
    return there.length > 0 ? middle : centrePieces(grate, middle as PlacedPiece[], about);
  }
  const edge = placeInOrder(grate, pieces, order, spots, there);
  const fits = (laid: (PlacedPiece | null)[]): number => laid.filter(Boolean).length;
  return fits(edge) > fits(middle) ? edge : middle;
}

/** All pieces moved together so that they lie about the middle, where that keeps them off the fire. */
function centrePieces(grate: Grate, laid: PlacedPiece[], about: number): PlacedPiece[] {
  const dx = mean(laid.map((p) => p.x)) - about;
  const dy = mean(laid.map((p) => p.y));
  const moved = laid.map((p) => ({ ...p, x: p.x - dx, y: p.y - dy }));
  return moved.every((p) => fitsOnGrate(grate, p)) ? moved : laid;
}

function placeInOrder(
  grate: Grate,
  pieces: readonly Footprint[],
  order: readonly number[],
  spots: readonly [number, number][],
  there: readonly PlacedPiece[],
): (PlacedPiece | null)[] {
  const laid: (PlacedPiece | null)[] = pieces.map(() => null);
  const down: PlacedPiece[] = [...there];
  let full = Infinity;
  for (const i of order) {
    // Pieces as large as one that had no room have none either.
    if (area(pieces[i]!) >= full - 1e-9) continue;
    const found = placeOne(grate, pieces[i]!, down, spots);
    laid[i] = found;
    if (found) down.push(found);
    else full = area(pieces[i]!);
  }
  return laid;
}

const area = (p: Footprint): number => p.lengthM * p.widthM;

function spotsOf(grate: Grate): [number, number][] {
  const spots: [number, number][] = [];
  const [nx, ny] = [Math.floor(grate.lengthM / 2 / STEP_M), Math.floor(grate.depthM / 2 / STEP_M)];
  for (let i = -nx; i <= nx; i++)
    for (let j = -ny; j <= ny; j++) spots.push([i * STEP_M, j * STEP_M]);
  // Round: from the far side inwards; long: from the far end.
  return spots.sort((a, b) => b[0] - a[0] || a[1] - b[1]);
}

function placeOne(
  grate: Grate,
  piece: Footprint,
  down: readonly PlacedPiece[],
  spots: readonly [number, number][],
): PlacedPiece | null {
  const turned = { lengthM: piece.widthM, widthM: piece.lengthM };
  for (const [x, y] of spots) {
    for (const f of [turned, piece]) {
      const laid = { x, y, ...f };
      if (fitsOnGrate(grate, laid) && down.every((d) => areApart(d, laid))) return laid;
    }
  }
  return null;
}

/** A footprint put down somewhere, lengthwise or turned by a quarter. */
export const placedAt = (foot: Footprint, x: number, y: number, turned = false): PlacedPiece => ({
  x,
  y,
  lengthM: turned ? foot.widthM : foot.lengthM,
  widthM: turned ? foot.lengthM : foot.widthM,
});

/** What is wrong with a piece there, beside the others: over the fire or off the grate, or touching. */
export const placementProblem = (
  grate: Grate,
  piece: PlacedPiece,
  others: readonly PlacedPiece[],
): 'off-ground' | 'touching' | null =>
  !fitsOnGrate(grate, piece)
    ? 'off-ground'
    : others.some((o) => !areApart(o, piece))
      ? 'touching'
      : null;

/** The engine's place for a spot of the grate. */
export function gratePlaceAt(grate: Grate, x: number): Place {
  const at = (x + grate.lengthM / 2) / grate.lengthM;
  if (grate.places.includes('near')) return at < 0.36 ? 'near' : at > 0.7 ? 'far' : 'middle';
  if (!grate.places.includes('away')) return 'middle';
  return grate.clearFromX > -grate.lengthM / 2 + 1e-6 && at > 0.72 ? 'away' : 'middle';
}

/** Most pieces alike that fit. */
export function piecesThatFit(
  preset: Preset,
  arrangement: ArrangementId,
  cut: Cut,
  massKg: number,
  thickness?: number,
): number {
  const one = footprintOf(cut.id, massKg, thickness);
  const grate = grateOf(preset, arrangement);
  const most = Math.ceil(((Math.PI / 4) * preset.grateDiameterM ** 2) / area(one)) + 1;
  return arrangePieces(
    grate,
    Array.from({ length: Math.min(most, 80) }, () => one),
  ).filter(Boolean).length;
}
