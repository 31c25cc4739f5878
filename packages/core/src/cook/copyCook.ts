/** A copy of a cook that can be run on by itself, without the rows recorded so far. */
import { emptyMeatResult } from './meatResult';
import { emptySeries } from './result';
import type { Cook, CookingPiece } from './state';

/** Never reached: copies record nothing. */
const NO_ROWS = 1e9;

/**
 * The same cook at the same moment, tended by nobody and with nothing still to come. What never changes (layout,
 * arrangement, the scenario) is shared; it records no rows of its own.
 */
export function copyCook(cook: Cook): Cook {
  const { scenario, airTrace, pit, pieces, fan, foodLoad } = cook;
  const { layout: _layout, arrangement: _arrangement, ...burning } = pit ?? {};
  return {
    ...cook,
    scenario: { ...scenario, everyMin: NO_ROWS },
    airTrace,
    pit: pit && { ...pit, ...structuredClone(burning) },
    fan: fan && { ...fan },
    operator: null,
    pieces: pieces.map(copyPiece),
    foodLoad: structuredClone(foodLoad),
    pending: [],
    happened: [],
    fuel: { ...cook.fuel },
    result: emptySeries(pit?.layout.positions.map((p) => p.at) ?? ['middle']),
  };
}

/** The same piece at the same moment, without the rows recorded so far. */
export function copyPiece({
  spec,
  result,
  piece: { cut, ...piece },
  ...rest
}: CookingPiece): CookingPiece {
  return {
    ...structuredClone(rest),
    spec,
    piece: { ...structuredClone(piece), cut },
    result: {
      ...emptyMeatResult(result.id),
      wrappedAtMin: result.wrappedAtMin,
      sprayedAtMin: [...result.sprayedAtMin],
      saucedAtMin: result.saucedAtMin,
      baredAtMin: result.baredAtMin,
      stall: result.stall,
      doneAtMin: result.doneAtMin,
      tenderAtMin: result.tenderAtMin,
      safeAtMin: result.safeAtMin,
    },
  };
}
