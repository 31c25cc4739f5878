/** The result document as plain types; names as in the open format (docs/formats.md). */
import type { Place } from '../pit/layout';
import type { CautionId } from '../safety/cautions';
import type { Happening } from './actions';

export type Smoke = 'clear' | 'thin-blue' | 'white' | 'dark';

export interface MeatResult {
  id: string;
  coreC: (number | null)[];
  surfaceC: (number | null)[];
  massKg: (number | null)[];
  tenderness: (number | null)[];
  bark: (number | null)[];
  /** How wet the bare face is, 0 dry to 1 running off. */
  wet: (number | null)[];
  /** Salmonella reduction at the slowest point, log10, by the table of intact red meat. */
  logReduction: (number | null)[];
  /** Smoke taken up so far: gram-minutes per m3, weighed by the wood and by how well it sticks. */
  smokeTaken: (number | null)[];
  wrappedAtMin: number | null;
  stall: { fromMin: number; toMin: number } | null;
  doneAtMin: number | null;
  tenderAtMin: number | null;
  safeAtMin: number | null;
  sauceSetAtMin: number | null;
  /** Minutes between 5 and 60 C. */
  lingering: { surfaceMin: number; centreMin: number };
  /** While resting: still hot at the face (57 C or more), and minutes it was not. */
  hold: { state: 'hot' | 'cooling'; coolMin: number } | null;
  cautions: CautionId[];
}

export interface Result {
  ostrin: 'result/1';
  minutes: number[];
  pitC: (number | null)[];
  domeC: (number | null)[];
  fireC: (number | null)[];
  grate: { at: Place; C: (number | null)[] }[];
  smoke: Smoke[];
  smokeUnburntGPerM3: (number | null)[];
  /** Oxygen at the coals, share by mass, and air drawn through the pit, g/s. */
  oxygenFraction: (number | null)[];
  draughtGPerS: (number | null)[];
  /** Where the front of the snake is, degrees from the lit end. */
  frontDegrees: (number | null)[];
  /** Where its burning part begins: behind it lies ash. */
  tailDegrees: (number | null)[];
  meats: MeatResult[];
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
  balance: { energyResidualFraction: number; massResidualFraction: number };
  happened: Happening[];
  /** Smoke taken up by the food's place, gram-minutes per m3 weighed by the wood's strength. */
  smokeDose: number | null;
  /** Charcoal left unlit and lit, whole pieces of the first fuel; splits still burning. */
  piecesLeft: { unlit: number; lit: number; splits: number } | null;
}
