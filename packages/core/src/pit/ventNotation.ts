/** A vent's setting the way its owner says it: quarters, millimetres, fingers, or a clock's hand. */

export const VENT_NOTATIONS = ['quarters', 'mm', 'fingers', 'clock'] as const;
export type VentNotation = (typeof VENT_NOTATIONS)[number];

/** A finger's width, mm (common practice). */
const FINGER_MM = 18;
/** A disc turned from shut at twelve to open at three: minutes of the dial. */
const DIAL_MIN = 180;

/** The finest a hand sets: a hair over or under an eighth, 1 mm, a quarter of a finger, five minutes of a dial. */
const FINEST = { hair: 1 / 32, fingerQuarter: FINGER_MM / 4, dial: 5 / DIAL_MIN };

/** The finest setting that this way of telling can say, share of the travel. */
export function finestStep(way: VentNotation, fullMm: number): number {
  switch (way) {
    case 'quarters':
      return FINEST.hair;
    case 'mm':
      return 1 / fullMm;
    case 'fingers':
      return FINEST.fingerQuarter / fullMm;
    case 'clock':
      return FINEST.dial;
  }
}

const FRACTIONS = ['shut', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞', 'open'] as const;

/**
 * What a share of the travel (0 to 1) is called, rounded to what a hand can do. `fullMm` is the travel in
 * mm. A crack that would round to shut is called a crack.
 */
export function ventName(fraction: number, way: VentNotation, fullMm: number): string {
  if (fraction <= 0) return 'shut';
  switch (way) {
    case 'quarters':
      return quarterName(Math.round(fraction / FINEST.hair));
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

/** So many hairs of a 32nd each, told by the eighths beside them. */
function quarterName(hairs: number): string {
  if (hairs <= 2) return 'a crack';
  const eighth = Math.floor(hairs / 4);
  const over = hairs - 4 * eighth;
  const [below, above] = [FRACTIONS[eighth]!, FRACTIONS[eighth + 1]!];
  if (over === 0) return below;
  if (over === 2) return `between ${below} and ${above}`;
  return over === 1 ? `a hair over ${below}` : `a hair under ${above}`;
}
