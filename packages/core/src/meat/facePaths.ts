/** How heat and vapour get to and from a piece's face. */

/** Heat and vapour paths between the surroundings and the faces. */
export interface FacePaths {
  /** Share of the heat that comes by convection. */
  airShare: number;
  /** Temperature that drives the heat, C. */
  drivingC: number;
  /** From the surroundings to the meat's bare outside, or to the wrap all round it, W/m2K. */
  outsideWPerM2K: number;
  /** Outside of the wrap, m2; 0 where there is none. */
  wrapM2: number;
  /** From the room inside the wrap to what lies in it, m2K/W; 0 where there is no wrap. */
  gapResistance: number;
  /** Through the crust to the evaporating front, m2K/W. */
  crustResistance: number;
  /** Resistance to vapour, m2sPa/kg; Infinity switches evaporation off. */
  vapourResistance: number;
  /** Vapour pressure of the surroundings, Pa. */
  vapourPa: number;
}

/** Paths to be filled. */
export const emptyFacePaths = (): FacePaths => ({
  airShare: 0.5,
  drivingC: 0,
  outsideWPerM2K: 0,
  wrapM2: 0,
  gapResistance: 0,
  crustResistance: 0,
  vapourResistance: Infinity,
  vapourPa: 0,
});
