/** Looks of a cook under way by the rule of its plan: each so long after the pit was last seen to. */
import { nearestNotch } from '../control/handRule';
import type { VentOpenings } from '../control/controlPolicy';
import type { DueJob } from '../forecast/jobTimes';
import { freshPitC, type ReadingRow } from '../instruments/readings';
import { lastDeed, lastVents, type Log } from '../log/log';
import type { PlanJob } from '../plan/document/plan';
import { pitOf } from '../plan/document/pitPlan';
import type { PlannedRule } from '../plan/document/rule';
import { nextLookMs } from '../plan/jobs/night';
import { localOf, MINUTE_MS } from '../quantity/time';
import { isAllOff, type KnownCook } from './knownCook';

/** What looks of this kind are known by in a log: the minute after lighting from which they count follows. */
const LOOK_ID = 'look-';

/** Whether a job is a look that the plan expected something of: the rule says when to look instead. */
const isExpectedLook = ({ facts }: PlanJob): boolean => facts.kind === 'look';

/** When the pit was last seen to, epoch ms: read, moved or looked at; null where it never was. */
function lastSeenToMs(log: Log, readings: readonly ReadingRow[], nowMs: number): number | null {
  const times = [
    readings.findLast((r) => r.pitC !== null && r.at <= nowMs)?.at,
    lastDeed(log, 'set-vents')?.at,
    log.lines.findLast((l) => l.jobId?.startsWith(LOOK_ID))?.at,
  ].filter((at) => at !== undefined);
  return times.length === 0 ? null : Math.max(...times);
}

/** The settings beside the one where the vents stand; null at the end of the notches, and where nothing was logged of them. */
function besides(
  rule: PlannedRule,
  log: Log,
): { tighter: VentOpenings | null; wider: VentOpenings | null } {
  const at = lastVents(log.lines);
  if (!at || rule.notches.by !== 'vents') return { tighter: null, wider: null };
  const { settings } = rule.notches;
  const here = nearestNotch(settings, { intake: at.intakeFraction, exhaust: at.exhaustFraction });
  return { tighter: settings[here - 1] ?? null, wider: settings[here + 1] ?? null };
}

/**
 * The jobs with the next look by the rule, in the place of the looks that the plan expected something of. None while it comes
 * up, once all is off, where a connected thermometer reads the pit, and for a fire that is looked at when it is fed.
 * `readings` are of the pit at the grate, by hand and by instruments.
 */
export function withRuledLooks(
  jobs: readonly DueJob[],
  { plan, log, litMs, pieces, wire }: KnownCook,
  readings: readonly ReadingRow[],
  nowMs: number,
): DueJob[] {
  const rule = plan.rules?.[0];
  if (!rule || litMs === null) return [...jobs];
  const others = jobs.filter(({ job }) => !isExpectedLook(job));
  const comesUp = others.some(({ job }) => job.facts.kind === 'hold');
  const lastMs = lastSeenToMs(log, readings, nowMs);
  const needsNone =
    rule.notches.by === 'splits' ||
    comesUp ||
    isAllOff(pieces) ||
    freshPitC(wire, nowMs) !== null ||
    lastMs === null;
  if (needsNone) return others;
  const ms = nextLookMs(rule, lastMs, plan.request.timeZone);
  const atMin = Math.round((ms - litMs) / MINUTE_MS);
  const { overK, underK, readsOverK } = rule;
  const job: PlanJob = {
    id: `${LOOK_ID}${Math.round((lastMs - litMs) / MINUTE_MS)}`,
    atMin,
    at: localOf(ms, plan.request.timeZone),
    do: 'check',
    facts: {
      kind: 'look',
      targetC: pitOf(plan).pace.pitC,
      overK,
      underK,
      readsOverK,
      ...besides(rule, log),
    },
    logs: [],
  };
  return [...others, { job, ms }].sort((a, b) => a.ms - b.ms);
}
