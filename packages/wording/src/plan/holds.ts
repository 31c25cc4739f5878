/** How a piece waits after it came off, in words: the latest good hour, and its middle, softness and loss by the hour. */
import { cutOf, doneByFeel, type RestSpec } from '@ostrin/core/catalogue';
import { TOO_SOFT, type CardWords, type JobFacts, type PlannedHold } from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import { REST_WORDS } from '../places';
import { inHundred, spanOfTime, temperatureWords } from '../quantities';
import { piecesName } from './jobWords';

/** Hours after it came off that are told. */
const TOLD_H = [1, 2, 4, 6, 8, 12, 16, 20, 24];

/** What ends a good hold, after a colon. */
const END_WORDS: Readonly<Record<NonNullable<PlannedHold['ends']>, string>> = {
  cold: 'after that it is too cold',
  soft: 'after that its slices fall apart',
  dry: 'after that it eats dry',
  over: 'after that it is done further than you wished',
};

/** Tenderness up to which it is called so; 1 probes tender. */
const SOFTNESS: readonly (readonly [number, string])[] = [
  [0.9, 'not yet tender'],
  [1.6, 'probe tender'],
  [2.3, 'soft'],
  [TOO_SOFT, 'very soft'],
  [Infinity, 'falling apart'],
];

const softness = (tenderness: number): string => SOFTNESS.find(([to]) => tenderness <= to)![1];

/** Where it stands before it is shut in, and until when. */
export const firstStageWords = (
  { where, untilCoreC, minutes }: NonNullable<RestSpec['first']>,
  units: Units,
): string => {
  const place = where === 'open' ? 'open' : REST_WORDS[where];
  return untilCoreC === undefined
    ? `${spanOfTime(minutes ?? 0)} ${place}`
    : `${place}, until its middle is down to ${temperatureWords(untilCoreC, units)}`;
};

/** How long it rests at least, and how long it waits well there; a rest that is too long for it is told so. */
export function restWords({
  rest,
  holdsMin,
  ends,
}: Extract<JobFacts, { kind: 'meat-off' }>): string {
  const place = REST_WORDS[rest.where];
  return holdsMin < rest.minutes && ends
    ? `${spanOfTime(rest.minutes)} ${place} is more than suits it: it waits well for ${spanOfTime(holdsMin)}, ${END_WORDS[ends]}.`
    : `At least ${spanOfTime(rest.minutes)} ${place}; it waits well for ${spanOfTime(holdsMin)} there.`;
}

/** Where it waits, with its heat. */
const placeWords = ({ where, atC }: RestSpec, units: Units): string =>
  `${REST_WORDS[where]}${atC === undefined ? '' : ` at ${temperatureWords(atC, units)}`}`;

/** The card of one meat: when it is good until, and how it stands by the hour. */
export function holdWords(h: PlannedHold, units: Units): CardWords {
  const byFeel = doneByFeel(cutOf(h.cut));
  const until = h.goodUntil.slice(11);
  const nextDay = h.goodUntil.slice(0, 10) > h.offAt.slice(0, 10) ? ' the next day' : '';
  const first = h.rest.first ? `First ${firstStageWords(h.rest.first, units)}. ` : '';
  const good = h.ends
    ? `Off at about ${h.offAt.slice(11)}, it waits well until about ${until}${nextDay}: ${END_WORDS[h.ends]}.`
    : `Off at about ${h.offAt.slice(11)}, it waits well for a whole day.`;
  return {
    heading: `${piecesName(h)} ${placeWords(h.rest, units)}`,
    lines: [
      first + good,
      ...TOLD_H.flatMap((hours) => {
        const row = h.rows.find((r) => r.afterMin === 60 * hours);
        if (!row || row.afterMin > Math.max(h.goodMin, h.rest.minutes)) return [];
        const soft = byFeel ? `, ${softness(row.tenderness)}` : '';
        return [
          `After ${spanOfTime(row.afterMin)}: middle ${temperatureWords(row.coreC, units)}${soft}, ${inHundred(row.lostFraction)} % lighter.`,
        ];
      }),
    ],
  };
}
