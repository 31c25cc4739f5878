/**
 * What looks ahead of a cook under way, off the main thread, with one answer to each question. It is a worker of its own:
 * a page that only plans does not load it, and no plan stands in its way.
 */
import {
  adviseNow,
  comparedTimes,
  changeOptions,
  FollowedFire,
  foodOutcome,
  forecastsOf,
  fuelUse,
  meatOutlook,
  whyLate,
} from '@ostrin/core/lookAhead';
import { answer, workerScope } from './answering';
import type { FromWorker, ToTendWorker } from './messages';

/** What was made of the fire of the cook under way, so that the next question goes on from there. */
const followed = new FollowedFire();

function answerOf(data: ToTendWorker): FromWorker['result'] {
  switch (data.kind) {
    case 'forecasts':
      return forecastsOf(data.inputs, followed);
    case 'meat':
      return meatOutlook(data.input, followed);
    case 'changes':
      return changeOptions(data.input, data.question, followed);
    case 'food':
      return foodOutcome(data.input, data.wish, followed);
    case 'advise':
      return adviseNow(data.question, followed);
    case 'fuel-use':
      return fuelUse(data.plan, data.log, data.nowMs);
    case 'why-late':
      return whyLate(data.cook, data.ready);
    case 'compare-times':
      return comparedTimes(data.cooks);
  }
}

workerScope<ToTendWorker>().onmessage = ({ data }) => answer(data.id, () => answerOf(data));
