/** How heat and vapour get to and from a piece's face. */

/** Heat and vapour paths between the surroundings and the faces. */
export interface FacePaths {
  /** Share of the heat that comes by convection. */
  airShare: number;
  /** Overall coefficient from surroundings to the evaporating front, W/m2K, and the temperature that drives it. */
  overallWPerM2K: number;
  /** Temperature that drives the heat, C. */
  drivingC: number;
  /** From surroundings to the face of the cap, m2K/W. */
  coverResistance: number;
  /** Resistance to vapour, m2sPa/kg; Infinity switches evaporation off. */
  vapourResistance: number;
  /** Vapour pressure of the surroundings, Pa. */
  vapourPa: number;
}

/** Paths to be filled. */
export const emptyFacePaths = (): FacePaths => ({
  airShare: 0.5,
  overallWPerM2K: 0,
  drivingC: 0,
  coverResistance: 0,
  vapourResistance: Infinity,
  vapourPa: 0,
});
