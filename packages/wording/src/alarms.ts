/** Alarms in words, short enough for the top of a phone. */
import type { Alarm, Cause } from '@ostrin/core/tending';
import type { PlanJob, RequestPit } from '@ostrin/core';
import { HOLD_ABOVE_C } from '@ostrin/core/catalogue';
import type { Units } from '@ostrin/core/quantity';
import { faultName } from './faults';
import { jobWords } from './plan/jobs';
import { spanOfTime, temperatureWords } from './quantities';

/** What the words of an alarm hang on. */
export interface AlarmContext {
  pit: RequestPit;
  jobs: readonly PlanJob[];
  /** What a piece is called. */
  pieceName: (id: string) => string;
  /** The cause that is named now. */
  cause: Cause;
  units: Units;
}

/** What an alarm tells. */
export function alarmWords(a: Alarm, { pit, jobs, pieceName, cause, units }: AlarmContext): string {
  const soon = a.inMin < 1 ? 'now' : `in ${spanOfTime(a.inMin)}`;
  switch (a.code) {
    case 'fire-out':
      return 'The fire is out, or a probe has fallen off';
    case 'going-cold': {
      const least = temperatureWords(HOLD_ABOVE_C, units);
      return a.inMin < 1
        ? `${pieceName(a.meat!)}: under ${least}, heat it again or eat it now`
        : `${pieceName(a.meat!)}: under ${least} ${soon}`;
    }
    case 'suspected':
      return cause.code === 'suspected' ? faultName(cause.fault, pit) : 'Something is wrong';
    case 'probe-out':
      return `${pieceName(a.meat!)}: its probe is out, or lies beside the meat`;
    case 'out-of-band':
      return `The pit is ${a.side === 'above' ? 'over' : 'under'} its band`;
    case 'leaving-band':
      return `The pit goes ${a.side === 'above' ? 'over' : 'under'} its band ${soon}`;
    case 'fuel-out-soon':
      return a.inMin < 1 ? 'The fuel is nearly gone' : `Fuel lasts another ${spanOfTime(a.inMin)}`;
    case 'late':
      return `${pieceName(a.meat!)}: likely ${spanOfTime(a.byMin ?? 0)} late`;
    case 'early':
      return `${pieceName(a.meat!)}: likely done hours too early`;
    case 'called-at':
      return `${pieceName(a.meat!)}: ${temperatureWords(a.atC!, units)}, as you asked`;
    case 'near-done':
      return `${pieceName(a.meat!)}: done ${soon}`;
    case 'near-wrap':
      return `${pieceName(a.meat!)}: time to wrap ${soon}`;
    case 'job-due': {
      const job = jobs.find((j) => j.id === a.jobId);
      return job ? jobWords(job.facts, pit, units).inWords : 'A job is due';
    }
    case 'no-reading':
      return 'No thermometer has sent a reading lately';
  }
}
