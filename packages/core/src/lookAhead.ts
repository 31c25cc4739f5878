/**
 * What looks ahead of (or back on) a cook by simulation. It carries the linear algebra of the fits and
 * stands apart, so that a page that only shows the answers does not load it.
 */
export { FollowedFire } from './estimate/followedFire';
export { foodOutcome } from './tend/addFood';
export { adviseNow } from './tend/advise';
export { changeOptions } from './tend/changes';
export { fuelUse } from './tend/fuelUse';
export { forecast } from './tend/forecast';
export { meatOutlook } from './tend/outlook';
export { comparedTimes, whyLate } from './afterwards/meatTime';
