/** A temperature that is stepped or typed in the user's own degrees, within bounds. */
import { clamp, fromC, spanFromK, toC } from '@ostrin/core/quantity';
import { temperatureWords } from '@ostrin/wording';
import { useSettings } from '../store/settings';
import { Stepper } from './Choice';

interface Props {
  label: string;
  /** What it is, and its bounds, C. */
  c: number;
  /** What is shown instead of a temperature: what is there before one is chosen. */
  shown?: string;
  range: { low: number; high: number };
  onChange: (c: number) => void;
  /** One touch of a button, K; one of the user's degrees when left out. */
  stepK?: number;
  ends?: { low: string; high: string };
}

export function TemperatureStepper({ label, c, shown, range, onChange, stepK, ends }: Props) {
  const units = useSettings((s) => s.units);
  const { temperature } = units;
  const { low, high } = range;
  const step = stepK ?? 1 / spanFromK(1, temperature);
  const set = (to: number): void => onChange(clamp(to, low, high));
  return (
    <Stepper
      label={label}
      shown={shown ?? temperatureWords(c, units)}
      onStep={(by) => set(c + by * step)}
      canDown={shown !== undefined || c > low}
      canUp={shown !== undefined || c < high}
      typed={{
        value: Math.round(fromC(c, temperature)),
        onType: (v) => set(toC(v, temperature)),
      }}
      ends={ends}
    />
  );
}
