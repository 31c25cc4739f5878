/** The sheet that is open over a cook under way. */
import { localOf } from '@ostrin/core/quantity';
import { isOnPit, leadPiece, offPlan } from '@ostrin/core/tending';
import { offPlanWords } from '@ostrin/wording/tending';
import { useLive } from '../store/live';
import { logDeeds } from '../store/logging';
import { useSettings } from '../store/settings';
import { clockOf } from '../ui/words';
import { doJob, skipJob } from './actions';
import { AddFoodSheet } from './AddFoodSheet';
import { alarmText } from './AlarmBar';
import { AlarmSheet } from './AlarmSheet';
import { ChangeSheet } from './ChangeSheet';
import { useTendedCook } from './cookContext';
import { JobsSheet } from './JobsSheet';
import { LogLineSheet } from './LogLineSheet';
import { LogSheet } from './LogSheet';
import { PieceSheet } from './PieceSheet';
import { RunSheet } from './RunSheet';
import { sheetOf } from './useCookNow';
import type { Alarms } from './useAlarms';
import type { Awake } from './useScreenAwake';
import { ShiftSheet, shiftWords } from './ShiftSheet';

/** Which sheet; `line` corrects the entry of that id. */
export type OpenSheet =
  | { of: 'run' | 'watch' | 'jobs' | 'alarms' | 'change' | 'food' }
  | { of: 'piece'; meat: string }
  /** The log, of one piece where that is named. */
  | { of: 'log'; meat?: string }
  | { of: 'line'; entryId: string };

interface Props {
  open: OpenSheet | null;
  setOpen: (open: OpenSheet | null) => void;
  alarms: Alarms;
  /** Whether the screen is kept on; null where nobody asked for it. */
  awake: Awake | null;
}

export function TendSheets({ open, setOpen, awake, alarms }: Props) {
  const { cook, orders, onLogged } = useTendedCook();
  const { plan, log, nowMs, litMs } = cook;
  const pitName = useLive((s) => s.pitName);
  const units = useSettings((s) => s.units);
  const onClose = (): void => setOpen(null);
  switch (open?.of) {
    case undefined:
      return null;
    case 'change':
      return litMs === null ? null : <ChangeSheet onClose={onClose} />;
    case 'food':
      return litMs === null ? null : <AddFoodSheet onClose={onClose} />;
    case 'alarms':
      return (
        <AlarmSheet
          up={alarms.up.map((alarm) => ({ alarm, words: alarmText(alarm, cook, units) }))}
          onClose={onClose}
        />
      );
    case 'line': {
      const line = log.lines.find((l) => l.id === open.entryId);
      return line ? (
        <LogLineSheet
          line={line}
          plan={plan}
          log={log}
          now={nowMs}
          onWrite={(deeds) => void logDeeds(deeds, nowMs).then(onLogged)}
          onClose={onClose}
        />
      ) : null;
    }
    case 'log':
      return (
        <LogSheet
          meat={open.meat}
          onEdit={(entryId) => setOpen({ of: 'line', entryId })}
          onClose={onClose}
        />
      );
    case 'piece': {
      const { meat } = open;
      const lead = meat === leadPiece(cook).id;
      const off = lead ? offPlan(plan, log, cook.readings, cook.forecast) : null;
      return (
        <PieceSheet
          meat={meat}
          why={off && offPlanWords(off, units)}
          onLog={() => setOpen({ of: 'log', meat })}
          onClose={onClose}
        />
      );
    }
    case 'run':
      return (
        <RunSheet
          id={cook.id}
          now={nowMs}
          watch={shiftWords(plan, cook.shift)}
          meatOn={cook.pieces.some(isOnPit)}
          awake={awake}
          serveMs={cook.serveMs}
          clock={(ms) => clockOf(localOf(ms, plan.request.timeZone))}
          onWatch={() => setOpen({ of: 'watch' })}
          onChange={litMs === null ? null : () => setOpen({ of: 'change' })}
          onFood={litMs === null ? null : () => setOpen({ of: 'food' })}
          onAlarms={() => setOpen({ of: 'alarms' })}
          onClose={onClose}
        />
      );
    case 'jobs':
      return (
        <JobsSheet
          onDone={(job) => void doJob(job, nowMs).then(onLogged)}
          onSkip={(job) => void skipJob(job, nowMs).then(onLogged)}
          onClose={onClose}
        />
      );
    case 'watch':
      return (
        <ShiftSheet
          plan={plan}
          shift={cook.shift}
          now={nowMs}
          sheet={sheetOf(cook, orders, pitName, units)}
          onClose={onClose}
        />
      );
  }
}
