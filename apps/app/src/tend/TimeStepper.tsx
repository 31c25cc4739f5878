/** When something in the log happened, minute by minute; never later than now. */
import { localOf, MINUTE_MS } from '@ostrin/core/quantity';
import { Stepper } from '../ui/Choice';
import { clockOf } from '../ui/words';

interface Props {
  /** Epoch ms. */
  at: number;
  /** The latest time that it can have, epoch ms. */
  now: number;
  timeZone: string;
  onChange: (at: number) => void;
}

export function TimeStepper({ at, now, timeZone, onChange }: Props) {
  return (
    <Stepper
      label="Time"
      shown={clockOf(localOf(at, timeZone))}
      onStep={(by) => onChange(Math.min(now, at + by * MINUTE_MS))}
      canDown
      canUp={at + MINUTE_MS <= now}
    />
  );
}
