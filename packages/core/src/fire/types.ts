/**
 * A fire arrangement: where the unlit fuel lies and how the lit part reaches it. The coals, the air
 * and the heat are the same for all; a new arrangement is one new file that answers these questions.
 */
export interface Arrangement {
  /** Unlit fuel still reachable, kg dry ash-free. */
  unlitKg(): number;
  /** Fuel that the front passes per metre walked, kg dry ash-free per m. */
  kgPerM: number;
  /** Lit mass below which the front is too weak to go at full speed, kg dry ash-free. */
  strongFrontKg: number;
  /** The front moves by `kg` of fuel (negative: it goes out and falls back). Returns what it moved. */
  advance(kg: number): number;
  /** Fuel laid at the far end, kg dry ash-free. */
  extend(kg: number): void;
  /** Where the front is, degrees round the rim from the lit end. */
  frontDegrees(): number;
  /** A deep copy, for looking ahead. */
  clone(): Arrangement;
}
