/** The pages of the yard, fetched together: what they share is then no part of the first load. */
export { PitScreen } from './PitScreen';
export { YardScreen } from './YardScreen';
