/** The parts of the page of cooks under way that come together: what they share is not loaded with the first page. */
export { AllJobsSheet } from './AllJobsSheet';
export { TendCook } from './TendCook';
