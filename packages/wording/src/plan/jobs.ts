/** The jobs of a plan in words: what to do, and how. */
import { cutOf, HOLD_ABOVE_C, presetOf, WRAPS } from '@ostrin/core/catalogue';
import type { JobFacts, JobWords, MeatSpec, PaceWhen, RequestPit, WrapWhen } from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import { charcoalWords, layWords, lightWords, splitWords } from '../fires';
import { PLACEMENT_WORDS } from '../places';
import {
  capital,
  countWords,
  massWords,
  spanOfTime,
  spanWords,
  temperatureWords,
} from '../quantities';
import { settingWords, ventedPit, ventNames } from '../vents';
import {
  afterOffList,
  doneSigns,
  kitList,
  servingList,
  shutDownList,
  wrapHow,
  wrapSigns,
} from './checklists';
import { firstMoveWords } from './moves';
import { lookDetail } from './rule';
import { careWords } from './careJobs';
import { piecesName } from './jobWords';
import { restWords } from './holds';
import { fetchWords } from './shopping';

/** The words of a job at a pit. */
export function jobWords(facts: JobFacts, pit: RequestPit, units: Units): JobWords {
  const at = (c: number): string => temperatureWords(c, units);
  const setting = (intake: number, exhaust: number): string =>
    settingWords(ventedPit(pit), intake, exhaust);
  switch (facts.kind) {
    case 'as-written':
      return facts.words;
    case 'lay-fire':
      return {
        inWords: facts.fire.arrangement === 'snake' ? 'Lay the snake' : 'Build the fire',
        detail: layWords(pit, facts.fire, facts.loadKg, units),
        checklist: kitList(facts.kit),
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
          : `${setting(facts.intake, facts.exhaust)} while it comes up. White smoke clears by itself; two minutes of a blower at the ${ventNames(ventedPit(pit).preset).intake} clear it sooner.`,
      };
    case 'hold':
      return {
        inWords: setting(facts.intake, facts.exhaust),
        detail: `When the pit passes ${at(facts.closeAtC)} on its way up. It should settle near ${at(facts.targetC)}.${gaugeWords(facts, units)}${offsetWords(facts, units)}`,
      };
    case 'look':
      return { inWords: 'Look at the pit', detail: lookDetail(facts, pit, units) };
    case 'trim':
      return {
        inWords: 'Look at the pit',
        detail: `By now it may want ${setting(facts.intake, facts.exhaust).toLowerCase()}. Over ${at(facts.targetC + facts.bandC)}: ${firstMoveWords(ventedPit(pit), facts.moves.high)} Under ${at(facts.targetC - facts.bandC)}: ${firstMoveWords(ventedPit(pit), facts.moves.low)} Between them, leave it.`,
      };
    case 'second-pace':
      return secondPaceWords(facts, pit, units);
    case 'feed':
      return feedWords(facts, pit, units);
    case 'shut-down':
      return {
        inWords: facts.underFan ? 'Fan off, everything shut' : 'Shut both vents',
        detail:
          'Once the last piece is off, and not before. What is not burnt goes out and is saved for the next fire. Ash stays hot for days.',
        checklist: shutDownList(facts, pit, units),
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

/** A thermometer that its cooks have shown to be off by less is not worth a word, K. */
const OFF_FROM_K = 2;

/** What a thermometer that is off reads once the pit stands at its target. */
const offsetWords = (
  { gauge, probeOffsetK, targetC }: Extract<JobFacts, { kind: 'hold' }>,
  units: Units,
): string =>
  gauge || Math.abs(probeOffsetK) < OFF_FROM_K
    ? ''
    : ` Its thermometer reads about ${spanWords(Math.abs(probeOffsetK), units)} too ${probeOffsetK > 0 ? 'much' : 'little'}, by its cooks: ${temperatureWords(targetC + probeOffsetK, units)} on it.`;

/** How a pit without a probe at its grate is read. */
function gaugeWords(
  { gauge, targetC, closeAtC }: Extract<JobFacts, { kind: 'hold' }>,
  units: Units,
): string {
  if (!gauge) return '';
  const onDial = (c: number): string => temperatureWords(c + gauge.lidOverK, units);
  return gauge.by === 'lid-dial'
    ? ` The dial in the lid does not read the same as the grate: ${onDial(closeAtC)} on it when you close down, about ${onDial(targetC)} once the pit has settled.`
    : ' The oven thermometer lies beside the meat: read it through a quick look, a quarter of an hour after a change, for it is slow; each look costs heat.';
}

/** When the pit is taken to its second pace, as a piece of a sentence. */
export const paceWhenWords = (when: PaceWhen, units: Units): string =>
  'coreC' in when
    ? `when the middle reads ${temperatureWords(when.coreC, units)}`
    : 'when the bark is firm and dark';

function secondPaceWords(
  facts: Extract<JobFacts, { kind: 'second-pace' }>,
  pit: RequestPit,
  units: Units,
): JobWords {
  const up = facts.targetC > facts.fromC;
  const target = temperatureWords(facts.targetC, units);
  const how = facts.underFan
    ? `Set the fan to ${target}.`
    : facts.onSplits
      ? `The next splits a quarter ${up ? 'heavier' : 'lighter'}.`
      : facts.vents
        ? `${settingWords(ventedPit(pit), facts.vents.intake, facts.vents.exhaust)}.`
        : `${up ? 'Open' : 'Close'} the ${ventNames(presetOf(pit.cooker.preset)).intake} a step.`;
  return {
    inWords: `${up ? 'Take the pit up' : 'Let the pit down'} to ${target}`,
    detail: `${capital(paceWhenWords(facts.when, units))}. ${how}`,
  };
}

type FeedFacts = Extract<JobFacts, { kind: 'feed' }>;

function feedWords(facts: FeedFacts, pit: RequestPit, units: Units): JobWords {
  const { split, charcoal } = facts;
  const coals = charcoal ? charcoalWords(charcoal.fuel, charcoal.kg, units) : '';
  const first = facts.ifSlow ? 'Not done yet? ' : '';
  if (split) {
    return {
      inWords: `${first}A split of ${splitWords(pit, split.kg, split.species, units)}${charcoal ? ` and ${coals}` : ''}`,
      detail:
        'Warmed on the firebox; door ajar a minute while it catches. Lay the next one to warm.',
    };
  }
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

type MeatFacts = Exclude<
  JobFacts,
  {
    kind:
      | 'as-written'
      | 'lay-fire'
      | 'light'
      | 'bring-up'
      | 'hold'
      | 'look'
      | 'trim'
      | 'second-pace'
      | 'feed'
      | 'shut-down'
      | 'shop';
  }
>;

function meatJobWords(facts: MeatFacts, pit: RequestPit, units: Units): JobWords {
  const at = (c: number): string => temperatureWords(c, units);
  switch (facts.kind) {
    case 'meat-on':
      return {
        inWords: `Put the ${piecesName(facts)} on`,
        detail: `In clean smoke, ${PLACEMENT_WORDS[ventedPit(pit).preset.traits.meatPlacement]}. Straight from the fridge.${leaveShutWords(facts.barkMin)}`,
      };
    case 'spray':
    case 'bare':
    case 'sauce':
    case 'turn-grate':
    case 'smoke-again':
    case 'swap-pieces':
    case 'swap-ends':
      return careWords(facts, pit, units);
    case 'wrap':
      return {
        inWords: `${facts.with === 'boat' ? 'Set' : 'Wrap'} the ${piecesName(facts)} in ${WRAPS[facts.with].name}`,
        detail: `${wrapWhenWords(facts.when, units)} ${wrapHow(facts, units)}`,
        checklist: wrapSigns(facts, units),
      };
    case 'check':
      return {
        inWords: `${'tender' in facts.done ? 'Start probing' : 'Look at the middle of'} the ${piecesName(facts)}`,
        detail: doneWords(facts.done, facts.plateC, units),
        checklist: doneSigns(facts, units),
      };
    case 'meat-off': {
      const checklist = afterOffList(facts, units);
      return {
        inWords: `Take the ${piecesName(facts)} off to rest`,
        detail: `${restWords(facts)}${facts.rest.where === 'cool-box' ? ` Under ${at(HOLD_ABOVE_C)} held meat is not held any more.` : ''}`,
        ...(checklist ? { checklist } : {}),
      };
    }
    case 'food-off': {
      const { short, plural } = cutOf(facts.cut);
      const name = facts.pieces === 1 ? short : countWords(facts.pieces, short, plural);
      return { inWords: `Take the ${name} off`, detail: doneWords(facts.done, null, units) };
    }
    case 'serve':
      return {
        inWords: `Serve ${countWords(facts.people, 'person', 'people')}`,
        detail: `${massWords(facts.rawKg, units)} went on.`,
        checklist: servingList(facts.cuts),
      };
    case 'serve-course':
      return {
        inWords: `Serve the ${facts.cuts.map((c) => cutOf(c).short).join(' and ')}`,
        detail: `${massWords(facts.rawKg, units)} went on.`,
        checklist: servingList(facts.cuts),
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

/** How long nobody looks: a bark that is not firm comes off, and every look costs minutes. */
const leaveShutWords = (barkMin: number | null): string =>
  barkMin === null || barkMin < 20
    ? ''
    : ` No look for about ${spanOfTime(15 * Math.round(barkMin / 15))}: the bark has to firm up.`;

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
  if ('onForMin' in when) return `After ${spanOfTime(when.onForMin)} on the pit.`;
  return 'atMin' in when ? 'At this time.' : 'When nothing comes off on a finger.';
}
