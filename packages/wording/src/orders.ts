/** The order of a cook in words: what to do, and why this and nothing else. */
import type { Units } from '@ostrin/core/quantity';
import {
  SMOKE_CLEARS_MIN,
  type BadSmoke,
  type Cause,
  type Doubt,
  type Order,
  type PitNotReady,
} from '@ostrin/core/tending';
import type { JobWords, RequestPit } from '@ostrin/core';
import { effectWords, moveWords, waitWords } from './advice';
import { notSafeWords } from './afterOff';
import { causeWords } from './diagnosis';
import { faultName, faultRemedy, suspectedWords } from './faults';
import { jobWords } from './plan/jobs';
import { ventedPit, ventNames } from './vents';
import { lowered, spanOfTime, temperatureWords } from './quantities';

/** What the words of an order hang on. */
export interface OrderContext {
  pit: RequestPit;
  units: Units;
  /** Why the fire does what it does. */
  cause: Cause;
  /** How long ago the fire was fed last, min; null or left out where it never was. */
  fedMin?: number | null;
  /** What a piece is called. */
  pieceName: (id: string) => string;
}

/** An order in words, with what to go through at it where it is a job. */
export interface OrderWords extends JobWords {
  /** What the one button says when it is done. */
  done: string;
}

/** An order in the pit's own vents and the reader's units. */
export function orderWords(
  order: Order,
  { pit, units, cause, fedMin, pieceName }: OrderContext,
): OrderWords {
  switch (order.kind) {
    case 'make-safe':
      return {
        inWords: `Put the ${lowered(pieceName(order.meat))} back on`,
        detail: notSafeWords(order.notSafe, units),
        done: 'It is back on',
      };
    case 'light-again':
      return {
        inWords: 'Look at the fire, and light it again if it is out',
        detail: 'Where the lid is hot, a probe has fallen off. Where it is cold, the fire is out.',
        done: 'I looked',
      };
    case 'clear-smoke':
      return smokeWords(order.smoke, pit, causeWords(cause, pit));
    case 'look':
      return {
        inWords: faultRemedy(order.fault, pit),
        detail: suspectedWords(order.fault, order.sure, pit),
        done: 'I looked',
      };
    case 'check-fire':
      return {
        inWords: moveWords(order.advice, pit, units),
        detail: effectWords(order.advice, units),
        done: 'I looked',
      };
    case 'move':
      return {
        inWords: moveWords(order.advice, pit, units),
        detail: `${effectWords(order.advice, units)} ${waitWords(order.advice)}`,
        done: 'I did it',
      };
    case 'job': {
      const words = jobWords(order.job.facts, pit, units);
      const fed =
        order.job.do === 'add-fuel' && fedMin != null ? `Last fed ${spanOfTime(fedMin)} ago. ` : '';
      const waits = order.pit ? `${notReadyWords(order.pit, units)} ` : '';
      return { ...words, detail: `${waits}${fed}${words.detail}`, done: 'Done' };
    }
    case 'finish':
      return {
        inWords: 'All jobs done',
        detail: 'What is left of the fire and how it went are kept with the cook.',
        done: 'Finish this cook',
      };
  }
}

/** What meat waits for. */
function notReadyWords({ pitC, targetC }: PitNotReady, units: Units): string {
  const say = (c: number): string => temperatureWords(c, units);
  return `The pit reads ${say(pitC)}, the target is ${say(targetC)}. Let it come ${pitC > targetC ? 'down' : 'up'} first.`;
}

/** What clears smoke that no clean fire gives. Fat that burns is not given air. */
function smokeWords(smoke: BadSmoke, pit: RequestPit, cause: string): OrderWords {
  const { exhaust } = ventNames(ventedPit(pit).preset);
  const more =
    pit.fire.fuel === 'splits' ? 'Leave the fire door ajar' : `Open the ${exhaust} fully`;
  return smoke === 'white'
    ? {
        inWords: `${more}, and add no wood for ${SMOKE_CLEARS_MIN} min`,
        detail: `Look at the smoke again after that. ${cause}`,
        done: 'I did it',
      }
    : {
        inWords: 'Look whether fat burns in the pit',
        detail: `If fat burns, keep the lid shut. If not: ${lowered(more)}, and add no wood for ${SMOKE_CLEARS_MIN} min. ${cause}`,
        done: 'I looked',
      };
}

/** An order in short, for an alarm. */
export const orderInShort = (order: Order, context: OrderContext): string =>
  order.kind === 'look' ? faultName(order.fault, context.pit) : orderWords(order, context).inWords;

/** What is asked, once, about a job that is said to be done far from its time or its sense. */
export function doubtWords(
  doubt: Doubt,
  { units, pieceName }: Pick<OrderContext, 'units' | 'pieceName'>,
): string {
  switch (doubt.why) {
    case 'early':
      return `This is due in ${spanOfTime(doubt.inMin)}. Is it done already?`;
    case 'coals':
      return `The coals were lit ${doubt.litMin < 1 ? 'just now' : `${spanOfTime(doubt.litMin)} ago`} and take about ${spanOfTime(doubt.takesMin)}. Are they in already?`;
    case 'cool': {
      const at = `${pieceName(doubt.meat)}: ${temperatureWords(doubt.coreC, units)} in the middle`;
      return doubt.what === 'wrap'
        ? `${at}. That is early for a wrap. Is it wrapped already?`
        : `${at}, not done before ${temperatureWords(doubt.untilC, units)}. Is it off the pit already?`;
    }
  }
}
