/** A span of time that is stepped, or typed in minutes, within bounds. */
import { clamp } from '@ostrin/core/quantity';
import { spanOfTime } from '@ostrin/wording';
import { Stepper } from './Choice';
import { Subhead } from './Title';

interface Props {
  label: string;
  /** What it is, its bounds and one touch of a button, min. */
  minutes: number;
  range: { low: number; high: number; step: number };
  onChange: (minutes: number) => void;
}

export function MinutesStepper({ label, minutes, range, onChange }: Props) {
  const { low, high, step } = range;
  const set = (to: number): void => onChange(clamp(Math.round(to), low, high));
  return (
    <>
      <Subhead>{label}</Subhead>
      <Stepper
        label={label}
        shown={spanOfTime(minutes)}
        onStep={(by) => set(minutes + by * step)}
        canDown={minutes > low}
        canUp={minutes < high}
        typed={{ value: minutes, onType: set }}
      />
    </>
  );
}
