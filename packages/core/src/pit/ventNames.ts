/** A vent's setting the way its owner says it: quarters, millimetres, fingers, or a clock's hand. */

export const VENT_WAYS = ['quarters', 'mm', 'fingers', 'clock'] as const;
export type VentWay = (typeof VENT_WAYS)[number];

/** A finger's width, mm (common practice). */
const FINGER_MM = 18;
/** A disc turned from shut at twelve to open at three: minutes of the dial. */
const DIAL_MIN = 180;

const FRACTIONS = ['shut', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞', 'open'] as const;

/**
 * What a share of the travel (0 to 1) is called, rounded to what a hand can do. `fullMm` is the travel in
 * mm. A crack that would round to shut is called a crack.
 */
export function ventName(fraction: number, way: VentWay, fullMm: number): string {
  if (fraction <= 0) return 'shut';
  switch (way) {
    case 'quarters':
      return fraction < 1 / 16 ? 'a crack' : FRACTIONS[Math.round(fraction * 8)]!;
    case 'mm': {
      const mm = fraction * fullMm;
      return `${Math.max(mm < 20 ? Math.round(mm) : Math.round(mm / 5) * 5, 1)} mm`;
    }
    case 'fingers': {
      const halves = Math.round((fraction * fullMm * 2) / FINGER_MM);
      if (halves === 0) return 'a crack';
      if (halves === 1) return 'half a finger';
      const whole = Math.floor(halves / 2);
      return `${whole}${halves % 2 ? '½' : ''} ${halves <= 2 ? 'finger' : 'fingers'}`;
    }
    case 'clock': {
      const minutes = Math.max(Math.round((fraction * DIAL_MIN) / 15) * 15, 5);
      const hour = Math.floor(minutes / 60);
      return `${hour === 0 ? 12 : hour}:${String(minutes % 60).padStart(2, '0')}`;
    }
  }
}
