/** The figures of a cooker that its owner may change. */

/** A cooker's figures. Each may be overridden by name; a family of cookers ignores those it has no use for. */
export interface CookerParameters {
  /** Inner diameter of the bowl or of the cooking chamber, m (0.3 to 1.2). */
  diameterM: number;
  /** Length of the cooking chamber, m; 0 for round cookers. */
  lengthM: number;
  /** Free area of the intake with its handle fully open, cm2. */
  intakeCm2: number;
  /** Free area of the exhaust with its handle fully open, cm2. */
  exhaustCm2: number;
  /** Free area of the fire door or fuel door when it stands fully open, cm2; 0 without a door. */
  doorCm2: number;
  /** Free area of the fire grate with clean coals on it, cm2: it lies in series with the intake. 0: not in series. */
  bedCm2: number;
  /** All gaps round lid, doors, legs and handles together, cm2. Varies most from pit to pit. */
  leakCm2: number;
  /** Multiplies all heat lost through the walls; 1 is the preset. */
  wallLossFactor: number;
  /** Multiplies the pace of fire into unlit fuel; 1 is the preset. */
  spreadFactor: number;
  /** Water in the pan or trough at lighting, kg. */
  waterKg: number;
  /** Wall area round the fire, m2. */
  fireWallM2: number;
  /** Wall area round the food, m2. */
  chamberWallM2: number;
  /** Wall thickness, mm: of one skin where there are two. */
  wallMm: number;
  /** Heat passed by the insulation between two skins, W/m2K; 0 for a single skin. */
  insulationWPerM2K: number;
  /** Height of the exhaust above the intake, m. */
  exhaustHeightM: number;
  /** Height of the seam between lid and bowl above the intake, m. */
  seamHeightM: number;
  /** Height of the cooking grate above the intake, m. */
  grateHeightM: number;
  /** Heat capacity of grates, deflector and loose metal, J/K. */
  metalJPerK: number;
  /** Gas volume of the whole cooker, m3. */
  volumeM3: number;
  /** Pressure of the thermostat fan at full speed, Pa. */
  fanPa: number;
  /** Opening of the thermostat fan, cm2. */
  fanCm2: number;
}

/** How far a pit still differs from what is known of it, one sd of the logarithm; a plan draws its likely pits so. */
export interface KnownPit {
  leakCm2: number;
  wallLossFactor: number;
  spreadFactor: number;
}
