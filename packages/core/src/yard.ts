/** What only the pages of the yard ask of the core; what learns a pit stands apart, in `learning.ts`. */
export { sizedLike, type PitSizes } from './pit/anotherKind';
export {
  BURN,
  burnSettings,
  burnTimes,
  loggedBurn,
  takesTestBurn,
  TEST_BURN,
  type BurnSetting,
} from './learn/testBurn';
