/** What a plan calls the parts of a pit, and how it says settings and builds. */
import { CHARCOALS } from '../fuel/catalogue';
import { fireLitKg, fireLoadKg } from '../fire/catalogue';
import type { FireSpec } from '../scenario/fireSpec';
import type { VentName } from '../pit/preset';
import { splitThicknessCm } from '../pit/usualFire';
import { ventName } from '../pit/ventNotation';
import { countWords, massWords, smallMassWords, type Units } from '../quantity/words';
import type { PitSetup } from './fire/designFire';

/** What vents are called. */
export const VENT_NOUNS: Readonly<Record<VentName, string>> = {
  'bowl-vent': 'Bowl vent',
  'lid-vent': 'lid vent',
  'bottom-vents': 'Bottom vents',
  'top-vent': 'top vent',
  'bottom-slot': 'Bottom slot',
  'firebox-damper': 'Firebox damper',
  'stack-damper': 'stack',
  damper: 'Damper',
  slots: 'slots',
};

/** A setting in the owner's own units: `Bowl vent ¼, lid vent ½`. */
export function settingWords(setup: PitSetup, intake: number, exhaust: number): string {
  const { pit, preset } = setup;
  const nouns = { intake: VENT_NOUNS[preset.ventNames.intake], exhaust: VENT_NOUNS[preset.ventNames.exhaust] };
  const told = pit.ventWay ?? preset.ventNotation;
  const { travelMm } = preset;
  return `${nouns.intake} ${ventName(intake, told, travelMm.intake)}, ${nouns.exhaust} ${ventName(exhaust, told, travelMm.exhaust)}`;
}

/** Charcoal as it is counted or weighed: `108 briquettes`, `2.4 kg of lump charcoal`. */
export function charcoalWords(fire: Pick<FireSpec, 'fuel'>, kg: number, units: Units): string {
  const { name, pieceKg } = CHARCOALS[fire.fuel];
  return fire.fuel === 'lump'
    ? `${massWords(kg, units)} of ${name}`
    : `${Math.round(kg / pieceKg)} ${name}`;
}

/** A split as it is picked: `a split of 0.5 kg (33 cm, 6 cm thick)`. */
export function splitWords(kg: number, lengthCm: number, units: Units): string {
  return `${massWords(kg, units)} (${lengthCm} cm long, ${Math.max(2, Math.round(splitThicknessCm(kg, lengthCm)))} cm thick)`;
}

/** What of a fire is lit before it is put in. */
export const litWords = (fire: FireSpec, units: Units): string =>
  charcoalWords(fire, fireLitKg(fire), units);

/** How a fire is built, step by step. */
export function buildWords(setup: PitSetup, fire: FireSpec, units: Units): string[] {
  const kg = fireLoadKg(fire, setup.parameters.diameterM);
  const all = charcoalWords(fire, kg, units);
  const chunk = fire.woodChunks[0];
  const chunks = chunk
    ? `${countWords(fire.woodChunks.length, 'chunk', 'chunks')} of ${chunk.species} of ${smallMassWords(chunk.massG, units)}`
    : '';
  const lit = litWords(fire, units);
  switch (fire.arrangement) {
    case 'snake':
      return [
        `${all}, ${fire.side} wide and ${fire.layers} high, ${Math.round(fire.arcDegrees)} degrees round the rim.`,
        `${chunks} on top, the first on the lit end.`,
        `${lit} lit in the chimney, tipped on the head of the snake.`,
      ];
    case 'side-basket':
    case 'crescent':
      return [
        `${all} along one side${fire.arrangement === 'crescent' ? ', in a crescent' : ', in the basket'}; leave one corner free.`,
        `${lit} of them lit, into that corner.`,
        `${chunks} among the unlit ones, one after another from the lit corner.`,
      ];
    case 'bowl':
      return [
        'Old ash out first: it chokes the air under the bowl.',
        `${all} in the bowl, the large pieces below.`,
        `${chunks} buried at different depths.`,
        `Light ${lit} in the middle on top; deflector and grate in when it glows.`,
      ];
    case 'ring':
      return [
        `${all} in the ring, a hollow in the middle.`,
        `${chunks} buried at different depths.`,
        `${lit} lit in the chimney, into the hollow.${setup.parameters.waterKg > 0 ? ` Pan in, with ${massWords(setup.parameters.waterKg, units)} of hot water.` : ' Pan in, empty and covered with foil: it holds steadier without water at this heat.'}`,
      ];
    case 'hopper':
      return [
        'Empty the ash pan.',
        `${all} in the hopper; shut its lid well.`,
        `${chunks} in the ash pan under the grate, where hot coals fall on them; none in the hopper.`,
        `Light ${lit} at the grate.`,
      ];
    case 'coal-bed':
      return setup.onSplits
        ? [
            `${lit} lit in the chimney and spread on the grate as a bed.`,
            'The first split on top, the next ones warming on the firebox.',
          ]
        : [
            `${lit} lit, spread on the grate; ${charcoalWords(fire, kg - fire.litMassKg, units)} beside it.`,
            chunk ? `${chunks} on the edge of the coals, more with each handful.` : '',
          ].filter(Boolean);
  }
}
