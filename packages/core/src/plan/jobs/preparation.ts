/** What is done to a piece before it goes on: a card for each meat, as codes and figures (common practice; see meat/handling). */
import { cutOf } from '../../meat/cuts';
import { handlingOf, MEMBRANE_STAYS_FROM_C } from '../../meat/handling';
import type { CookerTraits } from '../../pit/preset';
import { presetOf } from '../../pit/catalogue';
import { sugarCaution } from '../../safety/cautions';
import type { FatSide, Preparation } from '../document/preparation';
import { footprintOf } from '../grate/grate';
import { requestedMassKg } from '../request/amount';
import { pitFor } from '../request/pitFor';
import type { Amount, Request, RequestMeat } from '../request/types';

/** Where the heat comes from in a cooker decides which way the fat cap lies; ribs lie on their bones (common practice). */
function fatSideOf(cut: string, cooker: CookerTraits): FatSide | null {
  const { fatLeftMm, membrane } = handlingOf(cut);
  const { sideFirebox, reverseFlow, meatPlacement } = cooker;
  if (membrane !== 'none') return 'bones-down';
  if (fatLeftMm === null) return null;
  if (sideFirebox) return reverseFlow ? 'down' : 'up-thick-end-to-fire';
  // Beside a fire in the same bowl it comes back from the lid; from under a deflector, a pan or a plate it rises.
  return meatPlacement === 'away-from-fire' ? 'up' : 'down';
}

/** The cards of a request, one for each meat; `amounts` in the same order. */
export const preparationOf = (request: Request, amounts: readonly Amount[]): Preparation[] =>
  request.meats.map((meat, i) => cardOf(request, meat, amounts[i]!));

function cardOf(request: Request, meat: RequestMeat, amount: Amount): Preparation {
  const pit = pitFor(request, meat.pit);
  const { pitC } = pit.pace;
  const cut = cutOf(meat.cut);
  const how = handlingOf(meat.cut);
  const massKg = requestedMassKg(meat);
  const { lengthM, widthM } = footprintOf(meat.cut, massKg, meat.thicknessMm);
  return {
    meat: meat.id,
    cut: meat.cut,
    pieces: amount.pieces,
    massKg,
    rawKg: amount.rawKg,
    trimFraction: cut.trimRange,
    fatLeftMm: how.fatLeftMm,
    trim: how.trim,
    membrane: how.membrane === 'off' && pitC >= MEMBRANE_STAYS_FROM_C ? 'may-stay' : how.membrane,
    treat: how.treat,
    lengthM,
    widthM,
    salt: how.saltGPerKg === null ? null : saltOf(how.saltGPerKg, how.saltWithinHour, meat, massKg),
    inject:
      meat.injected && how.injectMlPerKg !== null
        ? { mlPerKg: how.injectMlPerKg, ml: how.injectMlPerKg * massKg }
        : null,
    sugar: sugarCaution(pitC),
    fatSide: fatSideOf(meat.cut, presetOf(pit.cooker.preset).traits),
  };
}

/** What is salted ahead waits for the night; a brine brings its own, and what comes seasoned needs none. */
function saltOf(
  gPerKg: number,
  withinHour: boolean,
  { prepare }: RequestMeat,
  massKg: number,
): Preparation['salt'] {
  if (prepare === 'as-is') return null;
  const when =
    prepare === 'brine' ? 'in-brine' : withinHour || prepare === 'season' ? 'hour' : 'overnight';
  return { gPerKg, g: gPerKg * massKg, when };
}
