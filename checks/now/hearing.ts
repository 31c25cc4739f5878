/** What somebody hears of the alarms of a cook, moment by moment. */
import {
  callOut,
  callsOf,
  MINUTE_MS,
  type Alarm,
  type CookNow,
  type Known,
  type Order,
} from '@ostrin/core/internals';

/** The alarms that call out loud at a moment, and when each was up last before, min after lighting. */
export interface Heard {
  calling: readonly Alarm[];
  lastUpMin: ReadonlyMap<string, number>;
}

export class Hearing {
  private known: Known = new Map();
  private readonly upAtMin = new Map<string, number>();

  /** What is heard at a minute after lighting. */
  at(min: number, cook: CookNow, order: Order): Heard {
    const up = callsOf(cook, order);
    const lastUpMin = new Map(this.upAtMin);
    const { calling, known } = callOut(this.known, up, min * MINUTE_MS);
    this.known = known;
    for (const { id } of up) this.upAtMin.set(id, min);
    return { calling, lastUpMin };
  }
}
