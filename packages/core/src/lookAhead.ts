/**
 * What looks ahead of (or back on) a cook by simulation. It carries the linear algebra of the fits and
 * stands apart, so that a page that only shows the answers does not load it.
 */
export { FollowedFire } from './estimate/followedFire';
export { foodOutcome } from './forecast/addFood';
export { adviseNow } from './advice/advise';
export { changeOptions } from './advice/changes';
export { fuelUse } from './forecast/fuelUse';
export { forecastsOf } from './now/lookAhead';
export { meatOutlook } from './forecast/outlook';
export { comparedTimes, whyLate } from './afterwards/meatTime';
