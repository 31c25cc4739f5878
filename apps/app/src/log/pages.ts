/** The pages of the log, and what of it stands in the yard, fetched together: what they share is then no part of the first load. */
export { CompareScreen } from './CompareScreen';
export { CookScreen } from './CookScreen';
export { ForeignScreen } from './ForeignScreen';
export { LogScreen } from './LogScreen';
export { OwnWays } from './OwnWays';
