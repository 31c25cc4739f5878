/** The scenario document as plain types; names as in the open format (docs/formats.md). */
import type { RestSpec } from '../meat/rest';
import type { WrapId } from '../meat/wraps';
import type { Place } from '../pit/layout';
import type { CookerParameters } from '../pit/parameters';
import type { Action } from './actions';
import type { FireSpec } from '../fire/fireSpec';
import type { Weather } from '../air/weather';

/** `atMin` after lighting, `onForMin` after it went on. */
export type WrapWhen =
  | { coreC: number }
  | { atMin: number }
  | { onForMin: number }
  | { stalled: true }
  | { barkSet: true };

export interface MeatSpec {
  /** Its name in actions. */
  id: string;
  /** A cut of the catalogue. */
  cut: string;
  /** How many alike pieces this stands for; 1 when left out. */
  count?: number;
  /** Mass of one piece. */
  massKg: number;
  /** Thickness through the thickest part, mm; the cut's usual one when left out. */
  thicknessMm?: number;
  /** Temperature when it goes on, C. */
  startC: number;
  /** Its place on the grate; where the probe sits when left out. */
  at?: Place;
  /** Injected, pinned or blade-tenderised: not intact. */
  injected?: boolean;
  /** A probe went in before the face was hot: it carried what was on the face inside. */
  probedEarly?: boolean;
  /**
   * Left out `when`: wrapped by hand only. `liquidKg` goes into a boat or pan. Bared again about `bareLastMin` before it
   * is done, min, so that its bark firms up.
   */
  wrap?: { with: WrapId; when?: WrapWhen; liquidKg?: number; bareLastMin?: number };
  /** Sprayed while it is bare: from when its bark is firm, or first so long after it went on, so often, at most so many times. */
  spray?: { everyMin: number; firstMin?: number; most?: number };
  /** Brushed with sauce about so long before it is done, min. */
  sauce?: { lastMin: number };
  /** Spraying, brushing and baring go by their rules from this minute on, after lighting; before it only what was done counts. */
  rulesFromMin?: number;
  /** When it is done. */
  done?: { coreC: number } | { tender: true };
  /** Where and how long it rests. */
  rest?: RestSpec;
}

/** A second pace: from when the first piece is so far, the pit is held at another temperature, C. */
export interface SecondPace {
  targetC: number;
  when: PaceWhen;
}
/** When the first piece's middle reads so much, C, or its bark is firm. */
export type PaceWhen = { coreC: number } | { barkFirm: true };

export type Control =
  | { mode: 'vents'; targetC?: number; then?: SecondPace }
  | { mode: 'fan' | 'tended'; targetC: number; then?: SecondPace }
  | {
      mode: 'held';
      targetC?: number;
      schedule: { atMin: number; pitC: number }[];
      pitHumidity?: { dewPointC: number };
      airSpeedMps?: number;
    };

export interface Scenario {
  /** Kind and version of the document. */
  ostrin: 'scenario/1';
  /** The cooker. */
  cooker: { preset: string; overrides: Partial<CookerParameters> };
  /** The fire; none where the air is given. */
  fire?: FireSpec;
  /** The weather. */
  weather: Weather | Weather[];
  /** What holds the pit. */
  control: Control;
  /** What is done, in any order. */
  actions: Action[];
  /** The meats. */
  meats: MeatSpec[];
  /** Length of the cook, min. */
  untilMin: number;
  /** Minutes from one row of the result to the next. */
  everyMin: number;
}
