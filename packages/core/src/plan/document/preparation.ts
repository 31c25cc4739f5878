/** What is done and at hand before the fire, as codes and figures. */
import type { TrimId } from '../../meat/handling';
import type { CautionId } from '../../safety/cautions';

/** What has to be at hand. */
export type KitId =
  | 'lighter'
  | 'chimney'
  | 'fire-bricks'
  | 'tongs'
  | 'gloves'
  | 'paper'
  | 'foil'
  | 'pan'
  | 'thermometers'
  | 'water'
  | 'ash-bin'
  | 'second-bag'
  | 'dry-splits'
  | 'cool-box'
  | 'spray'
  | 'sauce'
  | 'injector'
  | 'tray'
  | 'knives';

/** Which way a piece lies: its fat cap towards where the heat comes from, and what has a plate of bones on them. */
export const FAT_SIDES = ['up', 'down', 'up-thick-end-to-fire', 'bones-down'] as const;
export type FatSide = (typeof FAT_SIDES)[number];

/** The card of one meat. Masses in kg of one piece, lengths in m. */
export interface Preparation {
  /** The meat, by its id. */
  meat: string;
  /** Its cut. */
  cut: string;
  /** Number of pieces. */
  pieces: number;
  /** One piece as it goes on, trimmed. */
  massKg: number;
  /** Raw as bought, all pieces: low and high. */
  rawKg: [number, number];
  /** Share of the raw piece that trimming takes: low and high. */
  trimFraction: readonly [number, number];
  /** Fat left on, mm; null where there is no cap. */
  fatLeftMm: number | null;
  trim: readonly TrimId[];
  /** The membrane of ribs: none; stays; off; or may stay on, at this heat. */
  membrane: 'none' | 'stays' | 'off' | 'may-stay';
  /** Whether the cut-offs are cooked apart, as an early treat. */
  treat: boolean;
  /** As it lies on the grate. */
  lengthM: number;
  widthM: number;
  /** Salt: g for a kg and for one piece; null where none is added. */
  salt: { gPerKg: number; g: number; when: 'overnight' | 'hour' | 'in-brine' } | null;
  /** Injected: ml for a kg and for one piece; null where it is not. */
  inject: { mlPerKg: number; ml: number } | null;
  /** What sugar in the rub does at the heat of its pit; null where nothing. */
  sugar: CautionId | null;
  fatSide: FatSide | null;
}
