/** A pit's figures in plain words: what each is, how it is shown, and in what steps it is changed. */
import { fromKg, type Units } from '@ostrin/core/quantity';
import type { CookerParameters } from '@ostrin/core/catalogue';

export interface Figure {
  key: keyof CookerParameters;
  name: string;
  unit: string;
  /** Shown value per stored value. */
  scale: number;
  step: number;
  digits: number;
  why: string;
}

const cm2 = (key: keyof CookerParameters, name: string, why: string): Figure => ({
  key,
  name,
  unit: 'cm²',
  scale: 1,
  step: 1,
  digits: 0,
  why,
});

/** In the order in which they matter. Which of them a pit has, and their ranges, its preset says. */
const FIGURES: readonly Figure[] = [
  cm2(
    'leakCm2',
    'Leaks',
    'All gaps round lid, doors, legs and handles together. The first thing in which two pits differ: a leaky one runs hotter with its vents shut and cannot be closed down as far.',
  ),
  {
    key: 'wallLossFactor',
    name: 'Heat lost through the skin',
    unit: '%',
    scale: 100,
    step: 5,
    digits: 0,
    why: 'Against a new pit of this kind. Over 100 for one that stands in the open or has lost its gasket, under 100 with a blanket or in a sheltered corner.',
  },
  {
    key: 'spreadFactor',
    name: 'How fast the fire spreads',
    unit: '%',
    scale: 100,
    step: 5,
    digits: 0,
    why: 'Into unlit fuel, against the usual. Over 100 for loose, dry fuel with gaps, under 100 for damp or tightly packed fuel.',
  },
  cm2(
    'intakeCm2',
    'Intake, fully open',
    'Free area for air coming in when the handle is at its end.',
  ),
  cm2(
    'exhaustCm2',
    'Exhaust, fully open',
    'Free area for smoke going out when the handle is at its end.',
  ),
  {
    key: 'waterKg',
    name: 'Water at the start',
    unit: 'kg',
    scale: 1,
    step: 0.5,
    digits: 1,
    why: 'In the pan or trough. Water steadies the pit and holds it down until it is gone.',
  },
  {
    key: 'wallMm',
    name: 'Steel',
    unit: 'mm',
    scale: 1,
    step: 0.5,
    digits: 1,
    why: 'Thickness of the skin. Thick steel swings less and takes longer to come up.',
  },
  {
    key: 'insulationWPerM2K',
    name: 'Heat passed between the skins',
    unit: 'W/m²K',
    scale: 1,
    step: 0.5,
    digits: 1,
    why: 'Lower is better insulated.',
  },
  {
    key: 'metalJPerK',
    name: 'Grates and loose metal',
    unit: 'kg of steel',
    scale: 1 / 470,
    step: 0.5,
    digits: 1,
    why: 'Grates, deflector, tools left inside. They store heat and give it back after the lid was open.',
  },
  cm2('fanCm2', 'Opening of the fan', 'Free area through the fan.'),
  {
    key: 'fanPa',
    name: 'Pressure of the fan',
    unit: 'Pa',
    scale: 1,
    step: 10,
    digits: 0,
    why: 'At full speed, as its maker says.',
  },
];

/** Steps of a small opening, square inches. */
const FINE_IN = { step: 0.02, digits: 2 };

/** How figures are shown to those who weigh in pounds: the unit, shown value per metric one, step and digits. */
const IN_POUNDS: Readonly<Record<string, Pick<Figure, 'unit' | 'scale' | 'step' | 'digits'>>> = {
  'cm²': { unit: 'in²', scale: 1 / 6.4516, step: 0.1, digits: 1 },
  kg: { unit: 'lb', scale: fromKg(1, 'lb'), step: 1, digits: 1 },
  'kg of steel': { unit: 'lb of steel', scale: fromKg(1, 'lb'), step: 1, digits: 1 },
  mm: { unit: 'in', scale: 1 / 25.4, step: 1 / 32, digits: 2 },
};

/** Figures that a preset lets a person change, in the user's units. */
export const figuresOf = (
  plausible: Partial<Record<keyof CookerParameters, readonly [number, number]>>,
  units: Units,
): Figure[] =>
  FIGURES.filter((f) => f.key in plausible).map((f) => {
    const [low, high] = plausible[f.key]!;
    // A tight kamado leaks a square centimetre or less: there the steps are finer.
    const fine = f.unit === 'cm²' && high - low < 15 ? { step: 0.2, digits: 1 } : {};
    const other = units.mass === 'lb' ? IN_POUNDS[f.unit] : undefined;
    return other
      ? { ...f, ...other, scale: f.scale * other.scale, ...('step' in fine ? FINE_IN : {}) }
      : { ...f, ...fine };
  });

/** `10 cm²`. */
export const figureWords = (figure: Figure, value: number): string =>
  value === 0 ? 'none' : `${(value * figure.scale).toFixed(figure.digits)} ${figure.unit}`;

/** The next value a step away, kept inside the range and free of rounding dust. */
export function stepped(
  figure: Figure,
  value: number,
  by: -1 | 1,
  range: readonly [number, number],
): number {
  const shown = Math.round((value * figure.scale) / figure.step) * figure.step + by * figure.step;
  const next = Number((shown / figure.scale).toFixed(6));
  return Math.min(Math.max(next, range[0]), range[1]);
}
