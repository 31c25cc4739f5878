/** The alarms that call beside an order: the order itself, or a danger; none that asks for something else. */
import type { Alarm } from './alarms';
import type { CookNow } from './cookNow';
import type { Order } from './order';
import { waitUntilMs } from './waits';

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
      // What was done about it has to work first.
      return isTheOrder(alarm, order) || cook.nowMs >= waitUntilMs(cook, 'set-vents');
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
      return order.kind === 'move' || order.kind === 'check-fire';
    default:
      return false;
  }
}

/** Whether the job of an order wraps the piece of an alarm, or takes it off. */
const isOf = (order: Extract<Order, { kind: 'job' }>, { code, meat }: Alarm): boolean =>
  order.job.do === (code === 'near-wrap' ? 'wrap' : 'meat-off') &&
  order.job.logs.some((l) => 'meat' in l && l.meat === meat);

/** The alarms of a cook that call beside its order, the most urgent first. */
export const callsOf = (cook: CookNow, order: Order): Alarm[] =>
  cook.alarms.filter((a) => callsBeside(a, order, cook));
