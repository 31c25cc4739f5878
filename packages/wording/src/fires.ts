/** Fires in words: what they burn, how they are built, how they are fed. */
import {
  CHARCOALS,
  fireLitKg,
  fireLoadKg,
  pitWith,
  presetOf,
  splitLengthCm,
  splitThicknessCm,
  WOODS,
  type CharcoalId,
  type FireSpec,
  type WoodId,
} from '@ostrin/core/catalogue';
import type { Feeding, PlannedFire, RequestPit } from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import { countWords, lengthWords, massWords, smallMassWords, spanOfTime } from './quantities';

/** Charcoal as it is counted or weighed: `108 briquettes`, `2.4 kg of lump charcoal`. */
export function charcoalWords(fuel: CharcoalId, kg: number, units: Units): string {
  const { name, pieceKg } = CHARCOALS[fuel];
  return fuel === 'lump'
    ? `${massWords(kg, units)} of ${name}`
    : `${Math.round(kg / pieceKg)} ${name}`;
}

/** Least thickness that is told, cm. */
const THINNEST_SPLIT_CM = 2;

/** A split as it is picked for a pit: `hickory of 0.5 kg (33 cm long, 6 cm thick)`. */
export function splitWords(
  { cooker }: Pick<RequestPit, 'cooker'>,
  kg: number,
  species: WoodId | undefined,
  units: Units,
): string {
  const cm = splitLengthCm(pitWith(presetOf(cooker.preset), cooker.overrides));
  const thick = Math.max(THINNEST_SPLIT_CM, splitThicknessCm(kg, cm));
  const wood = species ? `${WOODS[species].name}, ` : '';
  return `${wood}${massWords(kg, units)} (${lengthWords(cm, units)} long, ${lengthWords(thick, units)} thick)`;
}

/** What of a fire is lit before it is put in. */
const litWords = (fire: FireSpec, units: Units): string =>
  charcoalWords(fire.fuel, fireLitKg(fire), units);

/** How strongly a wood smokes, in words: a gram of oak is 1 (common practice). */
export function woodStrengthWords(id: WoodId): string {
  const strength = WOODS[id].smokeStrength;
  return strength < 0.75
    ? 'mild'
    : strength < 0.95
      ? 'mild to medium'
      : strength <= 1.1
        ? 'medium'
        : strength < 1.4
          ? 'strong'
          : 'very strong';
}

/** Smoke chunks of a fire, the mass of each told where `withMass`; nothing where there are none. */
function chunkWords(fire: FireSpec, units: Units, withMass: boolean): string | null {
  const chunk = fire.woodChunks[0];
  if (!chunk) return null;
  const each = withMass ? ` of ${smallMassWords(chunk.massG, units)}` : '';
  return `${countWords(fire.woodChunks.length, 'chunk', 'chunks')} of ${WOODS[chunk.species].name}${each}`;
}

/** Where a fire lies, after what is laid. */
function laidWhere(pit: RequestPit, fire: FireSpec): string {
  switch (fire.arrangement) {
    case 'snake':
      return `, ${fire.side} wide and ${fire.layers} high, ${Math.round(fire.arcDegrees)} degrees round`;
    case 'side-basket':
      return ' in the basket at one side';
    case 'crescent':
      return ' in a crescent along one side';
    case 'horseshoe':
      return ' between the fire bricks and the wall';
    default:
      return ` in the ${presetOf(pit.cooker.preset).fuelHolder}`;
  }
}

/** What is laid, in one line: for the job of laying it. */
export function layWords(pit: RequestPit, fire: FireSpec, loadKg: number, units: Units): string {
  const chunks = chunkWords(fire, units, false);
  return `${charcoalWords(fire.fuel, loadKg, units)}${laidWhere(pit, fire)}${chunks ? `, ${chunks}` : ''}.`;
}

/** How a fire is lit, in one line. */
export function lightWords(pit: RequestPit, fire: FireSpec, units: Units): string {
  const what = litWords(fire, units);
  return fire.arrangement === 'bowl' || fire.arrangement === 'hopper'
    ? `Light the ${presetOf(pit.cooker.preset).fuelHolder} with ${what}`
    : `Light ${what} in the chimney`;
}

/** How a fire is built, step by step. */
function buildWords(pit: RequestPit, fire: FireSpec, onSplits: boolean, units: Units): string[] {
  const preset = presetOf(pit.cooker.preset);
  const parameters = pitWith(preset, pit.cooker.overrides);
  const overDeflector = preset.traits.meatPlacement === 'over-deflector';
  const all = charcoalWords(fire.fuel, fireLoadKg(fire, parameters.diameterM), units);
  const lit = litWords(fire, units);
  const chunks = chunkWords(fire, units, true);
  const withChunks = (where: string): string[] => (chunks ? [`${chunks} ${where}`] : []);
  switch (fire.arrangement) {
    case 'snake':
      return [
        `${all}, ${fire.side} wide and ${fire.layers} high, ${Math.round(fire.arcDegrees)} degrees round the rim.`,
        ...withChunks('on top, the first on the lit end.'),
        `${lit} lit in the chimney, tipped on the head of the snake.`,
      ];
    case 'side-basket':
    case 'crescent':
      return [
        `${all} along one side${fire.arrangement === 'crescent' ? ', in a crescent' : ', in the basket'}; leave one corner free.`,
        `${lit} of them lit, into that corner.`,
        ...withChunks('among the unlit ones, one after another from the lit corner.'),
      ];
    case 'horseshoe':
      return [
        'Five fire bricks on edge, a hand from the wall, open in front; no stones or wet bricks: they burst.',
        `${all} between bricks and wall; leave one end free.`,
        `${lit} of them lit, into that end.`,
        ...withChunks('among the unlit ones, one after another from the lit end.'),
      ];
    case 'bowl':
      return [
        'Old ash out first: it chokes the air under the bowl.',
        `${all} in the bowl, the large pieces below.`,
        ...withChunks(
          overDeflector
            ? 'buried at different depths. Chips instead: on the deflector, where they smoke slower.'
            : 'buried at different depths.',
        ),
        `Light ${lit} in the middle on top; ${overDeflector ? 'deflector and grate' : 'grate'} in when it glows.`,
      ];
    case 'ring':
      return [
        `${all} in the ring, a hollow in the middle.`,
        ...withChunks('buried at different depths.'),
        `${lit} lit in the chimney, into the hollow. ${
          parameters.waterKg > 0
            ? `Pan in, with ${massWords(parameters.waterKg, units)} of hot water.`
            : 'Pan in, empty and covered with foil: it holds steadier without water at this heat.'
        }`,
      ];
    case 'hopper':
      return [
        'Empty the ash pan.',
        `${all} in the hopper; shut its lid well.`,
        ...withChunks(
          'in the ash pan under the grate, where hot coals fall on them; none in the hopper.',
        ),
        `Light ${lit} at the grate.`,
      ];
    case 'coal-bed':
      return onSplits
        ? [
            `${lit} lit in the chimney and spread on the grate as a bed.`,
            'The first split on top, the next ones warming on the firebox.',
          ]
        : [
            `${lit} lit, spread on the grate; ${charcoalWords(fire.fuel, fireLoadKg(fire, parameters.diameterM) - fire.litMassKg, units)} beside it.`,
            ...withChunks('on the edge of the coals, more with each handful.'),
          ];
  }
}

/** How a snake is made to last while it burns, for whoever needs more than was planned. */
function lengthenWords({ hourPieces }: PlannedFire, spec: FireSpec): string[] {
  if (spec.arrangement !== 'snake' || hourPieces === null) return [];
  const pieces = spec.fuel === 'lump' ? 'pieces of lump' : CHARCOALS[spec.fuel].name;
  return [
    `To make it last: lay more at its tail, ${spec.side} wide and ${spec.layers} high, round into the gap before the fire comes near; about ${hourPieces} ${pieces} for an hour. Ash out of the gap first.`,
  ];
}

/** What is done with what lies in the pit from last time. */
const fromLastWords = ({ fuel, massKg, fromLastKg }: PlannedFire, units: Units): string[] =>
  fromLastKg === undefined
    ? []
    : [
        `Stir the ${massWords(fromLastKg, units)} from last time, shake its ash out, and top it up with ${charcoalWords(fuel, massKg - fromLastKg, units)}: together they are what follows.`,
      ];

/** All steps of a planned fire; `spec` is the fire as it is built. */
export const plannedFireWords = (
  pit: RequestPit,
  fire: PlannedFire,
  spec: FireSpec,
  units: Units,
): string[] => [
  ...fromLastWords(fire, units),
  ...buildWords(pit, spec, pit.fire.fuel === 'splits', units),
  ...lengthenWords(fire, spec),
];

/** A round of feeding: `12 briquettes each 1 h, 3 times`. */
export function feedingWords(pit: RequestPit, feeding: Feeding, units: Units): string {
  const each =
    feeding.what === 'splits'
      ? `a split of ${splitWords(pit, feeding.massKg, pit.fire.species, units)}`
      : charcoalWords(feeding.what, feeding.massKg, units);
  const often =
    feeding.count > 1
      ? ` every ${spanOfTime(5 * Math.round(feeding.everyMin / 5))}, ${countWords(feeding.count, 'time', 'times')}`
      : ', once';
  return `${each}${often}`;
}

/** A fire on offer: its name in a sentence and what speaks for it. */
const CHOICES: Readonly<Record<string, { label: string; note: string }>> = {
  snake: { label: 'a briquette snake', note: 'long and low; walks round the rim by itself' },
  basket: { label: 'a side basket of briquettes', note: 'hotter, more room to one side' },
  'basket-lump': { label: 'a side basket of lump', note: 'quick and lively; more visits' },
  'crescent-lump': { label: 'a crescent of lump', note: 'along one side; no basket needed' },
  horseshoe: {
    label: 'a horseshoe of briquettes',
    note: 'round fire bricks; they shade the meat from the coals',
  },
  ring: { label: 'a ring of briquettes', note: 'the usual' },
  'ring-lump': { label: 'a ring of lump', note: 'less ash, burns faster' },
  bowl: { label: 'a bowl of lump', note: 'the usual' },
  'bowl-briquettes': { label: 'a bowl of briquettes', note: 'more ash' },
  splits: { label: 'splits', note: 'wood on a bed of lump, fed all day' },
  charcoal: { label: 'briquettes and chunks', note: 'charcoal for heat, wood for smoke' },
  'charcoal-lump': { label: 'lump and chunks', note: 'livelier than briquettes' },
  hopper: { label: 'a hopper of briquettes', note: 'the usual' },
  'hopper-lump': { label: 'a hopper of lump', note: 'less ash, may bridge' },
};

/** The words of a fire choice; its id where it has none. */
export const fireChoiceWords = (id: string): { label: string; note: string } =>
  CHOICES[id] ?? { label: id, note: '' };
