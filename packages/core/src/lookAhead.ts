/**
 * The core's second door: what looks ahead of a cook under way. It carries the linear algebra of the fits and
 * stands apart, so that a page that only shows the answers does not load it.
 */
export * from './estimate/measuredAir';
export * from './estimate/pieceEstimate';
export * from './estimate/likelyPiece';
export * from './tend/remainingScenario';
export * from './tend/likelyCooks';
export * from './tend/forecast';
export * from './tend/outlook';
