/** The jobs of a plan: what to do, when, in plain words, and what "done" writes into the log. */
import { charcoalKg, type Action } from '../cook/scenario';
import { cutOf } from '../meat/cuts';
import type { RestWhere } from '../meat/rest';
import { WRAPS } from '../meat/wraps';
import { tenFiftyNinety } from '../quantity/statistics';
import { countWords, massWords, spanOfTime, temperatureWords, type Units } from '../quantity/words';
import { LONGEST_MIN, type CookPlan } from './cookPlan';
import { LID_SECONDS } from './trial';
import type { PlanJob, PlanLog, RequestMeat } from './types';
import { charcoalWords, litWords, settingWords, splitWords } from './words';

/** A job before it has a time of day; minutes after lighting of its pit. */
export type Draft = Omit<PlanJob, 'at'>;

/** Time to lay a fire, and to get charcoal glowing, min (common practice 15-20 for the coals). */
const LAYING_MIN = 40;
const CHIMNEY_MIN = 20;
/** Usual length of splits, cm. */
const SPLIT_CM = { light: 25, heavy: 40 };
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

/** Minutes after lighting of the windows of a piece. */
export const windowOf = (minutes: readonly number[]): [number, number, number] =>
  tenFiftyNinety(minutes).map((v) => (Number.isFinite(v) ? v : LONGEST_MIN)) as [
    number,
    number,
    number,
  ];

/** The name of a meat as so many pieces. */
export const piecesName = (meat: RequestMeat, pieces: number): string =>
  pieces === 1 ? cutOf(meat.cut).name : cutOf(meat.cut).plural;

/** All jobs at one pit in order of time. `meats` and `pieces` are those on this pit, in the plan's order. */
export function jobsAt(
  plan: CookPlan,
  meats: readonly RequestMeat[],
  pieces: readonly number[],
  units: Units,
  pit?: string,
): Draft[] {
  const last = Math.max(...meats.map((_, i) => windowOf(plan.readyMin[i]!)[1]));
  const drafts = [
    ...fireJobs(plan, last, units),
    ...meats.flatMap((m, i) => meatJobs(plan, m, i, pieces[i]!, units)),
    shutJob(plan, last),
  ];
  return drafts
    .map((d) => ({ ...d, atMin: Math.round(d.atMin), ...(pit ? { pit } : {}) }))
    .sort((a, b) => a.atMin - b.atMin);
}

/** Laying, lighting, vents and feeding, up to the minute everything is off. */
function fireJobs(plan: CookPlan, lastMin: number, units: Units): Draft[] {
  const { way, scenario, guide } = plan;
  const fire = scenario.fire!;
  const jobs: Draft[] = [
    {
      id: 'lay',
      atMin: -LAYING_MIN,
      do: 'lay-fire',
      inWords: fire.arrangement === 'snake' ? 'Lay the snake' : 'Build the fire',
      detail: buildLine(plan, units),
      logs: [],
    },
    {
      id: 'chimney',
      atMin: -CHIMNEY_MIN,
      do: 'light',
      inWords: lightWords(plan, units),
      detail:
        fire.fuel === 'lump'
          ? 'Ready as soon as the yellow flame is gone. Outdoors only; no lighter fluid.'
          : 'Ready when they are ashed over. Outdoors only; no lighter fluid.',
      logs: [],
    },
  ];
  const up = guide.up;
  const open = { do: 'set-vents', intakeFraction: up.intake, exhaustFraction: up.exhaust } as const;
  const target = temperatureWords(way.pit.pace.pitC, units);
  jobs.push({
    id: 'light',
    atMin: 0,
    do: 'set-vents',
    inWords:
      fire.arrangement === 'snake'
        ? 'Tip the lit ones on the head of the snake'
        : 'Lit coals in place, lid shut',
    detail: way.fanned
      ? `Fan on, set to ${target}.`
      : `${settingWords(way, up.intake, up.exhaust)} while it comes up.`,
    logs: way.fanned ? [{ do: 'set-target', targetC: way.pit.pace.pitC }] : [open],
  });
  return [...jobs, ...movesOf(plan, lastMin, units)];
}

function buildLine(plan: CookPlan, units: Units): string {
  const { scenario, way, loadKg } = plan;
  const fire = scenario.fire!;
  const chunk = fire.woodChunks[0];
  const chunks = chunk
    ? `, ${countWords(fire.woodChunks.length, 'chunk', 'chunks')} of ${chunk.species}`
    : '';
  const lie =
    fire.arrangement === 'snake'
      ? `, ${fire.side} wide and ${fire.layers} high, ${Math.round(fire.arcDegrees)} degrees round`
      : ` in the ${way.preset.loadIn}`;
  return `${charcoalWords(fire, loadKg, units)}${lie}${chunks}.`;
}

function lightWords(plan: CookPlan, units: Units): string {
  const fire = plan.scenario.fire!;
  const what = litWords(fire, units);
  return fire.arrangement === 'bowl' || fire.arrangement === 'hopper'
    ? `Light the ${plan.way.preset.loadIn} with ${what}`
    : `Light ${what} in the chimney`;
}

/** What the tender of the middle of the road does at its minute, as jobs. */
function movesOf(plan: CookPlan, lastMin: number, units: Units): Draft[] {
  const { way, guide } = plan;
  const byMinute = new Map<number, Action[]>();
  for (const a of plan.result.happened as Action[]) {
    if (!['set-vents', 'add-fuel', 'add-wood', 'door', 'rake', 'fill-water'].includes(a.do))
      continue;
    if (a.atMin === 0 || a.atMin > lastMin) continue;
    byMinute.set(a.atMin, [...(byMinute.get(a.atMin) ?? []), a]);
  }
  const jobs: Draft[] = [];
  let held = false;
  let fed = 0;
  let moved = 0;
  for (const [atMin, actions] of byMinute) {
    const fuel = actions.filter((a) => a.do === 'add-fuel');
    const vents = actions.find((a) => a.do === 'set-vents');
    if (fuel.length > 0) {
      fed += 1;
      const lid = way.preset.family === 'offset' || way.preset.family === 'hopper';
      jobs.push({
        ...feedWords(plan, fuel, units),
        id: way.splits ? `feed-${fed}` : fed === 1 ? 'lengthen' : `lengthen-${fed}`,
        atMin,
        do: 'add-fuel',
        logs: [
          ...(lid ? [] : [{ do: 'lid-open' as const, seconds: LID_SECONDS.wrap }]),
          ...actions.filter((a) => a.do !== 'set-vents').map(logOf),
        ],
      });
    }
    if (!vents) continue;
    const first = !held;
    if (!first) moved += 1;
    held = true;
    const target = temperatureWords(way.pit.pace.pitC, units);
    const setting = settingWords(way, vents.intakeFraction, vents.exhaustFraction);
    jobs.push(
      first
        ? {
            id: 'hold',
            atMin,
            do: 'set-vents',
            inWords: setting,
            detail: `When the pit passes ${temperatureWords(way.pit.pace.pitC - guide.closeBelowK, units)} on its way up. It should settle near ${target}.`,
            logs: [logOf(vents)],
          }
        : {
            // A look, not a move: whether it is needed the thermometer says.
            id: `trim-${moved}`,
            atMin,
            do: 'check',
            inWords: 'Look at the pit',
            detail: `If it stands off ${target}: ${setting}. If not, leave it.`,
            logs: [],
          },
    );
  }
  return jobs;
}

/** An action as the log keeps it. */
function logOf(action: Action): PlanLog {
  const { atMin: _, ...log } = action;
  return log as PlanLog;
}

function feedWords(
  plan: CookPlan,
  fuel: Action[],
  units: Units,
): Pick<Draft, 'inWords' | 'detail'> {
  const { way, scenario } = plan;
  const split = fuel.find((a) => a.do === 'add-fuel' && a.fuel === 'splits');
  const charcoal = fuel.find((a) => a.do === 'add-fuel' && a.fuel !== 'splits');
  const kg = charcoal?.do === 'add-fuel' ? charcoalKg(charcoal) : 0;
  if (split?.do === 'add-fuel') {
    const lump = charcoal ? ` and ${charcoalWords({ fuel: 'lump' }, kg, units)}` : '';
    return {
      inWords: `A split of ${splitWords(split.massKg ?? 0, splitCm(way.physics.fireWallM2), units)}${lump}`,
      detail:
        'Warmed on the firebox; door ajar a minute while it catches. Lay the next one to warm.',
    };
  }
  if (scenario.fire!.arrangement === 'snake') {
    return {
      inWords: `Lengthen the snake by ${charcoalWords(scenario.fire!, kg, units)}`,
      detail: 'Unlit, at the tail, round into the gap the fire has left. Clear the ash first.',
    };
  }
  return {
    inWords: `Top up with ${charcoalWords(scenario.fire!, kg, units)}`,
    detail: way.fed
      ? 'Unlit, beside the glowing coals, with a chunk; rake the ash through first.'
      : 'Unlit, against the glowing ones.',
  };
}

/** Length of splits that a firebox takes, cm. */
export const splitCm = (fireWallM2: number): number =>
  fireWallM2 < 0.8 ? SPLIT_CM.light : SPLIT_CM.heavy;

/** Everything that is done with one piece (or so many alike). */
function meatJobs(
  plan: CookPlan,
  meat: RequestMeat,
  i: number,
  pieces: number,
  units: Units,
): Draft[] {
  const { way } = plan;
  const name = piecesName(meat, pieces);
  // The first piece keeps the plain names; the others carry their own.
  const id = (job: string): string => (i === 0 ? job : `${job}-${meat.id}`);
  const [p10, p50, p90] = windowOf(plan.readyMin[i]!);
  const jobs: Draft[] = [
    {
      id: id('meat-on'),
      atMin: plan.onMin[i]!,
      do: 'meat-on',
      inWords: `Put the ${name} on`,
      detail: `In clean smoke, ${ON_WORDS[way.preset.family]} Straight from the fridge.`,
      logs: [
        { do: 'lid-open', seconds: LID_SECONDS.on },
        { do: 'meat-on', meat: meat.id },
      ],
    },
  ];
  const wraps = plan.wrapMin[i]!.filter(Number.isFinite);
  const wrapWith = meat.wrap.with;
  if (wraps.length > 0 && wrapWith !== 'none') {
    const [w10, w50, w90] = tenFiftyNinety(wraps);
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
  kettle: 'away from the fire, lid vent across from it.',
  bullet: 'on the upper grate, over the pan.',
  kamado: 'over the deflector.',
  offset: 'the thick or fatty end towards the firebox, clear of its mouth.',
  hopper: 'in the middle of the grate.',
} as const;

function wrapWhenWords(meat: RequestMeat, units: Units): string {
  const { when } = meat.wrap;
  if (!when || 'coreC' in when) {
    return `When the middle reads ${temperatureWords(when?.coreC ?? 74, units)}.`;
  }
  if ('stalled' in when) return 'When the middle has stopped climbing.';
  return 'atMin' in when ? 'At this time.' : 'When nothing comes off on a finger.';
}

function shutJob(plan: CookPlan, lastMin: number): Draft {
  const { way } = plan;
  return {
    id: 'shut',
    atMin: lastMin + 5,
    do: 'shut-down',
    inWords: way.fanned ? 'Fan off, everything shut' : 'Shut both vents',
    detail: 'What is not burnt goes out and is saved for the next fire. Ash stays hot for days.',
    logs: [
      way.fanned
        ? { do: 'fan', on: false }
        : { do: 'set-vents', intakeFraction: 0, exhaustFraction: 0 },
    ],
  };
}

/** What a job at the table says. */
export const serveDetail = (kg: number, units: Units): string => `${massWords(kg, units)} went on.`;
