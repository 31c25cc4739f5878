/** Times, units, statistics and repeatable chance. */
export { lettersIn, shortened } from './quantity/letters';
export { seeded, seedFrom } from './quantity/random';
export { mean, quantile } from './quantity/statistics';
export { DAY_MS, epochOf, HOUR_MS, knownZone, localOf, MINUTE_MS } from './quantity/time';
export {
  clamp,
  fromC,
  toC,
  fromKg,
  METRIC,
  roundDigits,
  roundTo,
  spanFromK,
  toKg,
  type Units,
} from './quantity/units';
