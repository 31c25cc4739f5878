/** The parts of the page of cooks under way that come together: what they share is not loaded with the first page. */
export { FireChips } from './FireChips';
export { TendCook } from './TendCook';
