/** The scenario and result documents as plain types; names as in the open format (docs/formats.md). */
import { CHARCOALS, type CharcoalId, type WoodId } from '../fuel/catalogue';
import type { CookerParameters, Place } from '../pit/types';
import type { Weather } from './weather';
import type { FireSpec } from './fireSpec';
import type { RestWhere } from '../meat/rest';
import type { WrapId } from '../meat/wraps';

/** Charcoal or splits put on. `massKg` is all of it; charcoal may be counted in pieces instead. */
export interface AddFuel {
  do: 'add-fuel';
  fuel: CharcoalId | 'splits';
  pieces: number;
  massKg?: number;
  lit: boolean;
  /** Splits: wood, moisture (wet basis), and whether they lay warming on the firebox. */
  species?: WoodId;
  moistureFraction?: number;
  preheated?: boolean;
}

/** Charcoal put on, kg as bought; 0 for splits. */
export const charcoalKg = (a: Omit<AddFuel, 'do'>): number =>
  a.fuel === 'splits' ? 0 : (a.massKg ?? a.pieces * CHARCOALS[a.fuel].pieceKg);

/** What somebody does at a minute. Undo and corrections are the log's business, not the engine's. */
export type Action = { atMin: number } & (
  | { do: 'set-vents'; intakeFraction: number; exhaustFraction: number }
  | { do: 'lid-open'; seconds: number }
  | { do: 'door'; openFraction: number; seconds?: number }
  | AddFuel
  | { do: 'add-wood'; species: WoodId; massG: number; moistureFraction?: number }
  | { do: 'rake' }
  | { do: 'fill-water'; massKg: number }
  | { do: 'meat-on'; meat: string }
  | { do: 'meat-off'; meat: string }
  | { do: 'turn'; meat: string }
  | { do: 'spritz'; meat: string }
  | { do: 'sauce'; meat: string }
  | { do: 'move'; meat: string; to: Place }
  | { do: 'oven-finish'; meat: string; atC: number }
  | { do: 'wrap'; meat: string; with: WrapId; liquidKg?: number }
  | { do: 'unwrap'; meat: string }
  | { do: 'set-target'; targetC: number }
  | { do: 'fan'; on: boolean }
);

/** What is told of a cook besides what somebody did. */
export type Happening = Action | { atMin: number; do: 'flare' | 'pan-dry' | 'fire-out' };

export type WrapWhen =
  { coreC: number } | { atMin: number } | { stalled: true } | { barkSet: true };

export interface MeatSpec {
  id: string;
  cut: string;
  /** How many alike pieces this stands for; 1 when left out. */
  count?: number;
  /** Mass of one piece. */
  massKg: number;
  thicknessMm?: number;
  startC: number;
  /** Its place on the grate; where the probe sits when left out. */
  at?: Place;
  /** Injected, pinned or blade-tenderised: not intact. */
  injected?: boolean;
  /** A probe went in before the face was hot: it carried what was on the face inside. */
  probedEarly?: boolean;
  /** Left out `when`: wrapped by hand only. `liquidKg` goes into a boat or pan. */
  wrap?: { with: WrapId; when?: WrapWhen; liquidKg?: number };
  done?: { coreC: number } | { tender: true };
  /** `atC` of a warmer or an oven. */
  rest?: { where: RestWhere; minutes: number; atC?: number };
}

export type Control =
  | { mode: 'vents'; targetC?: number }
  | { mode: 'fan' | 'tended'; targetC: number }
  | {
      mode: 'held';
      targetC?: number;
      schedule: { atMin: number; pitC: number }[];
      pitHumidity?: { dewPointC: number };
      airSpeedMps?: number;
    };

export interface Scenario {
  ostrin: 'scenario/1';
  cooker: { preset: string; overrides: Partial<CookerParameters> };
  fire?: FireSpec;
  weather: Weather | Weather[];
  control: Control;
  actions: Action[];
  meats: MeatSpec[];
  untilMin: number;
  everyMin: number;
}

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
  cautions: string[];
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
