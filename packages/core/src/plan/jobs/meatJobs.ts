/** Jobs with the meat: on, wrapped, probed, off to rest. */
import type { RestWhere } from '../../meat/rest';
import { WRAPS } from '../../meat/wraps';
import { p10p50p90 } from '../../quantity/statistics';
import { spanOfTime, temperatureWords, type Units } from '../../quantity/words';
import { piecesName, windowOf, type JobDraft } from './job';
import type { PitPlan } from '../schedule/pitPlan';
import { LID_SECONDS } from '../fire/policyTrial';
import type { RequestMeat } from '../request/types';

/** Where it rests, in words. */
const REST_WORDS: Readonly<Record<RestWhere, string>> = {
  open: ' in the open',
  tented: ' under loose foil',
  counter: ' on the counter, wrapped',
  'cool-box': ' in a dry cool box with towels',
  warmer: ' in a warmer',
  oven: ' in a low oven',
};
const LAST = 'Under 60 C (140 F) held meat is not held any more.';

/** Everything that is done with one piece (or so many alike). */
export function meatJobs(
  plan: PitPlan,
  meat: RequestMeat,
  i: number,
  pieces: number,
  units: Units,
): JobDraft[] {
  const { setup: way } = plan;
  const name = piecesName(meat, pieces);
  // The first piece keeps the plain names; the others carry their own.
  const id = (job: string): string => (i === 0 ? job : `${job}-${meat.id}`);
  const [p10, p50, p90] = windowOf(plan.readyMin[i]!);
  const jobs: JobDraft[] = [
    {
      id: id('meat-on'),
      atMin: plan.onMin[i]!,
      do: 'meat-on',
      inWords: `Put the ${name} on`,
      detail: `In clean smoke, ${ON_WORDS[way.preset.traits.meatPlacement]} Straight from the fridge.`,
      logs: [
        { do: 'lid-open', seconds: LID_SECONDS.on },
        { do: 'meat-on', meat: meat.id },
      ],
    },
  ];
  const wraps = plan.wrapMin[i]!.filter(Number.isFinite);
  const wrapWith = meat.wrap.with;
  if (wraps.length > 0 && wrapWith !== 'none') {
    const [w10, w50, w90] = p10p50p90(wraps);
    jobs.push({
      id: id('wrap'),
      atMin: w50,
      spanMin: [w10, w90],
      do: 'wrap',
      inWords: `${wrapWith === 'boat' ? 'Set' : 'Wrap'} the ${name} in ${WRAPS[wrapWith].name}`,
      detail: wrapWhenWords(meat, units),
      logs: [
        { do: 'lid-open', seconds: LID_SECONDS.wrap },
        { do: 'wrap', meat: meat.id, with: wrapWith },
      ],
    });
  }
  jobs.push(
    {
      id: id('check'),
      atMin: p10,
      do: 'check',
      inWords:
        'tender' in meat.done ? `Start probing the ${name}` : `Look at the middle of the ${name}`,
      detail:
        'tender' in meat.done
          ? 'A probe goes in as into soft butter, in two or three spots.'
          : `Done when it reads ${temperatureWords(meat.done.coreC, units)} in the thickest part.`,
      logs: [],
    },
    {
      id: id('off'),
      atMin: p50,
      spanMin: [p10, p90],
      do: 'meat-off',
      inWords: `Take the ${name} off to rest`,
      detail: `At least ${spanOfTime(meat.rest.minutes)}${REST_WORDS[meat.rest.where]}.${meat.rest.where === 'cool-box' ? ` ${LAST}` : ''}`,
      logs: [{ do: 'meat-off', meat: meat.id }],
    },
  );
  return jobs;
}

const ON_WORDS = {
  'away-from-fire': 'away from the fire, lid vent across from it.',
  'over-pan': 'on the upper grate, over the pan.',
  'over-deflector': 'over the deflector.',
  'thick-end-to-firebox': 'the thick or fatty end towards the firebox, clear of its mouth.',
  'either-way-round': 'either way round: the heat comes from under the plate and from both ends.',
  middle: 'in the middle of the grate.',
} as const;

function wrapWhenWords(meat: RequestMeat, units: Units): string {
  const { when } = meat.wrap;
  if (!when || 'coreC' in when) {
    return `When the middle reads ${temperatureWords(when?.coreC ?? 74, units)}.`;
  }
  if ('stalled' in when) return 'When the middle has stopped climbing.';
  return 'atMin' in when ? 'At this time.' : 'When nothing comes off on a finger.';
}
