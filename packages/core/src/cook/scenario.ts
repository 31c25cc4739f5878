/** The scenario and result documents as plain types; names as in the open format (docs/formats.md). */
import type { CharcoalId, WoodId } from '../fuel/catalogue';
import type { Pit } from '../pit/types';
import type { WrapId } from '../meat/wraps';

export interface Weather {
  atMin?: number;
  airC: number;
  windMps: number;
  relativeHumidityFraction: number;
  altitudeM: number;
  rainMmPerH: number;
}

export interface WoodChunkSpec {
  species: WoodId;
  massG: number;
  atArcDegrees: number;
}

export interface FireSpec {
  arrangement: 'snake';
  fuel: CharcoalId;
  side: number;
  layers: number;
  arcDegrees: number;
  litPieces: number;
  litAtMin: number;
  woodChunks: WoodChunkSpec[];
}

/** What somebody does at a minute. Undo and corrections are the log's business, not the engine's. */
export type Action = { atMin: number } & (
  | { do: 'set-vents'; intakeFraction: number; exhaustFraction: number }
  | { do: 'lid-open'; seconds: number }
  | { do: 'add-fuel'; fuel: CharcoalId; pieces: number; lit: boolean }
  | { do: 'add-wood'; species: WoodId; massG: number }
  | { do: 'meat-on'; meat: string }
  | { do: 'meat-off'; meat: string }
  | { do: 'wrap'; meat: string; with: WrapId }
  | { do: 'unwrap'; meat: string }
);

export type WrapWhen =
  { coreC: number } | { atMin: number } | { stalled: true } | { barkSet: true };

export type RestWhere = 'open' | 'counter' | 'cool-box';

export interface MeatSpec {
  id: string;
  cut: string;
  /** How many alike pieces this stands for; 1 when left out. */
  count?: number;
  /** Mass of one piece. */
  massKg: number;
  thicknessMm?: number;
  startC: number;
  wrap?: { with: WrapId; when: WrapWhen };
  done?: { coreC: number } | { tender: true };
  rest?: { where: RestWhere; minutes: number };
}

export type Control =
  | { mode: 'vents'; targetC?: number }
  | {
      mode: 'held';
      targetC?: number;
      schedule: { atMin: number; pitC: number }[];
      pitHumidity?: { dewPointC: number };
      airSpeedMps?: number;
    };

export interface Scenario {
  ostrin: 'scenario/1';
  cooker: { preset: string; overrides: Partial<Pit> };
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
  wrappedAtMin: number | null;
  stall: { fromMin: number; toMin: number } | null;
  doneAtMin: number | null;
  tenderAtMin: number | null;
  safeAtMin: number | null;
  cautions: string[];
}

export interface Result {
  ostrin: 'result/1';
  minutes: number[];
  pitC: (number | null)[];
  domeC: (number | null)[];
  fireC: (number | null)[];
  grate: { at: 'middle'; C: (number | null)[] }[];
  smoke: Smoke[];
  smokeUnburntGPerM3: (number | null)[];
  /** Where the front of the snake is, degrees from the lit end. */
  frontDegrees: (number | null)[];
  meats: MeatResult[];
  fuel: {
    startedKg: number;
    addedKg: number;
    burnedKg: number;
    leftKg: number;
    ashKg: number;
    outAtMin: number | null;
  };
  balance: { energyResidualFraction: number; massResidualFraction: number };
  happened: Action[];
}

/** The weather in force at a minute: the last entry that has begun, or the first. */
export function weatherAt(weather: Weather | Weather[], atMin: number): Weather {
  if (!Array.isArray(weather)) return weather;
  let current = weather[0]!;
  for (const w of weather) if ((w.atMin ?? 0) <= atMin) current = w;
  return current;
}
