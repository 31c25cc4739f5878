/** What was done, in words. */
import type { EntryBody } from '@ostrin/core/log';
import { METRIC, type Units } from '@ostrin/core/quantity';
import { cutOf, USUAL_SPLIT_WOOD, WOODS, WRAPS } from '@ostrin/core/catalogue';
import type { MeatSpec, PlanLog } from '@ostrin/core';
import { PLACE_WORDS } from './places';
import { countWords, massWords, smallMassWords, temperatureWords } from './quantities';
import { settingWords, ventName, type VentedPit } from './vents';

/** Whose actions are told: the reader's units, and the pit, where it is known. */
export interface Telling {
  /** Units of the reader. */
  units: Units;
  /** The pit whose vents are given; null where it is not known. */
  pit: VentedPit | null;
}

/** Where nobody knows who reads and whose vents they are. */
export const UNKNOWN: Telling = { units: METRIC, pit: null };

/** A vent as its share of the travel is said where nobody knows whose it is. */
const quarters = (fraction: number): string => ventName(fraction, { way: 'quarters' }, 0);

/** What an action is called in a list. */
export function actionWords(a: PlanLog, { units, pit }: Telling = UNKNOWN): string {
  switch (a.do) {
    case 'set-vents':
      return pit
        ? settingWords(pit, a.intakeFraction, a.exhaustFraction)
        : `Intake ${quarters(a.intakeFraction)}, exhaust ${quarters(a.exhaustFraction)}`;
    case 'lid-open':
      return `Lid open ${Math.round(a.seconds)} s`;
    case 'door':
      return a.openFraction > 0 ? 'Fire door open' : 'Fire door shut';
    case 'add-fuel':
      return a.fuel === 'splits'
        ? `${countWords(Math.round(a.pieces), 'split', 'splits')} of ${WOODS[a.species ?? USUAL_SPLIT_WOOD].name}, ${massWords(a.massKg ?? 0, units)}`
        : `${Math.round(a.pieces)} ${a.lit ? 'lit ' : ''}${a.fuel === 'lump' ? 'lumps of charcoal' : 'briquettes'}`;
    case 'rake':
      return 'Coals raked';
    case 'fill-water':
      return `${massWords(a.massKg, units)} of water in the pan`;
    case 'turn':
      return 'Turned';
    case 'spritz':
      return 'Spritzed';
    case 'sauce':
      return 'Sauced';
    case 'move':
      return `Moved: ${PLACE_WORDS[a.to]}`;
    case 'oven-finish':
      return `Into an oven at ${temperatureWords(a.atC, units)}`;
    case 'set-target':
      return `Target ${temperatureWords(a.targetC, units)}`;
    case 'fan':
      return a.on ? 'Fan on' : 'Fan off';
    case 'add-wood':
      return `${smallMassWords(a.massG, units)} of ${WOODS[a.species].name}`;
    case 'meat-on':
      return 'Meat on';
    case 'meat-off':
      return 'Meat off';
    case 'wrap':
      return a.with === 'none' ? 'Unwrapped' : `Wrapped in ${WRAPS[a.with].name}`;
    case 'unwrap':
      return 'Unwrapped';
  }
}

/** Where something was read by hand. */
const SPOT_WORDS = { dome: 'Dial in the lid', grate: 'At the grate', meat: 'In the meat' } as const;

/** A reading by hand: `Dial in the lid 128 C`. */
export const readWords = (
  { spot, c, muscle }: Pick<Extract<EntryBody, { kind: 'read' }>, 'spot' | 'c' | 'muscle'>,
  units: Units,
): string => `${muscle ? `In the ${muscle}` : SPOT_WORDS[spot]} ${temperatureWords(c, units)}`;

/** Food that was added: `1 chicken put on`. */
export const foodWords = ({ cut, count = 1, massKg }: MeatSpec, units: Units): string =>
  `${countWords(count, cutOf(cut).short, cutOf(cut).plural)} put on, ${massWords(massKg, units)} each`;
