/**
 * The reference kernel that timings are given against: 24 cells of implicit radial conduction with
 * temperature-dependent properties, 10 s steps over 14 h, plain loops over Float64Array.
 */
const CELLS = 24;
const RADIUS_M = 0.065;
const STEP_S = 10;
const HOURS = 14;

/** Runs the kernel once; returns the centre's last temperature, C, so that nothing is optimised away. */
export function referenceKernel(): number {
  const t = new Float64Array(CELLS).fill(4);
  const lower = new Float64Array(CELLS);
  const diag = new Float64Array(CELLS);
  const upper = new Float64Array(CELLS);
  const rhs = new Float64Array(CELLS);
  const dr = RADIUS_M / CELLS;
  const steps = (HOURS * 3600) / STEP_S;
  for (let step = 0; step < steps; step++) {
    let inner = 0;
    for (let i = 0; i < CELLS; i++) {
      const c = t[i]!;
      const k = 0.42 + 0.0009 * c - 2e-6 * c * c;
      const heat = 3400 + 1.2 * c + 900 * Math.exp(-((c - 35) ** 2) / 72);
      const r0 = i * dr;
      const r1 = r0 + dr;
      const volume = (r1 ** 3 - r0 ** 3) / 3;
      const outer = (k * r1 * r1) / dr;
      const capacity = (1050 * heat * volume) / STEP_S;
      const last = i === CELLS - 1;
      const edge = last ? r1 * r1 * 12 : outer;
      lower[i] = -inner;
      upper[i] = last ? 0 : -outer;
      diag[i] = capacity + inner + edge;
      rhs[i] = capacity * c + (last ? edge * 121 : 0);
      inner = outer;
    }
    for (let i = 1; i < CELLS; i++) {
      const m = lower[i]! / diag[i - 1]!;
      diag[i] = diag[i]! - m * upper[i - 1]!;
      rhs[i] = rhs[i]! - m * rhs[i - 1]!;
    }
    t[CELLS - 1] = rhs[CELLS - 1]! / diag[CELLS - 1]!;
    for (let i = CELLS - 2; i >= 0; i--) t[i] = (rhs[i]! - upper[i]! * t[i + 1]!) / diag[i]!;
  }
  return t[0]!;
}
