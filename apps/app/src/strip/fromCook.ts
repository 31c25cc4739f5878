/** A strip's data from a cook: readings, forecast or plan, log lines and jobs. */
import type { Reading } from '@ostrin/contract/types';

import { pitOf, type PitPlan, leadMeat } from '@ostrin/core';
import {
  type Log,
  type LogLine,
  jobsByTime,
  piecesOfLine,
  litAtMs,
  type DueJob,
} from '@ostrin/core/log';
import { MINUTE_MS, type Units } from '@ostrin/core/quantity';
import {
  type VentedPit,
  jobWords,
  lowered,
  actionWords,
  lookWords,
  foodWords,
  readWords,
  shortOpening,
  ventedPit,
} from '@ostrin/wording';
import { pieceNamed } from '../store/names';
import {
  effectTraces,
  expectedPoints,
  otherTraces,
  planGhosts,
  type StripInput,
} from './tracesOfCook';
import {
  rangeOf,
  sampled,
  type BandSpan,
  type Mark,
  type MarkKind,
  type Point,
  type StripData,
  type Trace,
} from './model';

const KIND_OF: Record<string, MarkKind> = {
  'set-vents': 'vents',
  'lid-open': 'lid',
  'add-fuel': 'fuel',
  'add-wood': 'fuel',
  'meat-on': 'meat',
  'meat-off': 'meat',
  wrap: 'meat',
  unwrap: 'meat',
  spritz: 'meat',
  sauce: 'meat',
  turn: 'meat',
  move: 'meat',
  'oven-finish': 'meat',
  'lay-fire': 'fuel',
  light: 'fuel',
  check: 'meat',
  serve: 'watch',
  'shut-down': 'vents',
};

const SHORT_JOB: Record<string, string> = {
  lay: 'lay fire',
  chimney: 'light coals',
  light: 'coals in',
  hold: 'vents down',
  'meat-on': 'meat on',
  feed: 'split',
  lengthen: 'more fuel',
  trim: 'look',
  turn: 'turn',
  swap: 'swap ends',
  spray: 'spray',
  wrap: 'wrap window',
  bare: 'unwrap',
  sauce: 'sauce',
  smoke: 'smoke wood',
  'second-pace': 'new heat',
  check: 'start probing',
  off: 'off to rest',
  shut: 'shut vents',
  serve: 'serve',
};

/** A job's short name; those that come again are numbered. */
const shortJob = (id: string): string | undefined => SHORT_JOB[id.replace(/-\d+$/, '')];

/** Settings of both vents as short as the pit's owner says them. */
function ventsLabel(
  a: { intakeFraction: number; exhaustFraction: number },
  pit: VentedPit,
): string {
  return `vents ${shortOpening(pit, 'intake', a.intakeFraction)}, ${shortOpening(pit, 'exhaust', a.exhaustFraction)}`;
}

/** What a log line is called on the strip of its plan: with its piece where there are several. */
export function lineLabel(logLine: LogLine, plan: PitPlan, units: Units): string {
  const [meat] = piecesOfLine(logLine);
  const said = deedLabel(logLine, plan, units);
  return meat !== undefined && plan.request.meats.length > 1
    ? `${pieceNamed(plan, meat).toLowerCase()}: ${said}`
    : said;
}

function deedLabel(logLine: LogLine, plan: PitPlan, units: Units): string {
  const pit = ventedPit(pitOf(plan));
  if (logLine.body.kind === 'act') {
    const a = logLine.body.action;
    if (logLine.jobId === 'light') return 'fire lit';
    if (a.do === 'set-vents') return ventsLabel(a, pit);
    return lowered(actionWords(a, { units, pit }));
  }
  if (logLine.body.kind === 'note') return logLine.body.text;
  if (logLine.body.kind === 'add-food') return foodWords(logLine.body.food, units);
  if (logLine.body.kind === 'read') return lowered(readWords(logLine.body, units));
  if (logLine.body.kind === 'look') return lowered(lookWords(logLine.body));
  if (logLine.body.kind === 'skip') return `${shortJob(logLine.jobId ?? '') ?? 'job'}: skipped`;
  return shortJob(logLine.jobId ?? '') ?? 'job done';
}

/** The same with who wrote it, where that is known. */
export const signedLabel = (logLine: LogLine, plan: PitPlan, units: Units): string =>
  logLine.by
    ? `${lineLabel(logLine, plan, units)}, ${logLine.by}`
    : lineLabel(logLine, plan, units);

const lineKind = (logLine: LogLine): MarkKind =>
  logLine.body.kind === 'act'
    ? (KIND_OF[logLine.body.action.do] ?? 'note')
    : logLine.body.kind === 'note'
      ? 'note'
      : logLine.jobId === 'lay' || logLine.jobId === 'chimney'
        ? 'fuel'
        : 'watch';

/** The bands of a cook: of its first pace, of each other one that was set, and of the one that is still planned. */
function bandsOf(plan: StripInput['plan'], log: Log, zero: number): BandSpan[] {
  const { pitC, bandC } = pitOf(plan).pace;
  const control = plan.scenarios[0].control;
  const around = (from: number, c: number): BandSpan => ({ from, bandC: [c - bandC, c + bandC] });
  const set = log.lines.flatMap(({ at, body, jobId }) =>
    body.kind === 'act' && body.action.do === 'set-target' && jobId !== 'light'
      ? [around(at, body.action.targetC)]
      : [],
  );
  const planned = plan.jobs.flatMap((job) => {
    const action =
      job.id === 'second-pace' &&
      !log.jobsDone.has(job.id) &&
      job.logs.find((a) => a.do === 'set-target');
    return action ? [around(zero + job.atMin * MINUTE_MS, action.targetC)] : [];
  });
  const first = 'targetC' in control ? (control.targetC ?? pitC) : pitC;
  return [around(0, first), ...set, ...planned];
}

/** Spans of time that a trace is told in at most: more than a phone has pixels along it. */
const SPANS = 420;

/** Builds the strip. */
export function stripData(input: StripInput): StripData {
  const { plan, log, readings, forecast, now, theme, units } = input;
  const zero = litAtMs(log) ?? input.zero ?? Math.max(input.startMs, now ?? 0);
  const ahead = input.isOut ? null : now;
  const bands = bandsOf(plan, log, zero);
  const past = (valueOf: (r: Reading) => number | null): Point[] =>
    sampled(readings, { ...input, spans: SPANS, timeOf: (r) => r.at, valueOf });
  const name = pieceNamed(plan, leadMeat(plan).id).toLowerCase();
  const meat: Trace = {
    key: 'meat',
    label: name,
    colour: theme.meats[0],
    past: past((r) => r.coreC),
    future: ahead === null ? [] : expectedPoints(plan.expected, forecast, zero, ahead, 'core'),
    width: 2.5,
  };
  const pit: Trace = {
    key: 'pit',
    label: 'pit',
    colour: theme.pit,
    past: past((r) => r.pitC),
    future: ahead === null ? [] : expectedPoints(plan.expected, forecast, zero, ahead, 'pit'),
    width: 2.5,
  };
  const others = otherTraces(input, zero, past);
  const ghosts = planGhosts(plan, zero, input, theme);
  const effect = input.advice && now !== null ? effectTraces(input.advice, zero, now, theme) : [];
  const inView = [pit, meat, ...others, ...effect].flatMap((trace) => [
    ...trace.past.filter((p) => p.t >= input.from && p.t <= input.to).map((p) => p.c),
    ...trace.future.filter((p) => p.t <= input.to).map((p) => p.high),
  ]);
  const jobsAt = (nowMs: number): readonly DueJob[] =>
    input.jobs ?? jobsByTime(plan, log, { zeroMs: zero, forecast, serveMs: log.serveMs }, nowMs);
  return {
    from: input.from,
    to: input.to,
    now,
    bands,
    rangeC: rangeOf(inView, bands),
    traces: [pit, meat, ...others, ...effect],
    ghosts,
    marks: [
      ...doneMarks(log, plan, units),
      ...(now === null ? [] : plannedMarks(plan, jobsAt(now), now, units)),
    ],
  };
}

/** What was logged, one remark a line. */
function doneMarks(log: Log, plan: PitPlan, units: Units): Mark[] {
  // A reading by hand is a point of its trace, not a remark.
  return log.lines
    .filter((l) => l.body.kind !== 'read')
    .map((logLine) => ({
      key: logLine.id,
      t: logLine.at,
      kind: lineKind(logLine),
      label: signedLabel(logLine, plan, units),
      done: true,
      entryId: logLine.id,
    }));
}

/** What is still to do, none of it before now. */
function plannedMarks(plan: PitPlan, jobs: readonly DueJob[], now: number, units: Units): Mark[] {
  const byFeel = 'tender' in leadMeat(plan).done;
  return jobs.map(({ job: j, ms }) => ({
    key: `job-${j.id}`,
    t: Math.max(ms, now),
    kind: j.id.startsWith('trim-') ? 'vents' : (KIND_OF[j.do] ?? 'note'),
    label:
      j.id === 'check' && !byFeel
        ? 'read the middle'
        : (shortJob(j.id) ?? jobWords(j.facts, pitOf(plan), units).inWords),
    done: false,
  }));
}
