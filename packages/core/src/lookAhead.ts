/**
 * The core's second door: what looks ahead of a cook under way. It carries the linear algebra of the fits and
 * stands apart, so that a page that only shows the answers does not load it.
 */
export * from './estimate/drive';
export * from './estimate/piece';
export * from './estimate/ahead';
export * from './tend/asDone';
export * from './tend/likely';
export * from './tend/forecast';
export * from './tend/outlook';
