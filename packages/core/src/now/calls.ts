/** The alarms that call beside an order: the order itself, or a danger; none that asks for something else. */
import type { PlanJob } from '../plan/document/plan';
import type { Alarm } from './alarms';
import type { CookNow } from './cookNow';
import { isDue, opens, type Order } from './order';

/** Whether an alarm says the same as the order, or something that the order leaves open. */
function callsBeside(alarm: Alarm, order: Order, cook: CookNow): boolean {
  switch (alarm.code) {
    case 'job-due':
      return order.kind === 'job' && order.job.id === alarm.jobId;
    case 'near-wrap':
    case 'near-done':
      // The job itself is on the card.
      return !(order.kind === 'job' && order.ms <= cook.nowMs && isOf(order, alarm));
    case 'out-of-band':
    case 'leaving-band':
      // A planned move that is due comes first, and answers it or stands against it.
      if (isMoveDue(order, cook)) return opens(order.job, cook) === (alarm.side === 'below');
      // A pit that is left alone because it comes back by itself calls nobody.
      return isAboutTheBand(order);
    default:
      return true;
  }
}

/** Whether an alarm says what the order on the card says already. */
export function isTheOrder({ code, jobId }: Alarm, order: Order): boolean {
  switch (code) {
    case 'job-due':
      return order.jobIds.includes(jobId!);
    case 'fire-out':
      return order.kind === 'light-again';
    case 'suspected':
      return order.kind === 'look' || order.kind === 'move';
    case 'out-of-band':
    case 'leaving-band':
      return isAboutTheBand(order) || isJobOf('set-vents', order);
    default:
      return false;
  }
}

/** Whether an order is what a pit out of its band needs: a move, or a look. */
const isAboutTheBand = ({ kind }: Order): boolean => kind === 'move' || kind === 'check-fire';

/** Whether an order is to do a job of a kind. */
const isJobOf = (what: PlanJob['do'], order: Order): order is JobOrder =>
  order.kind === 'job' && order.job.do === what;

type JobOrder = Extract<Order, { kind: 'job' }>;

/** Whether an order is a planned move of the vents that is due. */
const isMoveDue = (order: Order, { nowMs }: CookNow): order is JobOrder =>
  isJobOf('set-vents', order) && isDue(order, nowMs);

/** Whether the job of an order wraps the piece of an alarm, or takes it off. */
const isOf = (order: JobOrder, { code, meat }: Alarm): boolean =>
  order.job.do === (code === 'near-wrap' ? 'wrap' : 'meat-off') &&
  order.job.logs.some((l) => 'meat' in l && l.meat === meat);

/** The alarms of a cook that call beside its order, the most urgent first. */
export const callsOf = (cook: CookNow, order: Order): Alarm[] =>
  cook.alarms.filter((a) => callsBeside(a, order, cook));
