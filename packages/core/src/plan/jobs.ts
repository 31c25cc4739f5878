/** The jobs of a plan: what to do, when, in plain words, and what "done" writes into the log. */
import type { RestWhere } from '../meat/rest';
import { cutOf } from '../meat/cuts';
import { WRAPS } from '../meat/wraps';
import { localOf, MINUTE_MS } from '../quantity/time';
import {
  countWords,
  massWords,
  METRIC,
  smallMassWords,
  spanOfTime,
  temperatureWords,
} from '../quantity/words';
import { LID_SECONDS, LIT_PIECES, type Choice } from './build';
import type { Plan, PlanJob, PlannedFire, Request } from './types';
import { ventWords } from './vents';

/** What the jobs are made from; minutes after lighting. */
export interface Moments {
  lightMs: number;
  serveMin: number;
  wrapMin: [number, number, number] | null;
  readyMin: [number, number, number];
}

type Draft = Omit<PlanJob, 'at'>;
/** Time to lay a snake and get a dozen briquettes ashed over, min (common practice 15-20 for the coals). */
const LAYING_MIN = 40;
const CHIMNEY_MIN = 20;
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

/** All jobs in order of time. */
export function jobsOf(
  request: Request,
  choice: Choice,
  fire: PlannedFire,
  settlesC: number,
  m: Moments,
): PlanJob[] {
  const meat = request.meats[0]!;
  const cut = cutOf(meat.cut);
  const units = request.units ?? METRIC;
  const name = choice.pieces === 1 ? cut.name : cut.plural;
  const target = temperatureWords(request.pits[0]!.pace.pitC, units);
  const chunk = fire.woodChunks[0];
  const chunkText = chunk
    ? `, ${countWords(fire.woodChunks.length, 'chunk', 'chunks')} of ${chunk.species} of ${smallMassWords(chunk.massG, units)} on top`
    : '';
  const open = { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 } as const;
  const hold = {
    do: 'set-vents',
    intakeFraction: choice.intakeFraction,
    exhaustFraction: choice.exhaustFraction,
  } as const;
  const [p10, p50, p90] = m.readyMin;
  const drafts: Draft[] = [
    {
      id: 'lay',
      atMin: -LAYING_MIN,
      do: 'lay-fire',
      inWords: 'Lay the snake',
      detail: `${fire.pieces} briquettes, ${fire.side} wide and ${fire.layers} high, ${Math.round(fire.arcDegrees)} degrees round${chunkText}.`,
      logs: [],
    },
    {
      id: 'chimney',
      atMin: -CHIMNEY_MIN,
      do: 'light',
      inWords: `Light ${LIT_PIECES} briquettes in the chimney`,
      detail: 'Ready when they are ashed over. Outdoors only; no lighter fluid.',
      logs: [],
    },
    {
      id: 'light',
      atMin: 0,
      do: 'set-vents',
      inWords: 'Tip the lit ones on the head of the snake',
      detail: 'Lid on, both vents fully open.',
      logs: [open],
    },
    {
      id: 'hold',
      atMin: choice.closeAtMin,
      do: 'set-vents',
      inWords: `Bowl vent ${ventWords(choice.intakeFraction)}, lid vent ${ventWords(choice.exhaustFraction)}`,
      detail: `The pit passes ${temperatureWords(request.pits[0]!.pace.pitC - CLOSE_BELOW_K, units)} on its way up. It should settle near ${temperatureWords(settlesC, units)} for a target of ${target}.`,
      logs: [hold],
    },
    {
      id: 'meat-on',
      atMin: choice.meatOnMin,
      do: 'meat-on',
      inWords: `Put the ${name} on`,
      detail:
        'In clean smoke, in the middle, lid vent across from the fire. Straight from the fridge.',
      logs: [
        { do: 'lid-open', seconds: LID_SECONDS.on },
        { do: 'meat-on', meat: meat.id },
      ],
    },
  ];
  if (choice.lengthenPieces > 0) {
    drafts.push({
      id: 'lengthen',
      atMin: choice.lengthenAtMin,
      do: 'add-fuel',
      inWords: `Lengthen the snake by ${choice.lengthenPieces} briquettes`,
      detail: 'Unlit, at the tail, round into the gap the fire has left. Clear the ash first.',
      logs: [{ do: 'add-fuel', fuel: fire.fuel, pieces: choice.lengthenPieces, lit: false }],
    });
  }
  const wrapWith = meat.wrap.with;
  if (m.wrapMin && wrapWith !== 'none') {
    const when = meat.wrap.when;
    drafts.push({
      id: 'wrap',
      atMin: Math.round(m.wrapMin[1]),
      spanMin: [m.wrapMin[0], m.wrapMin[2]],
      do: 'wrap',
      inWords: `Wrap in ${WRAPS[wrapWith].name}`,
      detail:
        when && 'coreC' in when
          ? `When the middle reads ${temperatureWords(when.coreC, units)}.`
          : when && 'stalled' in when
            ? 'When the middle has stopped climbing.'
            : 'When nothing comes off on a finger.',
      logs: [
        { do: 'lid-open', seconds: LID_SECONDS.wrap },
        { do: 'wrap', meat: meat.id, with: wrapWith },
      ],
    });
  }
  drafts.push(
    {
      id: 'check',
      atMin: Math.round(p10),
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
      id: 'off',
      atMin: Math.round(p50),
      spanMin: [p10, p90],
      do: 'meat-off',
      inWords: `Take the ${name} off to rest`,
      detail: `At least ${spanOfTime(meat.rest.minutes)}${REST_WORDS[meat.rest.where]}.${meat.rest.where === 'cool-box' ? ` ${LAST}` : ''}`,
      logs: [{ do: 'meat-off', meat: meat.id }],
    },
    {
      id: 'shut',
      atMin: Math.round(p50) + 5,
      do: 'shut-down',
      inWords: 'Shut both vents',
      detail: 'The rest of the snake goes out and is saved. Ash stays hot for days.',
      logs: [{ do: 'set-vents', intakeFraction: 0, exhaustFraction: 0 }],
    },
    {
      id: 'serve',
      atMin: Math.max(Math.round(m.serveMin), Math.round(p50) + 10),
      do: 'serve',
      inWords: `Serve ${countWords(request.people, 'person', 'people')}`,
      detail: `${massWords(choice.pieces * meat.massKg, units)} raw went in.`,
      logs: [],
    },
  );
  return drafts
    .sort((a, b) => a.atMin - b.atMin)
    .map((d) => ({ ...d, at: localOf(m.lightMs + d.atMin * MINUTE_MS, request.timeZone) }));
}

/** How far under the target the vents are closed down on the way up, K (common practice 10-20). */
export const CLOSE_BELOW_K = 12;

/** Visits and the longest stretch without one, from the jobs between lighting and taking off. */
export function watchOf(jobs: PlanJob[]): Plan['watch'] {
  const times = [
    ...new Set(jobs.filter((j) => j.do !== 'serve' && j.atMin >= -CHIMNEY_MIN).map((j) => j.atMin)),
  ];
  let longest = 0;
  for (let i = 1; i < times.length; i++) longest = Math.max(longest, times[i]! - times[i - 1]!);
  return { visits: times.length, longestFreeMin: longest, shifts: [] };
}
