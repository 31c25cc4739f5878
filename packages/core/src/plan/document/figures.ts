/**
 * What a plan says, as codes and figures. The wording package makes the sentences of the plan document
 * from them, in the user's units and the pit's own vents.
 */
import type { CharcoalId, FuelId, WoodId } from '../../fuel/catalogue';
import type { SpraySchool } from '../../meat/usualTreatment';
import type { WrapId } from '../../meat/wraps';
import type { CautionId } from '../../safety/cautions';
import type { FireSpec } from '../../fire/fireSpec';
import type { RestSpec } from '../../meat/rest';
import type { Hold, HoldEnd } from './hold';
import type { Feeding, Plan, PlannedFire, PlanJob, PlanVents } from './plan';
import type { PaceWhen, WrapWhen } from '../../scenario/scenario';
import type { Gauge } from '../request/types';
import type { ProblemFigures } from './problems';
import type { KitId, PreparationFigures } from './preparation';

/** The first move when a pit settles off its target. */
export type FirstMove =
  /** Other openings, 0 to 1, that its owner can tell from the present ones. */
  | { do: 'set-vents'; intake: number; exhaust: number }
  /** The vents are at the end of their travel. */
  | { do: 'nothing-left'; whenHigh: boolean }
  /** Lighter or heavier splits; the exhaust is closed to `exhaust` first, where that helps. */
  | { do: 'other-splits'; lighter: boolean; exhaust: number | null }
  /** A fan holds the target: look for what keeps it from doing so. */
  | { do: 'look-at-fan'; whenHigh: boolean };

/** Pieces of one cut. */
export interface NamedPiece {
  cut: string;
  pieces: number;
  /** Tells several meats of one cut apart; left out where there is one. */
  number?: number;
}

/** What a job is about; temperatures in C, masses in kg, openings 0 to 1. */
export type JobFacts =
  | { kind: 'lay-fire'; fire: FireSpec; loadKg: number; kit: KitId[] }
  | { kind: 'light'; fire: FireSpec }
  | {
      kind: 'bring-up';
      onSnake: boolean;
      underFan: boolean;
      targetC: number;
      intake: number;
      exhaust: number;
    }
  /** `gauge`: what it is read by besides a probe at the grate, and how much more the lid reads than the grate, K. */
  | {
      kind: 'hold';
      intake: number;
      exhaust: number;
      closeAtC: number;
      targetC: number;
      gauge: { by: Gauge; lidOverK: number } | null;
      /** What its thermometer at the grate reads too much, K; 0 where that is not known. */
      probeOffsetK: number;
    }
  /** The setting expected by then, and what to try first where the pit stands high or low all the same. */
  | {
      kind: 'trim';
      intake: number;
      exhaust: number;
      targetC: number;
      bandC: number;
      moves: { high: FirstMove; low: FirstMove };
    }
  /** The second pace: vents that should hold it, where vents do. */
  | {
      kind: 'second-pace';
      fromC: number;
      targetC: number;
      when: PaceWhen;
      underFan: boolean;
      onSplits: boolean;
      vents: { intake: number; exhaust: number } | null;
    }
  | {
      kind: 'feed';
      split: { kg: number; species?: WoodId } | null;
      charcoal: { fuel: CharcoalId; kg: number } | null;
      onSnake: boolean;
      handFed: boolean;
      /** Only wanted where the meat is slow. */
      ifSlow: boolean;
    }
  /** `leftKg`: charcoal that should be left over. */
  | { kind: 'shut-down'; underFan: boolean; leftKg: number }
  /** `barkMin`: its bark is firm so long after it went on, min; null where it never does. */
  | ({ kind: 'meat-on'; barkMin: number | null } & NamedPiece)
  /** `costMin`: what each such look costs, min; told once. */
  | ({ kind: 'spray'; first: boolean; school: SpraySchool; costMin: number | null } & NamedPiece)
  /** Bared again for so many minutes. */
  | ({ kind: 'bare'; with: WrapId; minutes: number } & NamedPiece)
  | ({ kind: 'sauce' } & NamedPiece)
  | { kind: 'turn-grate' }
  /** Smoke wood put on again: into the ash pan, past the edge of a deflector, or beside the coals. */
  | { kind: 'smoke-again'; species: WoodId; massG: number; onto: 'ash-pan' | 'edge' | 'coals' }
  /** Uneven pieces: the quickest and the slowest change places. */
  | { kind: 'swap-pieces'; quickest: NamedPiece; slowest: NamedPiece }
  /** The end at the fire is hotter by so much, K. */
  | { kind: 'swap-ends'; hotterK: number; slowest: NamedPiece | null }
  | ({ kind: 'wrap'; with: WrapId; when: WrapWhen; liquidKg: number | null } & NamedPiece)
  /** `plateC`: what it climbs to while it rests; null where nobody asked for it. */
  | ({
      kind: 'check';
      done: { coreC: number } | { tender: true };
      plateC: number | null;
    } & NamedPiece)
  /** `holdsMin`: how long it waits well where it rests, min; `ends`: what ends that, where the simulated piece tells it. */
  | ({
      kind: 'meat-off';
      wrap: WrapId;
      rest: RestSpec;
      holdsMin: number;
      ends: HoldEnd | null;
    } & NamedPiece)
  | { kind: 'serve'; people: number; cuts: string[]; rawKg: number }
  | { kind: 'serve-course'; cuts: string[]; rawKg: number }
  | ({ kind: 'season'; thick: boolean } & NamedPiece)
  | ({ kind: 'salt'; brine: boolean; hours: number } & NamedPiece)
  | ({ kind: 'thaw'; hours: number } & NamedPiece)
  | { kind: 'shop'; fetch: ShoppingFigures[] };

export interface JobFigures extends Omit<PlanJob, 'inWords' | 'detail' | 'checklist'> {
  /** Its figures, by kind. */
  facts: JobFacts;
}

export type FeedingFigures = Omit<Feeding, 'inWords'>;

export interface FireFigures extends Omit<PlannedFire, 'inWords' | 'feeding'> {
  /** The fire as it is built. */
  spec: FireSpec;
  /** Pieces that lengthen a snake by an hour; null for other fires. */
  hourPieces: number | null;
  /** How it is fed. */
  feeding: FeedingFigures[];
}

export interface VentFigures extends Omit<PlanVents, 'inWords' | 'ifHigh' | 'ifLow'> {
  /** The fan's set point, C; null where nothing but the vents holds the pit. */
  fanTargetC: number | null;
  /** The setting that should hold the target; the later ones follow the weather. */
  first: boolean;
  /** What to try first when it settles high and when it settles low; of the first setting only. */
  moves: { high: FirstMove; low: FirstMove } | null;
}

/** Something to have for a plan. */
export type ShoppingFigures =
  | ({
      kind: 'meat';
      /** Mass of one trimmed piece, kg. */
      eachKg: number;
      /** Raw as bought, all pieces, kg: low and high. */
      rawKg: [number, number];
      frozen: boolean;
    } & NamedPiece)
  | {
      kind: 'fuel';
      fuel: FuelId | 'chunks';
      species: WoodId;
      kg: number;
      /** On the shelf, and still to be bought, kg; null where the shelf was not told. */
      shelfKg: number | null;
      missingKg: number;
      /** Bags to buy, each holding so much, kg, and their cost; null where no price was told. */
      bags: { count: number; eachKg: number; cost: number } | null;
    };

/** What could go wrong. */
export type RiskFacts =
  | {
      kind: 'settles-off';
      high: boolean;
      /** From this far off the target on, K. */
      offK: number;
      targetC: number;
      first: FirstMove;
      waitMin: number;
    }
  | { kind: 'white-split' }
  | {
      kind: 'short-of-fuel';
      /** The fuel is burnt about so long after lighting, min. */
      lastsMin: number;
      canTopUp: boolean;
      kgPerMin: number;
    }
  | {
      kind: 'late';
      cut: string;
      /** After so long on the pit it should be past its stall, min. */
      behindAfterMin: number;
      /** Whether pieces of it stall at this heat. */
      stalls: boolean;
      canWrap: boolean;
      inHundred: number;
      spreadMin: number;
    }
  | {
      kind: 'early';
      cut: string;
      holdMin: number;
      /** A place that keeps it longer, and how many in a hundred are in time there; null where none helps. */
      keep: { where: 'cool-box' | 'oven' | 'warmer'; inHundred: number } | null;
      spreadMin: number;
    }
  | { kind: 'pan-dry'; atMin: number; first: FirstMove }
  | { kind: 'runs-over'; overC: number }
  | { kind: 'fan-or-hopper-fails' }
  /** Fuel bridges in a hopper that no fan feeds. */
  | { kind: 'hopper-bridges' }
  /** A fan that was fitted has no power. */
  | { kind: 'fan-fails' };

export interface RiskFigures {
  /** The pit it is about. */
  pit: string;
  /** How likely, 0 to 1. */
  chanceFraction: number;
  /** Its figures, by kind. */
  facts: RiskFacts;
}

/** A way out, in the order to try. */
export type WayOut = 'hold-wrapped' | 'serve-sooner' | 'wrap-now' | 'pit-hotter' | 'finish-in-oven';

/** How a meat waits where it rests. */
export interface HoldFigures extends NamedPiece, Hold {
  /** The meat, by its id. */
  meat: string;
  /** Where it rests. */
  rest: RestSpec;
  /** When it comes off in the middle of the likely cooks, and the latest good hour after that: local times. */
  offAt: string;
  goodUntil: string;
}

/** A plan without its sentences. */
export interface PlanFigures extends Omit<
  Plan,
  | 'jobs'
  | 'fires'
  | 'vents'
  | 'shopping'
  | 'risks'
  | 'planB'
  | 'problems'
  | 'cautions'
  | 'preparation'
  | 'holds'
> {
  /** How each meat waits after it came off; empty for a rough answer. */
  holds: HoldFigures[];
  /** What is done to each meat before it goes on. */
  preparation: PreparationFigures[];
  /** The jobs. */
  jobs: JobFigures[];
  /** The fires, one for each pit. */
  fires: FireFigures[];
  /** Vent settings in order of time. */
  vents: VentFigures[];
  /** What to have and to buy. */
  shopping: ShoppingFigures[];
  /** The likeliest troubles. */
  risks: RiskFigures[];
  /** Ways out, in the order to try. */
  planB: WayOut[];
  /** What stands in the way; empty where nothing does. */
  problems: ProblemFigures[];
  /** Cautions, each once. */
  cautions: CautionId[];
}
