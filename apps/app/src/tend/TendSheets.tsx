/** The sheet that is open over a cook under way. */
import { localOf, type Entry, type Plan } from '@ostrin/core';
import { forecastInput, offPlan } from '@ostrin/core/tending';
import { offPlanWords } from '@ostrin/wording/tending';
import { useSettings } from '../store/settings';
import { clockOf } from '../ui/words';
import { doJob, skipJob } from './actions';
import { AddFoodSheet } from './AddFoodSheet';
import { alarmText } from './AlarmBar';
import { AlarmSheet } from './AlarmSheet';
import { ChangeSheet } from './ChangeSheet';
import { JobsSheet } from './JobsSheet';
import { LogLineSheet } from './LogLineSheet';
import { MeatSheet } from './MeatSheet';
import { RunSheet } from './RunSheet';
import { isMeatOn, sheetOf, type CookNow } from './useCookNow';
import type { Alarms } from './useAlarms';
import type { Awake } from './useScreenAwake';
import { WatchSheet, watchWords } from './WatchSheet';

/** Which sheet; `line` corrects the entry of that id. */
export type OpenSheet =
  | { of: 'run' | 'watch' | 'meat' | 'jobs' | 'alarms' | 'change' | 'food' }
  | { of: 'line'; entryId: string };

interface Props {
  open: OpenSheet | null;
  setOpen: (open: OpenSheet | null) => void;
  plan: Plan;
  id: string;
  cook: CookNow;
  mayLog: boolean;
  alarms: Alarms;
  /** Whether the screen is kept on; null where nobody asked for it. */
  awake: Awake | null;
  /** Takes what was logged, to be shown with its undo. */
  onLogged: (entries: Entry[]) => void;
}

export function TendSheets({
  open,
  setOpen,
  plan,
  id,
  cook,
  mayLog,
  awake,
  alarms,
  onLogged,
}: Props) {
  const units = useSettings((s) => s.units);
  const { now, log, lit, zero } = cook;
  const onClose = (): void => setOpen(null);
  switch (open?.of) {
    case undefined:
      return null;
    case 'change':
      return lit === null ? null : (
        <ChangeSheet {...{ id, plan, log, lit, now, mayLog, onLogged, onClose }} read={cook.read} />
      );
    case 'food':
      return lit === null ? null : (
        <AddFoodSheet
          {...{ id, plan, log, lit, now, mayLog, onLogged, onClose }}
          read={cook.read}
        />
      );
    case 'alarms':
      return (
        <AlarmSheet
          up={alarms.up.map((alarm) => ({ alarm, words: alarmText(alarm, plan, cook) }))}
          onClose={onClose}
        />
      );
    case 'line': {
      const line = log.lines.find((l) => l.id === open.entryId);
      return line ? (
        <LogLineSheet line={line} plan={plan} log={log} now={now} onClose={onClose} />
      ) : null;
    }
    case 'meat': {
      const input = lit === null ? null : forecastInput(id, plan, log, cook.read, lit, now);
      const off = offPlan(plan, log, cook.readings, cook.forecast);
      const why = off && offPlanWords(off, units);
      return <MeatSheet {...{ plan, log, input, lit: zero, now, why, onLogged, onClose }} />;
    }
    case 'run':
      return (
        <RunSheet
          id={id}
          now={now}
          watch={watchWords(plan, cook.watch)}
          meatOn={isMeatOn(log)}
          awake={awake}
          serveMs={cook.serveMs}
          clock={(ms) => clockOf(localOf(ms, plan.request.timeZone))}
          onWatch={() => setOpen({ of: 'watch' })}
          onChange={lit === null ? null : () => setOpen({ of: 'change' })}
          onFood={lit === null ? null : () => setOpen({ of: 'food' })}
          onAlarms={() => setOpen({ of: 'alarms' })}
          onClose={onClose}
        />
      );
    case 'jobs':
      return (
        <JobsSheet
          plan={plan}
          jobs={cook.jobs}
          now={now}
          mayLog={mayLog}
          onDone={(job) => void doJob(job, now).then(onLogged)}
          onSkip={(job) => void skipJob(job, now).then(onLogged)}
          onClose={onClose}
        />
      );
    case 'watch':
      return (
        <WatchSheet
          plan={plan}
          watch={cook.watch}
          now={now}
          sheet={sheetOf(plan, cook, units)}
          onClose={onClose}
        />
      );
  }
}
