/** The fire sheet: what whoever takes over the watch has to know, in a dozen lines. */
import { foldLog, lastVents, type Entry, type LogLine } from '@ostrin/core/log';
import { localOf, type Units } from '@ostrin/core/quantity';
import { pitOf, type PitPlan } from '@ostrin/core';
import { isDue, type Diagnosis, type Forecast, type Orders } from '@ostrin/core/tending';
import { stateWords, trendWords } from './diagnosis';
import { actionWords, foodWords, readWords } from './log';
import { lookWords } from './looks';
import { orderWords } from './orders';
import { jobWords } from './plan/jobs';
import { ruleWords } from './plan/rule';
import { riskWords } from './plan/risks';
import { capital, temperatureWords } from './quantities';
import { settingWords, ventedPit } from './vents';

/** What is known of the cook that is handed over. */
export interface FireNow {
  plan: PitPlan;
  /** What the pit is called. */
  pitName: string;
  entries: readonly Entry[];
  /** The last readings, C; null where there are none. */
  pitC: number | null;
  coreC: number | null;
  state: Diagnosis;
  forecast: Forecast | null;
  /** The window in which it is ready, as the page says it. */
  ready: string;
  /** What to do now, and the jobs after it. */
  orders: Orders;
  /** The cook's clock, epoch ms. */
  nowMs: number;
  /** What a piece is called. */
  pieceName: (id: string) => string;
  units: Units;
}

/** Jobs and remarks that a sheet tells; the plan tells the rest. */
const NEXT_JOBS = 3;
const LAST_LINES = 3;
const SIGNS = 2;

/** What a line of the log says was done: a deed in words, or the job it did. */
function doneWords(l: LogLine, plan: PitPlan, units: Units): string {
  if (l.body.kind === 'note') return l.body.text;
  if (l.body.kind === 'look') return lookWords(l.body);
  if (l.body.kind === 'read') return readWords(l.body, units);
  if (l.body.kind === 'add-food') return foodWords(l.body.food, units);
  if (l.body.kind === 'act') {
    const telling = { units, pit: ventedPit(pitOf(plan)) };
    return actionWords(l.body.action, telling);
  }
  const job = plan.jobs.find((j) => j.id === l.jobId);
  const words = job ? jobWords(job.facts, pitOf(plan), units).inWords : 'a job';
  return l.body.kind === 'skip' ? `skipped: ${words}` : words;
}

/** A command without its full stop. */
const unstopped = (words: string): string => words.replace(/\.$/, '');

/** The sheet as lines of text, one thing a line. */
export function fireSheet(fire: FireNow): string {
  const { plan, pitName, entries, pitC, coreC, state, forecast, ready, units } = fire;
  const { order, next, comesBack } = fire.orders;
  const pit = pitOf(plan);
  const vented = ventedPit(pit);
  const log = foldLog(entries);
  const { pitC: target, bandC } = pit.pace;
  const clock = (ms: number): string => localOf(ms, plan.request.timeZone).slice(11);
  const vents = lastVents(log.lines);
  const left = forecast?.fuelLeftFraction;
  return [
    `${capital(pitName)} is to hold ${temperatureWords(target, units)}, ${temperatureWords(target - bandC, units)} to ${temperatureWords(target + bandC, units)}. ${
      pitC === null ? 'No reading.' : `It reads ${temperatureWords(pitC, units)}.`
    }`,
    `${trendWords(state)}. ${stateWords(state.cause, pit, comesBack)}`,
    vents
      ? `Vents: ${settingWords(vented, vents.intakeFraction, vents.exhaustFraction)}.`
      : 'The vents were not logged.',
    ...(plan.rules ?? []).flatMap((r) => ruleWords(r, pit, units)),
    ...(left == null ? [] : [`Fuel left: about ${Math.round(left * 100)} % of the load.`]),
    ...(coreC === null ? [] : [`Meat: ${temperatureWords(coreC, units)} in the middle.`]),
    `${capital(ready)}, served at ${log.serveMs === null ? plan.serveAt.slice(11) : clock(log.serveMs)}.`,
    `${isDue(order, fire.nowMs) ? 'Now:' : `Next: ${clock(order.ms)}`} ${unstopped(orderWords(order, { ...fire, pit, cause: state.cause }).inWords)}.`,
    ...next
      .slice(0, NEXT_JOBS - 1)
      .map(({ job, ms }) => `Next: ${clock(ms)} ${jobWords(job.facts, pit, units).inWords}.`),
    ...plan.risks
      .slice(0, SIGNS)
      .map((r) => riskWords(r, vented, units))
      .map((r) => `Look for: ${r.sign}. ${capital(r.move)}`),
    ...log.lines
      .slice(-LAST_LINES)
      .map(
        (l) => `Done at ${clock(l.at)}: ${doneWords(l, plan, units)}${l.by ? `, ${l.by}` : ''}.`,
      ),
  ].join('\n');
}
