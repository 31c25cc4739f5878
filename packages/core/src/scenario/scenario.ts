/** The scenario document as plain types; names as in the open format (docs/formats.md). */
import type { RestWhere } from '../meat/rest';
import type { WrapId } from '../meat/wraps';
import type { Place } from '../pit/layout';
import type { CookerParameters } from '../pit/parameters';
import type { Action } from './actions';
import type { FireSpec } from '../fire/fireSpec';
import type { Weather } from '../air/weather';

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
