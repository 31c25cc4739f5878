/** Vents and their settings in the words of a pit's owner. */
import { holdsByFan, type RequestPit } from '@ostrin/core';
import {
  presetOf,
  ventMark,
  ventScales,
  type Preset,
  type VentName,
  type VentDial,
  type VentScale,
  type VentScales,
} from '@ostrin/core/catalogue';
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
 * What a share of the travel (0 to 1) is called on a vent's scale, rounded to what a person can set. `fullMm`
 * is the travel in mm. An opening that would round to shut is called a crack.
 */
export function ventName(fraction: number, scale: VentScale, fullMm: number): string {
  const mark = ventMark(fraction, scale, fullMm);
  if (mark === 0) return 'shut';
  switch (scale.way) {
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
    case 'dial':
      return dialName(mark, scale.dial);
  }
}

const PARTS: Readonly<Record<string, string>> = { '0.25': '¼', '0.5': '½', '0.75': '¾' };

/** A mark of a dial: whole ones as they are, halves and quarters as such, others with two decimals. */
export function dialMark(mark: number): string {
  const size = Math.round(Math.abs(mark) * 100) / 100;
  const whole = Math.floor(size);
  const part = PARTS[String(Math.round((size - whole) * 100) / 100)];
  const told = part ? `${whole === 0 ? '' : whole}${part}` : String(size);
  return mark < 0 ? `−${told}` : told;
}

/** An opening in steps of a dial from shut. Less than half a step counts as 0.5. */
function dialName(steps: number, { shut, open, step }: VentDial): string {
  if (steps < 1) return 'a crack';
  return `mark ${dialMark(shut + Math.sign(open - shut) * Math.min(steps * step, Math.abs(open - shut)))}`;
}

/** An opening counted in 32nds, given by the eighths beside it. */
function quarterName(thirtySeconds: number): string {
  if (thirtySeconds <= 2) return 'a crack';
  const eighth = Math.floor(thirtySeconds / 4);
  const over = thirtySeconds - 4 * eighth;
  const [below, above] = [FRACTIONS[eighth]!, FRACTIONS[eighth + 1]!];
  if (over === 0) return below;
  if (over === 2) return `between ${below} and ${above}`;
  return over === 1 ? `just over ${below}` : `just under ${above}`;
}

/** A pit as far as its vents are given: its preset and its owner's scales. */
export interface VentedPit {
  /** The preset of the pit. */
  preset: Preset;
  /** How each of its vents is given. */
  scales: VentScales;
  /** Whether a thermostat fan holds it. */
  hasFan: boolean;
}

/** The vents of a pit of a request. Throws RangeError for a preset outside the catalogue. */
export function ventedPit(
  pit: Pick<RequestPit, 'cooker' | 'ventWay' | 'ventScales' | 'fire' | 'fan'>,
): VentedPit {
  const preset = presetOf(pit.cooker.preset);
  return { preset, scales: ventScales(pit, preset.ventNotation), hasFan: holdsByFan(pit) };
}

/** One opening of a pit, 0 to 1, as its owner says it. */
export const openingWords = (
  { preset, scales }: VentedPit,
  vent: 'intake' | 'exhaust',
  fraction: number,
): string => ventName(fraction, scales[vent], preset.travelMm[vent]);

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

/** What a way of telling a vent is called where it is chosen. */
export const SCALE_NAMES: Readonly<Record<VentScale['way'], string>> = {
  quarters: 'Fractions',
  mm: 'Millimetres',
  fingers: 'Fingers',
  clock: 'Clock',
  dial: 'Own marks',
};
