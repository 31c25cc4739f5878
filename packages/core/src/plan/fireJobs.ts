/** Jobs at the fire: laying, lighting, vents, feeding, shutting down. */
import { charcoalKg, type Action } from '../cook/scenario';
import { splitCm } from '../pit/usual';
import { countWords, temperatureWords, type Units } from '../quantity/words';
import { lastOffMin, type Draft } from './job';
import type { CookPlan } from './part';
import { LID_SECONDS } from './trial';
import type { PlanLog } from './types';
import { charcoalWords, litWords, settingWords, splitWords } from './words';

/** Time to lay a fire, and to get charcoal glowing, min (common practice 15-20 for the coals). */
const LAYING_MIN = 40;
const CHIMNEY_MIN = 20;

/** A vent moved later than so long before everything is off does nothing any more, min (common practice). */
const MOVE_TELLS_MIN = 30;

/** A set-vents of the plan's cook. */
export type Move = Extract<Action, { do: 'set-vents' }>;

/** The vents of the middle of the road that are worth telling, up to the minute everything is off. */
export function movesTold(plan: CookPlan): Move[] {
  const lastMin = lastOffMin(plan);
  return (plan.result.happened as Action[])
    .filter((a): a is Move => a.do === 'set-vents' && a.atMin > 0 && a.atMin <= lastMin)
    .filter((a, i) => i === 0 || a.atMin <= lastMin - MOVE_TELLS_MIN);
}

/** When everything is off: at the earliest (1 in 10), and in the middle, min after lighting. */
export interface Off {
  firstMin: number;
  lastMin: number;
}

/** Laying, lighting, vents and feeding, up to the minute everything is off. */
export function fireJobs(plan: CookPlan, off: Off, units: Units): Draft[] {
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
  return [...jobs, ...movesOf(plan, off, units)];
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
function movesOf(plan: CookPlan, { firstMin, lastMin }: Off, units: Units): Draft[] {
  const { way, guide } = plan;
  const byMinute = new Map<number, Action[]>();
  const told = new Set<Action>(movesTold(plan));
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
    const vents = actions.find((a) => told.has(a)) as Move | undefined;
    if (fuel.length > 0) {
      fed += 1;
      const lid = way.preset.family === 'offset' || way.preset.family === 'hopper';
      const feed = feedWords(plan, fuel, units);
      // Charcoal that only slow cooks need is put on when this one proves to be slow.
      const ifSlow = !way.splits && atMin >= firstMin;
      jobs.push({
        ...feed,
        ...(ifSlow ? { inWords: `Not done yet? ${feed.inWords}` } : {}),
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
      inWords: `A split of ${splitWords(split.massKg ?? 0, splitCm(way.physics), units)}${lump}`,
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

export function shutJob(plan: CookPlan, lastMin: number): Draft {
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
