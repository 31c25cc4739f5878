/**
 * Plays a planned cook through on the simulated thermometer: every curve of the demo's past cooks
 * comes from here, never from a pen.
 */
import type { CookDoc, Reading } from '@ostrin/contract';
import { clamp, epochOf, mean, MINUTE_MS } from '@ostrin/core/quantity';
import { presetOf } from '@ostrin/core/catalogue';
import type { Entry, EntryBody } from '@ostrin/core/log';
import { leadMeat, pitOf, type PitPlan, type PlanLog, type Scenario } from '@ostrin/core';
import { READ_EVERY_MS, SimulatedThermometer } from '../instruments/simulatedThermometer';

/** An invented cook: its plan, what went otherwise, and what the crew wrote down. */
export interface Story {
  id: string;
  name: string;
  pitName: string;
  plan: PitPlan;
  /** What was really true, where it was not what the plan supposed. */
  really?: (scenario: Scenario) => Scenario;
  /** How late each job was done, min. */
  lateMin: Record<string, number>;
  notes: { atMin: number; text: string }[];
  extra: { atMin: number; action: PlanLog }[];
  /** The middle of the meat at which it was called done, C. */
  callAtC: number;
  /** Whether somebody looked at the thermometer now and then and moved the vents a rung. */
  trims: boolean;
  /** Given up on this fire, min after lighting. */
  offAtMin?: number;
  /** What was said of it once it was over, of its first piece. */
  after?: (meat: string) => EntryBody[];
}

/** Nobody stays up longer than this, min after lighting. */
const LATEST_MIN = 900;

/** When the crew first judges the pit, and how often after that, min (common practice). */
const FIRST_TRIM_MIN = 70;
const TRIM_EVERY_MIN = 40;

interface Vents {
  intakeFraction: number;
  exhaustFraction: number;
}

/** The vents of a pit whose two are moved together are never moved further at once than this, as a factor. */
const FARTHEST = 1.6;

/** Both vents of a pit that are moved together, by what a move of them is worth there. */
function together(
  plan: PitPlan,
  { intakeFraction, exhaustFraction }: Vents,
  offK: number,
): Vents | null {
  const { holding } = presetOf(pitOf(plan).cooker.preset);
  if (!holding.exhaustPerIntake) return null;
  const times = clamp(Math.exp(-offK / holding.kelvinPerEFold), 1 / FARTHEST, FARTHEST);
  const moved = (fraction: number): number => clamp(Number((fraction * times).toFixed(3)), 0.01, 1);
  return { intakeFraction: moved(intakeFraction), exhaustFraction: moved(exhaustFraction) };
}

/** A sixteenth wider or tighter when the pit has left its band for ten minutes, or null. */
function trim(plan: PitPlan, recent: Reading[], vents: Vents): Vents | null {
  const { pitC: target, bandC } = pitOf(plan).pace;
  const seen = recent.flatMap((r) => (r.pitC === null ? [] : [r.pitC]));
  if (seen.length < 10) return null;
  const off = mean(seen) - target;
  if (Math.abs(off) < 0.75 * bandC) return null;
  const both = together(plan, vents, off);
  if (both) return both;
  const { exhaustFraction } = vents;
  const intakeFraction = clamp(vents.intakeFraction - Math.sign(off) / 16, 1 / 16, 1);
  return intakeFraction === vents.intakeFraction ? null : { intakeFraction, exhaustFraction };
}

/** A fresh id for every entry; passed in, so that a test can hold it still. */
type NewId = () => string;

/** The finished cook of a story. */
export function playStory(story: Story, newId: NewId): CookDoc {
  const { plan } = story;
  const [scenario] = plan.scenarios;
  const truth: PitPlan = { ...plan, scenarios: [story.really?.(scenario) ?? scenario] };
  const startMs = epochOf(plan.lightAt, plan.request.timeZone);
  const first = Math.min(...plan.jobs.map((j) => j.atMin));
  const instrument = new SimulatedThermometer(story.id, truth, startMs + (first - 2) * MINUTE_MS);
  const entries: Entry[] = [];
  const readings: Reading[] = [];
  const add = (entry: Entry): void => {
    entries.push(entry);
    instrument.follow(entries);
  };
  const doJob = (id: string, at: number): void => {
    const job = plan.jobs.find((j) => j.id === id);
    if (!job) return;
    if (job.logs.length === 0) add({ id: newId(), at, jobId: id, kind: 'job' });
    for (const action of job.logs) add({ id: newId(), at, jobId: id, kind: 'act', action });
  };
  const later = ['wrap', 'check', 'off', 'shut', 'serve'];
  const plain = plan.jobs.filter((j) => !later.includes(j.id) && j.do !== 'check');
  const waiting = [
    ...plain.map((j) => ({
      at: startMs + (j.atMin + (story.lateMin[j.id] ?? 0)) * MINUTE_MS,
      run: (at: number) => doJob(j.id, at),
    })),
    ...story.extra.map((x) => ({
      at: startMs + x.atMin * MINUTE_MS,
      run: (at: number) => add({ id: newId(), at, kind: 'act', action: x.action }),
    })),
    ...story.notes.map((n) => ({
      at: startMs + n.atMin * MINUTE_MS,
      run: (at: number) => add({ id: newId(), at, kind: 'note', text: n.text }),
    })),
  ].sort((a, b) => a.at - b.at);
  const { id: meat, wrap } = leadMeat(plan);
  const wrapAtC =
    wrap.with === 'none' ? Infinity : wrap.when && 'coreC' in wrap.when ? wrap.when.coreC : 72;
  const offJob = plan.jobs.find((j) => j.id === 'off')!;
  const lastMs = startMs + (story.offAtMin ?? Math.min(LATEST_MIN, offJob.atMin + 150)) * MINUTE_MS;
  let wrapped = false;
  let vents: Vents = plan.vents[0]!;
  let trimAt = startMs + FIRST_TRIM_MIN * MINUTE_MS;
  for (let at = Math.ceil((startMs + (first - 1) * MINUTE_MS) / READ_EVERY_MS) * READ_EVERY_MS; ;) {
    while (waiting.length > 0 && waiting[0]!.at <= at) waiting.shift()!.run(at);
    readings.push(...instrument.readUntil(at));
    if (story.trims && at >= trimAt) {
      const move = trim(plan, readings.slice(-20), vents);
      trimAt = at + TRIM_EVERY_MIN * MINUTE_MS;
      if (move) {
        vents = move;
        add({ id: newId(), at, kind: 'act', action: { do: 'set-vents', ...move } });
      }
    }
    const core = readings.at(-1)?.coreC ?? null;
    if (!wrapped && core !== null && core >= wrapAtC) {
      doJob('wrap', at);
      wrapped = true;
    }
    if ((core !== null && core >= story.callAtC) || at >= lastMs) {
      for (const id of ['check', 'off', 'shut']) doJob(id, at);
      const end = at + 30 * MINUTE_MS;
      readings.push(...instrument.readUntil(end));
      add({ id: newId(), at: end, kind: 'finish' });
      for (const body of story.after?.(meat) ?? []) entries.push({ id: newId(), at: end, ...body });
      break;
    }
    at += READ_EVERY_MS;
  }
  return {
    ostrin: 'cook/1',
    id: story.id,
    name: story.name,
    pitName: story.pitName,
    startMs,
    plan,
    entries,
    readings,
  };
}
