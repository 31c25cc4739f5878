/** The jobs of a plan in words: what to do, and how. */
import {
  cutOf,
  WRAPS,
  type JobFacts,
  type MeatSpec,
  type RequestPit,
  type Units,
  type WrapWhen,
} from '@ostrin/core';
import { charcoalWords, layWords, lightWords, splitWords } from '../fires';
import { PLACEMENT_WORDS, REST_WORDS } from '../places';
import { countWords, massWords, spanOfTime, temperatureWords } from '../quantities';
import { settingWords, ventedPit } from '../vents';
import { fetchWords } from './shopping';

/** What a job says. */
export interface JobWords {
  /** The sentence. */
  inWords: string;
  /** How it is done, in a sentence or two. */
  detail: string;
}

const piecesName = ({ cut, pieces }: { cut: string; pieces: number }): string =>
  pieces === 1 ? cutOf(cut).name : cutOf(cut).plural;

/** The words of a job at a pit. */
export function jobWords(facts: JobFacts, pit: RequestPit, units: Units): JobWords {
  const at = (c: number): string => temperatureWords(c, units);
  const setting = (intake: number, exhaust: number): string =>
    settingWords(ventedPit(pit), intake, exhaust);
  switch (facts.kind) {
    case 'lay-fire':
      return {
        inWords: facts.fire.arrangement === 'snake' ? 'Lay the snake' : 'Build the fire',
        detail: layWords(pit, facts.fire, facts.loadKg, units),
      };
    case 'light':
      return {
        inWords: lightWords(pit, facts.fire, units),
        detail: `${facts.fire.fuel === 'lump' ? 'Ready as soon as the yellow flame is gone.' : 'Ready when they are ashed over.'} Outdoors only; no lighter fluid.`,
      };
    case 'bring-up':
      return {
        inWords: facts.onSnake
          ? 'Tip the lit ones on the head of the snake'
          : 'Lit coals in place, lid shut',
        detail: facts.underFan
          ? `Fan on, set to ${at(facts.targetC)}.`
          : `${setting(facts.intake, facts.exhaust)} while it comes up.`,
      };
    case 'hold':
      return {
        inWords: setting(facts.intake, facts.exhaust),
        detail: `When the pit passes ${at(facts.closeAtC)} on its way up. It should settle near ${at(facts.targetC)}.`,
      };
    case 'trim':
      return {
        inWords: 'Look at the pit',
        detail: `If it stands off ${at(facts.targetC)}: ${setting(facts.intake, facts.exhaust)}. If not, leave it.`,
      };
    case 'feed':
      return feedWords(facts, pit, units);
    case 'shut-down':
      return {
        inWords: facts.underFan ? 'Fan off, everything shut' : 'Shut both vents',
        detail:
          'What is not burnt goes out and is saved for the next fire. Ash stays hot for days.',
      };
    case 'shop':
      return {
        inWords: 'Shop by now, at the latest',
        detail: `${facts.fetch.map((s) => fetchWords(s, units)).join('; ')}.`,
      };
    default:
      return meatJobWords(facts, pit, units);
  }
}

type FeedFacts = Extract<JobFacts, { kind: 'feed' }>;

function feedWords(facts: FeedFacts, pit: RequestPit, units: Units): JobWords {
  const { split, charcoal } = facts;
  const coals = charcoal ? charcoalWords(charcoal.fuel, charcoal.kg, units) : '';
  if (split) {
    return {
      inWords: `A split of ${splitWords(pit, split.kg, split.species, units)}${charcoal ? ` and ${coals}` : ''}`,
      detail:
        'Warmed on the firebox; door ajar a minute while it catches. Lay the next one to warm.',
    };
  }
  const first = facts.ifSlow ? 'Not done yet? ' : '';
  if (facts.onSnake) {
    return {
      inWords: `${first}Lengthen the snake by ${coals}`,
      detail: 'Unlit, at the tail, round into the gap the fire has left. Clear the ash first.',
    };
  }
  return {
    inWords: `${first}Top up with ${coals}`,
    detail: facts.handFed
      ? 'Unlit, beside the glowing coals, with a chunk; rake the ash through first.'
      : 'Unlit, against the glowing ones.',
  };
}

/** Held meat is not safe for longer under this, C (USDA consumer advice, from memory). */
const HOLD_ABOVE_C = 60;

type MeatFacts = Exclude<
  JobFacts,
  { kind: 'lay-fire' | 'light' | 'bring-up' | 'hold' | 'trim' | 'feed' | 'shut-down' | 'shop' }
>;

function meatJobWords(facts: MeatFacts, pit: RequestPit, units: Units): JobWords {
  const at = (c: number): string => temperatureWords(c, units);
  switch (facts.kind) {
    case 'meat-on':
      return {
        inWords: `Put the ${piecesName(facts)} on`,
        detail: `In clean smoke, ${PLACEMENT_WORDS[ventedPit(pit).preset.traits.meatPlacement]}. Straight from the fridge.`,
      };
    case 'wrap':
      return {
        inWords: `${facts.with === 'boat' ? 'Set' : 'Wrap'} the ${piecesName(facts)} in ${WRAPS[facts.with].name}`,
        detail: wrapWhenWords(facts.when, units),
      };
    case 'check':
      return {
        inWords: `${'tender' in facts.done ? 'Start probing' : 'Look at the middle of'} the ${piecesName(facts)}`,
        detail: doneWords(facts.done, facts.plateC, units),
      };
    case 'meat-off':
      return {
        inWords: `Take the ${piecesName(facts)} off to rest`,
        detail: `At least ${spanOfTime(facts.rest.minutes)} ${REST_WORDS[facts.rest.where]}.${facts.rest.where === 'cool-box' ? ` Under ${at(HOLD_ABOVE_C)} held meat is not held any more.` : ''}`,
      };
    case 'serve':
      return {
        inWords: `Serve ${countWords(facts.people, 'person', 'people')}`,
        detail: `${massWords(facts.rawKg, units)} went on.`,
      };
    case 'serve-course':
      return {
        inWords: `Serve the ${facts.cuts.map((c) => cutOf(c).short).join(' and ')}`,
        detail: `${massWords(facts.rawKg, units)} went on.`,
      };
    case 'season':
      return {
        inWords: `Season the ${piecesName(facts)}`,
        detail: facts.thick
          ? 'Back into the fridge until it goes on: cold meat takes more smoke.'
          : 'Not earlier: salt draws a thin piece dry within the hour.',
      };
    case 'salt':
      return {
        inWords: `${facts.brine ? 'Brine' : 'Salt'} the ${piecesName(facts)}`,
        detail: `At least ${spanOfTime(60 * facts.hours)} in the fridge, ${facts.brine ? 'covered, then patted dry' : 'uncovered'}.`,
      };
    case 'thaw':
      return {
        inWords: `Move the ${piecesName(facts)} from the freezer to the fridge`,
        detail: `At least ${countWords(facts.hours, 'hour', 'hours')} to thaw through, in a tray that holds what drips.`,
      };
  }
}

/** How a piece shows that it is done, as a sentence; `plateC`: what it climbs to while it rests, C, where that was asked for. */
export const doneWords = (
  done: NonNullable<MeatSpec['done']>,
  plateC: number | null,
  units: Units,
): string =>
  'tender' in done
    ? 'A probe goes in as into soft butter, in two or three spots.'
    : `Done when it reads ${temperatureWords(done.coreC, units)} in the thickest part${plateC === null ? '' : `: it climbs to about ${temperatureWords(plateC, units)} while it rests`}.`;

/** When a piece is wrapped, as a sentence. */
function wrapWhenWords(when: WrapWhen, units: Units): string {
  if ('coreC' in when) {
    return `When the middle reads ${temperatureWords(when.coreC, units)}.`;
  }
  if ('stalled' in when) return 'When the middle has stopped climbing.';
  return 'atMin' in when ? 'At this time.' : 'When nothing comes off on a finger.';
}
