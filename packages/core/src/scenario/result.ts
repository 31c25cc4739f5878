/** The result document as plain types; names as in the open format (docs/formats.md). */
import type { Place } from '../pit/layout';
import type { CautionId } from '../safety/cautions';
import type { Happening } from './actions';

export type Smoke = 'clear' | 'thin-blue' | 'white' | 'dark';

/** What may harm who eats it. */
export interface MeatCaution {
  id: CautionId;
  /** The first minute after lighting at which it applies. */
  atMin: number;
}

export interface MeatResult {
  /** The meat, by its id. */
  id: string;
  /** Middle of the piece, C; null while it is not on. */
  coreC: (number | null)[];
  /** Face, C. */
  surfaceC: (number | null)[];
  /** Mass of one piece, kg. */
  massKg: (number | null)[];
  /** Tenderness; 1 probes tender. */
  tenderness: (number | null)[];
  /** Bark; 1 is set. */
  bark: (number | null)[];
  /** How wet the bare face is, 0 dry to 1 running off. */
  wet: (number | null)[];
  /** Salmonella reduction at the slowest point, log10, by the table of intact red meat. */
  logReduction: (number | null)[];
  /** Smoke taken up so far: gram-minutes per m3, weighed by the wood and by how well it sticks. */
  smokeTaken: (number | null)[];
  /** When it was first wrapped, min after lighting; null when never. */
  wrappedAtMin: number | null;
  /** When it was sprayed, brushed with sauce and bared by its rules, min after lighting. */
  sprayedAtMin: number[];
  saucedAtMin: number | null;
  baredAtMin: number | null;
  /** When it stalled, min after lighting; null when it did not. */
  stall: { fromMin: number; toMin: number } | null;
  /** When it was done, min after lighting; null when not. */
  doneAtMin: number | null;
  /** When it was tender, min after lighting; null when not. */
  tenderAtMin: number | null;
  /** When it was safe, min after lighting; null when not. */
  safeAtMin: number | null;
  /** When its sauce had set, min after lighting; null when it has not. */
  sauceSetAtMin: number | null;
  /** Minutes between 5 and 60 C. */
  lingering: { surfaceMin: number; centreMin: number };
  /** While resting: still hot at the face (57 C or more), and minutes it was not. */
  hold: { state: 'hot' | 'cooling'; coolMin: number } | null;
  /** Cautions, each once, with the minute after lighting from which it applies. */
  cautions: MeatCaution[];
}

export interface Result {
  /** Kind and version of the document. */
  ostrin: 'result/1';
  /** Minutes after lighting of each row. */
  minutes: number[];
  /** Pit at its probe, C. */
  pitC: (number | null)[];
  /** Under the lid, C. */
  domeC: (number | null)[];
  /** Coals, C. */
  fireC: (number | null)[];
  /** Each place of the grate, C. */
  grate: { at: Place; C: (number | null)[] }[];
  /** How the smoke looks. */
  smoke: Smoke[];
  /** Unburnt volatiles in the exhaust, g/m3. */
  smokeUnburntGPerM3: (number | null)[];
  /** Oxygen at the coals, share by mass, and air drawn through the pit, g/s. */
  oxygenFraction: (number | null)[];
  /** Air drawn through the pit, g/s. */
  draughtGPerS: (number | null)[];
  /** Where the front of the snake is, degrees from the lit end. */
  frontDegrees: (number | null)[];
  /** Where its burning part begins: behind it lies ash. */
  tailDegrees: (number | null)[];
  /** Each meat. */
  meats: MeatResult[];
  /** What became of the fuel. */
  fuel: {
    startedKg: number;
    addedKg: number;
    burnedKg: number;
    leftKg: number;
    unlitKg: number;
    /** Splits and chunks, kg dry. */
    woodGivenKg: number;
    woodLeftKg: number;
    waterLeftKg: number;
    ashKg: number;
    outAtMin: number | null;
  };
  /** What the ledgers cannot account for, shares of what went in. */
  balance: { energyResidualFraction: number; massResidualFraction: number };
  /** What happened, in order of time. */
  happened: Happening[];
  /** Smoke taken up by the food's place, gram-minutes per m3 weighed by the wood's strength. */
  smokeDose: number | null;
  /** Charcoal left unlit and lit, whole pieces of the first fuel; splits still burning. */
  piecesLeft: { unlit: number; lit: number; splits: number } | null;
}

/** The piece of a cook of one piece. Throws RangeError where there are none or several. */
export function onlyPiece<M>({ meats }: { meats: readonly M[] }): M {
  const [piece, ...others] = meats;
  if (piece === undefined || others.length > 0)
    throw new RangeError(`one piece was expected, not ${meats.length}`);
  return piece;
}
