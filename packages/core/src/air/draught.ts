/**
 * Draught: what the fire breathes. Every opening sees the same unknown internal pressure plus its
 * own column of warm gas and its own share of the wind; what flows in must flow out.
 */

/** One hole in the pit's skin. Areas are free areas, heights above the intake. */
export interface Opening {
  /** Area, m2. */
  areaM2: number;
  /** Height over the ground, m. */
  heightM: number;
  /** Wind pressure coefficient, share of the dynamic pressure (from memory, -0.6 to 0.8). */
  windPressureCoefficient: number;
  /** Pressure of a fan behind it, Pa. */
  pushPa?: number;
}

/** Sharp-edged orifice, fluid mechanics textbooks give 0.60-0.65. */
const DISCHARGE_COEFFICIENT = 0.62;
/** Pressure below which the square root is rounded off, Pa: keeps the slope finite at zero. */
const SMOOTH_PA = 0.01;

/** Mass flow through an orifice, kg/s, signed like `dpPa`: Cd A sqrt(2 rho |dp|). */
export function orificeFlow(areaM2: number, density: number, dpPa: number): number {
  return (
    (DISCHARGE_COEFFICIENT * areaM2 * Math.sqrt(2 * density) * dpPa) /
    Math.sqrt(Math.sqrt(dpPa * dpPa + SMOOTH_PA * SMOOTH_PA))
  );
}

/** Stack effect of a column, Pa: 3465 h (1/To - 1/Ti) (ASHRAE Fundamentals form). */
export const stackPressure = (heightM: number, outsideK: number, insideK: number): number =>
  3465 * heightM * (1 / outsideK - 1 / insideK);

/** A pressure network with room for its flows, reused from step to step. */
export interface DraughtNetwork {
  /** All openings. */
  openings: Opening[];
  /** Buoyancy of the gas column from the intake up to each opening, Pa; filled by the caller. */
  buoyancyPa: Float64Array;
  /** Density of the gas behind each opening, kg/m3; filled by the caller. */
  insideDensity: Float64Array;
  /** Signed flow of each opening, kg/s, positive into the pit. */
  flow: Float64Array;
  /** Internal pressure at the intake's height against outside, Pa; the warm start. */
  pressurePa: number;
}

/** A network for `openings`, at rest. */
export const createDraughtNetwork = (openings: Opening[]): DraughtNetwork => ({
  openings,
  buoyancyPa: new Float64Array(openings.length),
  insideDensity: new Float64Array(openings.length).fill(1),
  flow: new Float64Array(openings.length),
  pressurePa: 0,
});

/**
 * Solves the one unknown pressure so that mass in = mass out and leaves the flows in `net.flow`.
 * `windPa` is the wind's dynamic pressure, densities in kg/m3. Newton inside a shrinking bracket:
 * the sum of flows falls monotonically with the pressure, so it cannot fail.
 */
export function solveDraught(net: DraughtNetwork, windPa: number, outsideDensity: number): void {
  const { openings, flow, buoyancyPa: liftPa, insideDensity } = net;
  let low = -500;
  let high = 500;
  let p = net.pressurePa;
  let lastStep = high - low;
  for (let iteration = 0; iteration < 120; iteration++) {
    let sum = 0;
    let slope = 0;
    for (let i = 0; i < openings.length; i++) {
      const o = openings[i]!;
      if (o.areaM2 === 0) {
        flow[i] = 0;
        continue;
      }
      const dp = o.windPressureCoefficient * windPa + (o.pushPa ?? 0) - p - liftPa[i]!;
      const density = dp > 0 ? outsideDensity : insideDensity[i]!;
      // Flow and slope of `orificeFlow`, with their square roots shared.
      const w = dp * dp + SMOOTH_PA * SMOOTH_PA;
      const k =
        (DISCHARGE_COEFFICIENT * o.areaM2 * Math.sqrt(2 * density)) / Math.sqrt(Math.sqrt(w));
      flow[i] = k * dp;
      sum += k * dp;
      slope += k * (1 - (0.5 * dp * dp) / w);
    }
    if (Math.abs(sum) < 1e-9) break;
    if (sum > 0) low = p;
    else high = p;
    // Newton where it closes in fast, halving where it would only circle.
    const newton = sum / Math.max(slope, 1e-12);
    const next = p + newton;
    const closing = Math.abs(newton) < 0.5 * Math.abs(lastStep);
    const to = closing && next > low && next < high ? next : (low + high) / 2;
    lastStep = to - p;
    p = to;
    if (high - low < 1e-12) break;
  }
  net.pressurePa = p;
}
