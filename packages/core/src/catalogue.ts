/** What there is: fuels, woods, fires, cuts, wraps, rests, pits and their vents, and what is safe. */
export { ARRANGEMENTS, fireLitKg, fireLoadKg } from './fire/catalogue';
export type { ArrangementId, FireSpec, HeapFire, SnakeFire } from './fire/fireSpec';
export { POURED_KG_PER_M3 } from './fire/heaps';
export {
  BRIQUETTE_PITCH_M,
  CENTRE_LINE_FRACTION,
  MAX_ARC_DEGREES,
  piecesPerRow,
} from './fire/snake';
export {
  type CharcoalId,
  CHARCOALS,
  type FuelId,
  USUAL_CHUNK_WOOD,
  USUAL_SPLIT_KG,
  USUAL_SPLIT_WOOD,
  type WoodId,
  WOODS,
} from './fuel/catalogue';
export { type Cut, doneByFeel, type SafetyKind } from './meat/cut';
export { cutOf, CUTS } from './meat/cuts';
export {
  type DoneSignId,
  handlingOf,
  sideInWrap,
  type SideInWrap,
  MEMBRANE_STAYS_FROM_C,
  type ServingId,
  type SpotId,
  type TrimId,
} from './meat/handling';
export { SHUT_IN, type RestFirst, type RestSpec, type RestWhere } from './meat/rest';
export {
  doneOnPlate,
  wishedC,
  BARE_LAST_MIN,
  SCHOOL_IDS,
  SPRAY_SCHOOLS,
  type SpraySchool,
  type SchoolId,
  USUAL_RESTS,
  usualDone,
  massStepKg,
  usualMassKg,
  usualFirst,
  usualRest,
  FIRST_STAGES,
  usualWrap,
  USUAL_WRAP_WHEN,
  schoolOf,
  SAUCE_LAST_MIN,
  WRAP_SCHOOLS,
} from './meat/usualTreatment';
export { type WrapId, WRAPS } from './meat/wraps';
export { ANOTHER_KIND_SD } from './pit/anotherKind';
export { pitWith, presetOf, PRESETS } from './pit/catalogue';
export { type Place, PLACES } from './pit/layout';
export type { CookerParameters, KnownPit } from './pit/parameters';
export type { Family, FireChoice, MeatPlacement, Preset, VentName } from './pit/preset';
export { hasSmallFirebox, splitLengthCm, splitThicknessCm, usualFire } from './pit/usualFire';
export {
  finestStep,
  VENT_NOTATIONS,
  ventMark,
  ventScales,
  type VentDial,
  type VentNotation,
  type VentScale,
  type VentScales,
  type VentsTold,
} from './pit/ventNotation';
export { CAUTION_IDS, type CautionId, SUGAR_C, sugarCaution } from './safety/cautions';
export { HOLD_ABOVE_C } from './cook/foodSafety';
export { SAFE_C } from './safety/lethality';
