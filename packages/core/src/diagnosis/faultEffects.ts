/** What can be done to a cook by what goes wrong: openings, weather, a cold piece, burning fat, a probe that moved. */
import { createCookingPiece } from '../cook/cookingPiece';
import type { Cook } from '../cook/state';

/** Openings of one kind made so many times as wide. */
export function widen({ pit }: Cook, kind: 'leak' | 'intake', times: number): void {
  const { layout } = pit!;
  pit!.layout = {
    ...layout,
    openings: layout.openings.map((o) =>
      o.kind === kind ? { ...o, areaM2: o.areaM2 * times } : o,
    ),
  };
}

/** The weather with more wind, m/s, and rain, mm/h. */
export function storm(cook: Cook, windMps: number, rainMmPerH: number): void {
  const { weather } = cook.scenario;
  cook.scenario = {
    ...cook.scenario,
    weather: (Array.isArray(weather) ? weather : [weather]).map((w) => ({
      ...w,
      windMps: w.windMps + windMps,
      rainMmPerH: w.rainMmPerH + rainMmPerH,
    })),
  };
}

/** Puts one more cold piece of so many kg on, like the first. */
export function putColdPieceOn(cook: Cook, massKg: number): void {
  const piece = createCookingPiece({ ...cook.pieces[0]!.spec, id: 'cold', massKg, startC: 4 });
  piece.stage = 'on';
  cook.pieces = [...cook.pieces, piece];
}

/** Heat of burning fat: gas and the face of every wall are hotter at once. */
export function heatUp({ pit }: Cook, k: number): void {
  const { layout, tempK, inner } = pit!;
  for (let zone = 0; zone < layout.zones.length; zone++) tempK[zone]! += k;
  for (const node of inner) tempK[node]! += k;
}

/** What a probe reads that takes the temperature of another place, `since` minutes after it moved. */
export const settling = (c: number, placeC: number, since: number): number =>
  placeC + (c - placeC) * Math.exp(-since / PROBE_COOLS_MIN);

/** How fast a probe that has fallen off takes the temperature of where it lies, min. */
const PROBE_COOLS_MIN = 2;
