/** What a plan says of each thing, as codes and figures: the wording package makes sentences of them. */
import type { VentOpenings } from '../../control/controlPolicy';
import type { CharcoalId, FuelId, WoodId } from '../../fuel/catalogue';
import type { SpraySchool } from '../../meat/usualTreatment';
import type { WrapId } from '../../meat/wraps';
import type { FireSpec } from '../../fire/fireSpec';
import type { RestSpec } from '../../meat/rest';
import type { PaceWhen, WrapWhen } from '../../scenario/scenario';
import type { Gauge } from '../request/types';
import type { HoldEnd } from './hold';
import type { KitId } from './preparation';

/** Sentences of a document from before plans were kept as figures: they stay as they were written. */
export interface AsWritten<Words> {
  kind: 'as-written';
  words: Words;
}

/** What a job says. */
export interface JobWords {
  /** The sentence. */
  inWords: string;
  /** How it is done, in a sentence or two. */
  detail: string;
  /** What to go through at it: what to have at hand, what to look for, in which order. */
  checklist?: { heading: string; items: string[] };
}

/** What is seen first, what to do then, and the figures behind it. */
export interface RiskWords {
  sign: string;
  move: string;
  why?: string;
}

/** What stands in the way, and what would make it possible. */
export interface ProblemWords {
  message: string;
  instead: string;
}

/** A card of a few lines. */
export interface CardWords {
  heading: string;
  lines: string[];
}

/** A line of the shopping list. */
export interface ShoppingWords {
  /** What it is. */
  item: string;
  /** How much the plan takes. */
  amount: string;
  /** What of it is on the shelf; left out where it is not known. */
  onShelf?: string;
  /** How much to buy. */
  buy?: string;
  /** What that costs, in the user's own money. */
  cost?: number;
}

/** The first move when a pit settles off its target. */
export type FirstMove =
  /** Other openings, 0 to 1, that its owner can tell from the present ones. */
  | { do: 'set-vents'; intake: number; exhaust: number }
  /** The vents are at the end of their travel. */
  | { do: 'nothing-left'; whenHigh: boolean }
  /** Lighter or heavier splits; the exhaust is closed to `exhaust` first, where that helps. */
  | { do: 'other-splits'; lighter: boolean; exhaust: number | null }
  /** A fan holds the target: look for what keeps it from doing so. */
  | { do: 'look-at-fan'; whenHigh: boolean }
  /** Of a document from before plans were kept as figures. */
  | { do: 'as-written'; inWords: string };

/** Pieces of one cut. */
export interface NamedPiece {
  cut: string;
  pieces: number;
  /** Tells several meats of one cut apart; left out where there is one. */
  number?: number;
}

/** What a job is about; temperatures in C, masses in kg, openings 0 to 1. */
export type JobFacts =
  | AsWritten<JobWords>
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
  /** A look by the rule of the plan: bounds from the target, and what its thermometer shows more than the grate has, K. */
  | {
      kind: 'look';
      targetC: number;
      overK: number;
      underK: number;
      readsOverK: number;
      /** The settings a notch away from where the vents stand; left out where that is not known, null at the last notch. */
      tighter?: VentOpenings | null;
      wider?: VentOpenings | null;
    }
  /** Of a document from before rules: the setting expected by then, and what to try first where it stands high or low. */
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
  /** Food that was added during the cook comes off. */
  | ({ kind: 'food-off'; done: { coreC: number } | { tender: true } } & NamedPiece)
  | { kind: 'serve'; people: number; cuts: string[]; rawKg: number }
  | { kind: 'serve-course'; cuts: string[]; rawKg: number }
  | ({ kind: 'season'; thick: boolean } & NamedPiece)
  | ({ kind: 'salt'; brine: boolean; hours: number } & NamedPiece)
  | ({ kind: 'thaw'; hours: number } & NamedPiece)
  | { kind: 'shop'; fetch: Shopping[] };

/** Something to have for a plan. */
export type Shopping =
  | AsWritten<ShoppingWords>
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
      /** On the shelf, and still to be bought, kg; null where the shelf was not given. */
      shelfKg: number | null;
      missingKg: number;
      /** Bags to buy, each holding so much, kg, and their cost; null where no price was given. */
      bags: { count: number; eachKg: number; cost: number } | null;
    };

/** What could go wrong. */
export type RiskFacts =
  | AsWritten<RiskWords>
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

/** A way out, in the order to try. */
export type WayOut = 'hold-wrapped' | 'serve-sooner' | 'wrap-now' | 'pit-hotter' | 'finish-in-oven';

/** What stands in the way of a wish. Masses in kg, lengths in m, times in min or epoch ms. */
export type ProblemFacts =
  | AsWritten<ProblemWords>
  | {
      kind: 'no-room';
      cut: string;
      lengthM: number;
      widthM: number;
      /** Room beside the fire, m; null where other pieces take it. */
      roomM: number | null;
      pit: string;
    }
  | { kind: 'too-many-pieces'; cut: string; wanted: number; fits: number; feeds: number }
  | { kind: 'piece-touching'; cut: string }
  | { kind: 'piece-off-grate'; cut: string }
  | { kind: 'too-cool'; settlesC: number }
  | { kind: 'too-hot'; settlesC: number }
  | { kind: 'never-done'; longestMin: number; targetC: number }
  | { kind: 'bowl-too-small'; lastsMin: number; slowCookMin: number }
  | { kind: 'serving-passed' }
  | { kind: 'lighting-passed'; lightMs: number; earliestMs: number }
  | {
      kind: 'arrives-late';
      cut: string;
      notBefore: string;
      inHundred: number;
      serveMs: number;
      soonerMin: number;
    }
  | { kind: 'still-frozen'; cut: string; needH: number; haveH: number; laterH: number }
  | { kind: 'salt-late'; cut: string; agoMin: number };

/** What a plate costs, in the user's own money. */
export interface PlateCost {
  meat: number;
  /** Null where no fuel has a price. */
  fuel: number | null;
  each: number;
  /** Cuts that have no price, and are not counted; left out where all have one. */
  unpriced?: string[];
}
