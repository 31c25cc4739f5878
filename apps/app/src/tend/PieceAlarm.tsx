/** A core temperature at which whoever tends is called, for one piece. */
import { fromC, toC } from '@ostrin/core/quantity';
import type { PieceNow } from '@ostrin/core/tending';
import { temperatureWords } from '@ostrin/wording';
import { logDeeds } from '../store/logging';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Stepper } from '../ui/Choice';
import { Heading } from '../ui/Title';
import { useTendedCook } from './cookContext';

/** What it can be set to, C. */
const RANGE_C = { low: 5, high: 105 } as const;
/** What it is set to first, C: the next of these steps over what was read, or this where nothing was. */
const FIRST_C = 60;
const FIRST_STEP_K = 5;

export function PieceAlarm({ piece }: { piece: PieceNow }) {
  const { cook, mayLog, onLogged } = useTendedCook();
  const units = useSettings((s) => s.units);
  const { temperature } = units;
  const { callAtC, read } = piece;
  const firstC = read === null ? FIRST_C : FIRST_STEP_K * Math.ceil((read.c + 1) / FIRST_STEP_K);
  const set = (c: number | null): void => {
    const within = c === null ? null : Math.min(RANGE_C.high, Math.max(RANGE_C.low, c));
    void logDeeds([{ body: { kind: 'call-at', meat: piece.id, c: within } }], cook.nowMs).then(
      onLogged,
    );
  };
  const degrees = (c: number): number => Math.round(fromC(c, temperature));
  const step = (by: number): void =>
    set(callAtC === null ? firstC : toC(degrees(callAtC) + by, temperature));
  return (
    <>
      <Heading>Alarm at a core temperature</Heading>
      <Stepper
        label="Core temperature alarm"
        shown={callAtC === null ? 'None' : temperatureWords(callAtC, units)}
        onStep={step}
        canDown={mayLog && (callAtC === null || callAtC > RANGE_C.low)}
        canUp={mayLog && (callAtC === null || callAtC < RANGE_C.high)}
        typed={
          mayLog
            ? {
                value: degrees(callAtC ?? firstC),
                onType: (typed) => set(toC(typed, temperature)),
              }
            : undefined
        }
      />
      {callAtC === null || !mayLog ? null : (
        <Button label="No alarm" testID="piece-alarm-off" onPress={() => set(null)} />
      )}
    </>
  );
}
