/** Vents and their settings in the words of a pit's owner. */
import {
  holdsByFan,
  presetOf,
  ventMark,
  type Preset,
  type RequestPit,
  type VentName,
  type VentNotation,
} from '@ostrin/core';
import { capital } from './quantities';

const VENT_NAMES: Readonly<Record<VentName, string>> = {
  'bowl-vent': 'bowl vent',
  'lid-vent': 'lid vent',
  'bottom-vents': 'bottom vents',
  'top-vent': 'top vent',
  'bottom-slot': 'bottom slot',
  'firebox-damper': 'firebox damper',
  'stack-damper': 'stack damper',
  damper: 'damper',
  slots: 'slots',
};

/** What a cooker's two vents are called, in lower case. */
export const ventNames = ({ ventNames: names }: Preset): { intake: string; exhaust: string } => ({
  intake: VENT_NAMES[names.intake],
  exhaust: VENT_NAMES[names.exhaust],
});

const FRACTIONS = ['shut', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞', 'open'] as const;

/**
 * What a share of the travel (0 to 1) is called in a notation, rounded to what a person can set. `fullMm`
 * is the travel in mm. An opening that would round to shut is called a crack.
 */
export function ventName(fraction: number, notation: VentNotation, fullMm: number): string {
  const mark = ventMark(fraction, notation, fullMm);
  if (mark === 0) return 'shut';
  switch (notation) {
    case 'quarters':
      return quarterName(mark);
    case 'mm':
      return `${mark} mm`;
    case 'fingers': {
      if (mark < 1) return 'a crack';
      if (mark === 1) return 'half a finger';
      const whole = Math.floor(mark / 2);
      return `${whole}${mark % 2 ? '½' : ''} ${mark <= 2 ? 'finger' : 'fingers'}`;
    }
    case 'clock': {
      const hour = Math.floor(mark / 60);
      return `${hour === 0 ? 12 : hour}:${String(mark % 60).padStart(2, '0')}`;
    }
  }
}

/** An opening counted in 32nds, told by the eighths beside it. */
function quarterName(thirtySeconds: number): string {
  if (thirtySeconds <= 2) return 'a crack';
  const eighth = Math.floor(thirtySeconds / 4);
  const over = thirtySeconds - 4 * eighth;
  const [below, above] = [FRACTIONS[eighth]!, FRACTIONS[eighth + 1]!];
  if (over === 0) return below;
  if (over === 2) return `between ${below} and ${above}`;
  return over === 1 ? `just over ${below}` : `just under ${above}`;
}

/** A pit as far as its vents are told: its preset and its owner's notation. */
export interface VentedPit {
  /** The preset of the pit. */
  preset: Preset;
  /** Notation in which its vents are told. */
  notation: VentNotation;
  /** Whether a thermostat fan holds it. */
  hasFan: boolean;
}

/** The vents of a pit of a request. Throws RangeError for a preset outside the catalogue. */
export function ventedPit(pit: Pick<RequestPit, 'cooker' | 'ventWay' | 'fire' | 'fan'>): VentedPit {
  const preset = presetOf(pit.cooker.preset);
  return { preset, notation: pit.ventWay ?? preset.ventNotation, hasFan: holdsByFan(pit) };
}

/** One opening of a pit, 0 to 1, as its owner says it. */
export const openingWords = (
  { preset, notation }: VentedPit,
  vent: 'intake' | 'exhaust',
  fraction: number,
): string => ventName(fraction, notation, preset.travelMm[vent]);

/** The same as short as it can be, for a chart: `¼+` is just over a quarter, `¼−` just under it. */
export function shortOpening(pit: VentedPit, vent: 'intake' | 'exhaust', fraction: number): string {
  return openingWords(pit, vent, fraction)
    .replace(/^between (.) and (.)$/, '$1–$2')
    .replace(/^between (.) and open$/, '$1–1')
    .replace(/^just over (.*)$/, '$1+')
    .replace(/^just under (.*)$/, '$1−')
    .replace(/^half a finger$/, '½ finger')
    .replace(/^a crack$/, 'crack');
}

/** Both vents of a pit: `Bowl vent ¼, lid vent ½`. */
export function settingWords(pit: VentedPit, intake: number, exhaust: number): string {
  const names = ventNames(pit.preset);
  return `${capital(names.intake)} ${openingWords(pit, 'intake', intake)}, ${names.exhaust} ${openingWords(pit, 'exhaust', exhaust)}`;
}

/** What a notation is called where it is chosen. */
export const NOTATION_NAMES: Readonly<Record<VentNotation, string>> = {
  quarters: 'Fractions',
  mm: 'Millimetres',
  fingers: 'Fingers',
  clock: 'Clock',
};
