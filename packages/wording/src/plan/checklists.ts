/** Lists to go through at a job: what to have at hand, what to look for, in which order. */
import {
  cutOf,
  doneByFeel,
  handlingOf,
  presetOf,
  SHUT_IN,
  sideInWrap,
  type DoneSignId,
  type ServingId,
  type SideInWrap,
  type SpotId,
} from '@ostrin/core/catalogue';
import type { JobFacts, JobWords, KitId, RequestPit, WrapWhen } from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import { massWords, spanOfTime, temperatureWords, thinWords, volumeWords } from '../quantities';
import { ventNames } from '../vents';
import { firstStageWords } from './holds';

type Checklist = NonNullable<JobWords['checklist']>;
type FactsOf<K extends JobFacts['kind']> = Extract<JobFacts, { kind: K }>;

const KIT_WORDS: Readonly<Record<KitId, string>> = {
  lighter: 'a lighter and fire lighters',
  chimney: 'a chimney',
  'fire-bricks': 'five fire bricks, dry',
  tongs: 'long tongs',
  gloves: 'gloves for hot metal, and clean ones for meat',
  paper: 'butcher paper',
  foil: 'foil',
  pan: 'a pan with a cover',
  thermometers: 'thermometers, charged',
  water: 'hot water for the pan',
  'ash-bin': 'a metal ash bin with a lid',
  'second-bag': 'a second bag of fuel',
  'dry-splits': 'the splits, dry, under cover',
  'cool-box': 'a dry cool box and towels',
  spray: 'a clean spray bottle',
  sauce: 'the sauce and a brush',
  injector: 'an injector, and what goes into it',
  tray: 'a clean tray for the meat when it comes off, not the one it came on',
  knives: 'a boning knife for trimming, a long one for slicing',
};

/** What this plan uses, before anything is lit. */
export const kitList = (kit: readonly KitId[]): Checklist => ({
  heading: 'At hand before you light',
  items: kit.map((k) => KIT_WORDS[k]),
});

/** What decides in the end. */
function lastSign(when: WrapWhen, units: Units): string {
  if ('coreC' in when) return `Last of all the middle: ${temperatureWords(when.coreC, units)}.`;
  if ('onForMin' in when) return `Last of all the clock: ${spanOfTime(when.onForMin)} on the pit.`;
  return 'Last of all the middle: it has stopped climbing.';
}

/** The signs that it may be wrapped, in the order to look for them (common practice). */
export function wrapSigns({ when }: FactsOf<'wrap'>, units: Units): Checklist {
  return {
    heading: 'Signs, in this order',
    items: [
      'The fat on top is soft under a finger.',
      'It has shrunk.',
      'The bark is firm: nothing comes off on a finger.',
      'Its colour is what you want to eat: it will not darken any more.',
      lastSign(when, units),
    ],
  };
}

const SIDE_WORDS: Readonly<Record<SideInWrap, string>> = {
  'fat-up': 'fat side up',
  'bones-down': 'bone side down',
  'meat-down': 'meat side down',
};

/** How it is wrapped; side, layers, how tight, and what goes in. */
export function wrapHow({ with: wrap, liquidKg, cut }: FactsOf<'wrap'>, units: Units): string {
  const liquid = liquidKg ? `${volumeWords(1000 * liquidKg, units)} of warm liquid` : '';
  const lies = sideInWrap(cut, wrap);
  const side = lies === null ? '' : `, ${SIDE_WORDS[lies]}`;
  switch (wrap) {
    case 'paper':
      return `Two layers of warmed paper, tight so that no steam collects under it${side}.`;
    case 'foil':
      return `Two layers of foil, tight: air in it steams the bark${side}${liquid ? `. ${liquid} goes in` : ''}.`;
    case 'boat':
      return `Foil folded half way up its sides, the top left open${side}${liquid ? `. ${liquid} goes in` : ''}.`;
    case 'pan':
      return `In a pan, its liquid a third of the way up${liquid ? `: ${liquid}` : ''}; covered.`;
    case 'none':
      return '';
  }
}

const SPOT_WORDS: Readonly<Record<SpotId, string>> = {
  thickest: 'in the thickest part',
  flat: 'in the flat',
  point: 'in the point',
  'between-bones': 'between the bones, in two or three gaps',
  'beside-blade': 'beside the blade',
  'along-bone': 'along the bone, not on it',
  'both-ends': 'near both ends',
  breast: 'in the breast',
  thigh: 'in the thigh, off the bone',
};

const signWords = (sign: DoneSignId, units: Units): string => {
  switch (sign) {
    case 'blade-turns':
      return 'The blade turns, or pulls out clean.';
    case 'folds':
      return 'Lifted in the middle it folds over the hand.';
    case 'bend-cracks':
      return 'Lifted by one end the rack bends until its surface cracks, but it does not part.';
    case 'bone-ends':
      return `The bone ends show by ${thinWords(10, units)} to ${thinWords(25, units)}.`;
    case 'toothpick':
      return 'A toothpick goes in between the bones without a push.';
    case 'quivers':
      return 'It quivers when it is shaken.';
    case 'leg-moves':
      return 'A leg moves freely in its joint.';
    case 'no-pink':
      return 'The thermometer decides, and not the colour of the juice.';
  }
};

/** The signs of this cut that it is done. */
export function doneSigns({ cut, done }: FactsOf<'check'>, units: Units): Checklist {
  const { spots, signs } = handlingOf(cut);
  const probed =
    'tender' in done
      ? 'A probe goes in as into soft butter'
      : `It reads ${temperatureWords(done.coreC, units)}`;
  return {
    heading: 'Done by all of these',
    items: [
      ...spots.map((spot) => `${probed} ${SPOT_WORDS[spot]}.`),
      ...signs.map((s) => signWords(s, units)),
    ],
  };
}

/** The lowest that many ovens do, C (common practice). */
const OVEN_STOPS_C = 77;

/** What is done before a piece is put where it waits; null where there is nothing. */
export function afterOffList(
  { cut, rest, wrap }: FactsOf<'meat-off'>,
  units: Units,
): Checklist | null {
  const items = [
    ...(rest.first
      ? [`Let it stop cooking first: ${firstStageWords(rest.first, units)}.`]
      : SHUT_IN.includes(rest.where) && doneByFeel(cutOf(cut))
        ? ['Straight in: it goes on cooking there for a while.']
        : []),
    ...(wrap === 'foil' || wrap === 'boat' || wrap === 'pan'
      ? [
          'Open away from you: the steam burns. Pour the juice off, skim its fat, give the juice back when it is cut.',
        ]
      : []),
    ...(rest.where === 'oven'
      ? [
          `At the lowest your oven does: some stop at ${temperatureWords(OVEN_STOPS_C, units)}, which dries it sooner.`,
        ]
      : []),
  ];
  return items.length > 0 ? { heading: 'Before it waits', items } : null;
}

const SERVING_WORDS: Readonly<Record<ServingId, string>> = {
  'part-flat-and-point':
    'Part the point from the flat along the seam of fat: their grain runs two ways.',
  'across-the-grain': 'Across the grain, slices as thick as a pencil.',
  pull: 'Pull it by hand, hard fat out, and mix the bark in.',
  'between-bones': 'Cut between the bones, from the bone side.',
  'off-the-bone': 'Take it off the bone first.',
  'carve-bird': 'Legs off at the joint, breasts off the bone, then across.',
  whole: 'Whole, hot.',
};

/** How each cut is parted, on warm plates. */
export function servingList(cuts: readonly string[]): Checklist {
  const unique = [...new Set(cuts)];
  return {
    heading: 'At the table',
    items: [
      ...unique.flatMap((cut) =>
        handlingOf(cut).serving.map((s) =>
          unique.length > 1 ? `${cutOf(cut).short}: ${SERVING_WORDS[s]}` : SERVING_WORDS[s],
        ),
      ),
      'Warm plates; cut only what is eaten now.',
    ],
  };
}

/** What is closed in which order, and what is saved. */
export function shutDownList(
  facts: FactsOf<'shut-down'>,
  pit: RequestPit,
  units: Units,
): Checklist {
  const preset = presetOf(pit.cooker.preset);
  const names = ventNames(preset);
  const { sideFirebox, gravityFed, meatPlacement } = preset.traits;
  const splits = pit.fire.fuel === 'splits';
  return {
    heading: 'In this order',
    items: [
      ...(splits
        ? ['Let the last split burn to coals: a smothered one leaves soot all over the chamber.']
        : []),
      facts.underFan
        ? 'Fan off, its opening shut.'
        : `The ${names.intake} first, the ${names.exhaust} a minute later.`,
      ...(gravityFed ? ['The lid of the hopper stays shut: air from above keeps it burning.'] : []),
      ...(meatPlacement === 'over-deflector'
        ? ['If you open the lid again, a crack first: a starved fire flashes.']
        : []),
      ...(sideFirebox && !splits ? ['Firebox door shut and latched.'] : []),
      facts.leftKg > 0.1
        ? `Cold, the next day: about ${massWords(facts.leftKg, units)} should be left. Shake the ash off, keep it dry, weigh it back to the shelf.`
        : 'Cold, the next day: shake the ash off what is left and keep it dry.',
      'Ash into a metal bin with a lid, when it is cold. Hot ash stays hot for days.',
    ],
  };
}
