/** What is done to a piece before it goes on, in words: the lines of its card. */
import {
  cutOf,
  handlingOf,
  MEMBRANE_STAYS_FROM_C,
  SUGAR_C,
  type TrimId,
} from '@ostrin/core/catalogue';
import type { CardWords, Preparation } from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import {
  countWords,
  inHundred,
  massWords,
  sidesWords,
  smallMassWords,
  temperatureWords,
  thinWords,
  volumeWords,
} from '../quantities';

const TRIM_WORDS: Readonly<Record<TrimId, string>> = {
  'hard-fat': 'hard fat off, it never melts',
  'silver-skin': 'silver skin off',
  'loose-ends': 'loose ends off, they burn',
  'thin-edges': 'thin edges and points off',
  skin: 'skin off',
  'rib-flap': 'the flap on the bone side off',
  giblets: 'giblets out',
  'wing-tips': 'wing tips off, or tucked under',
  'loose-fat': 'loose fat out, the skin pricked',
};

/** The card of one meat. */
export function preparationWords(p: Preparation, units: Units): CardWords {
  const cut = cutOf(p.cut);
  return {
    heading: `${countWords(p.pieces, cut.name, cut.plural)} of ${massWords(p.massKg, units)}`,
    lines: [
      ...trimLines(p, units),
      ...membraneLines(p, units),
      fitLine(p, units),
      ...saltLines(p, units),
      ...injectLines(p, units),
      'A thin coat of mustard or oil under the rub is a matter of taste.',
      ...sugarLines(p, units),
      `It goes on cold, straight from the fridge${fatSideWords(p)}.`,
    ],
  };
}

function trimLines(p: Preparation, units: Units): string[] {
  const [low, high] = p.trimFraction;
  const steps = [
    ...(p.fatLeftMm === null ? [] : [fatWords(p.cut, p.fatLeftMm, units)]),
    ...p.trim.map((t) => TRIM_WORDS[t]),
  ];
  if (steps.length === 0) return [];
  const share =
    high > 0 ? ` It takes ${inHundred(low)} to ${inHundred(high)} % of what is bought.` : '';
  const treat = p.treat ? ' Cook the cut-offs beside it: an early treat.' : '';
  return [`Trim: ${steps.join('; ')}.${share}${treat}`];
}

/** How much of the fat cap stays, and the other school where there is one. */
const fatWords = (cut: string, mm: number, units: Units): string =>
  `fat down to ${thinWords(mm, units)}${handlingOf(cut).fatMayGo ? ' (or all of it off: more bark, a little drier)' : ''}`;

function membraneLines({ membrane }: Preparation, units: Units): string[] {
  switch (membrane) {
    case 'none':
      return [];
    case 'stays':
      return [
        'The membrane stays on: it holds the bones. Some pull it, for smoke on both sides; lift such a piece with care.',
      ];
    case 'off':
      return ['Pull the membrane off the bones, with a cloth.'];
    case 'may-stay':
      return [
        `The membrane comes off; from about ${temperatureWords(MEMBRANE_STAYS_FROM_C, units)} it may stay, and turns crisp.`,
      ];
  }
}

function fitLine(p: Preparation, units: Units): string {
  const each = p.pieces === 1 ? 'It lies' : `Each of the ${p.pieces} lies`;
  return `${each} about ${sidesWords(100 * p.lengthM, 100 * p.widthM, units)}: try it on the cold grate before you season. Too long? Cut it across there, and each half is a piece of its own.`;
}

function saltLines({ salt, pieces }: Preparation, units: Units): string[] {
  if (!salt) return [];
  const each = pieces === 1 ? '' : ' each';
  const amount = `${smallMassWords(salt.g, units)} of salt${each} (${salt.gPerKg / 10} % of the meat)`;
  switch (salt.when) {
    case 'in-brine':
      return ['The brine salts it: no more salt in the rub.'];
    case 'hour':
      return [`${amount}, 15 to 60 min before it goes on, not longer.`];
    case 'overnight':
      return [`${amount}, overnight in the fridge, uncovered.`];
  }
}

function injectLines({ inject, pieces }: Preparation, units: Units): string[] {
  if (!inject) return [];
  return [
    `Inject about ${volumeWords(inject.ml, units)}${pieces === 1 ? '' : ' into each'} (${inject.mlPerKg / 10} % of the meat), a finger apart. Its middle is not intact then: it has to get as hot as minced meat.`,
  ];
}

function sugarLines({ sugar }: Preparation, units: Units): string[] {
  if (sugar === null) return [];
  return sugar === 'sugar-browns'
    ? [`Little sugar in the rub: it darkens from ${temperatureWords(SUGAR_C.browns, units)} on.`]
    : [`No sugar in the rub: it burns from ${temperatureWords(SUGAR_C.burns, units)} on.`];
}

function fatSideWords({ fatSide, cut }: Preparation): string {
  switch (fatSide) {
    case null:
      return '';
    case 'up':
      return ', fat side up: in this pit the heat comes down from the lid';
    case 'down':
      return ', fat side down: in this pit the heat comes from below';
    case 'bones-down':
      return ', bone side down: the bones shield it';
    case 'up-thick-end-to-fire':
      return `, fat side up, the thick end of the ${cutOf(cut).short} towards the firebox`;
  }
}
