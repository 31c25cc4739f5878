/** The rule for the hand in words: how often to look, from which reading on to move, and along which notches. */
import {
  WAIT_WITH_SPLIT_MIN,
  type JobFacts,
  type PlannedRule,
  type RequestPit,
} from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import { capital, smallMassWords, spanOfTime, spanWords, temperatureWords } from '../quantities';
import { openingWords, ventedPit, ventNames } from '../vents';

/** What a look goes by: bounds from the target, K, and what the thermometer shows more than the grate has. */
interface LookBounds {
  targetC: number;
  overK: number;
  underK: number;
  readsOverK: number;
}

/** The readings from which on something is done, in words. */
function lookBounds(
  { targetC, overK, underK, readsOverK }: LookBounds,
  units: Units,
): { over: string; under: string } {
  return {
    over: temperatureWords(targetC + overK + readsOverK, units),
    under: temperatureWords(targetC - underK + readsOverK, units),
  };
}

/** What a look goes by: the settings a notch away where it is known where the vents stand. */
export function lookDetail(
  facts: Extract<JobFacts, { kind: 'look' }>,
  pit: RequestPit,
  units: Units,
): string {
  const { over, under } = lookBounds(facts, units);
  const { tighter, wider } = facts;
  const vented = ventedPit(pit);
  const names = ventNames(vented.preset);
  // What stays where it is whichever way is not named.
  const moves = (['intake', 'exhaust'] as const).filter(
    (vent) => !tighter || !wider || tighter[vent] !== wider[vent],
  );
  const to = (vents: { intake: number; exhaust: number } | null, end: string): string =>
    vents === null
      ? end
      : moves.map((vent) => `${names[vent]} ${openingWords(vented, vent, vents[vent])}`).join(', ');
  return tighter === undefined || wider === undefined
    ? `By now it may want another notch. Over ${over}: close by one. Under ${under}: open by one. Between them, leave it.`
    : `Over ${over}: ${to(tighter, 'it is as tight as it goes')}. Under ${under}: ${to(wider, 'it is as wide as it goes')}. Between them, leave it.`;
}

/** Begins at this one. */
const BEGIN = ' (begin here)';

/** The notches of a rule, tight to wide or light to heavy, in lines: what stays the same from one to the next is said once. */
export function notchLines(rule: PlannedRule, pit: RequestPit, units: Units): string[] {
  const { notches, start } = rule;
  const marked = (text: string, i: number): string => (i === start ? text + BEGIN : text);
  if (notches.by === 'splits') {
    return [
      notches.splitsKg.map((kg, i) => marked(smallMassWords(1000 * kg, units), i)).join(' · '),
    ];
  }
  const vented = ventedPit(pit);
  const names = ventNames(vented.preset);
  const all = notches.settings.map((s) => ({
    intake: openingWords(vented, 'intake', s.intake),
    exhaust: openingWords(vented, 'exhaust', s.exhaust),
  }));
  const lines: string[] = [];
  for (let from = 0; from < all.length;) {
    const first = all[from]!;
    const until = (vent: 'intake' | 'exhaust'): number => {
      const other = all.findIndex((n, i) => i > from && n[vent] !== first[vent]);
      return other < 0 ? all.length : other;
    };
    // The vent that stays where it is for longer is named first, and once.
    const stays = until('exhaust') >= until('intake') ? 'exhaust' : 'intake';
    const moves = stays === 'exhaust' ? 'intake' : 'exhaust';
    const to = until(stays);
    const openings = all.slice(from, to).map((n, i) => marked(n[moves], from + i));
    lines.push(`${capital(names[stays])} ${first[stays]}, ${names[moves]} ${openings.join(' · ')}`);
    from = to;
  }
  return lines;
}

/** What to see to before a second move the same way. */
const CAUSES = {
  vents: {
    high: 'look for air that gets in: a lid or a door that does not sit',
    low: 'shake out the ash and look at the charcoal',
  },
  splits: {
    high: 'look for air that gets in: the fire door',
    low: 'rake the coals together and use drier, warmed splits',
  },
};

/** Looks that may be left out for less than this are not worth a sentence, min. */
const WORTH_SLEEPING_MIN = 60;

/** How long the pit may be left alone, for whoever wants to sleep; nothing where that is short or not known. */
function aloneWords({ aloneMin, everyMin }: PlannedRule, pit: RequestPit, units: Units): string[] {
  if (aloneMin == null || aloneMin < Math.max(WORTH_SLEEPING_MIN, 2 * everyMin)) return [];
  const within = spanWords(2 * pit.pace.bandC, units);
  return [
    `Once it has settled it may be left alone for about ${spanOfTime(aloneMin)}: in 9 of 10 cooks it is then still within ${within} of its target. Look as soon as you are up.`,
  ];
}

/** The rule as sentences, for a page, a print or a sheet to hand over. */
export function ruleWords(rule: PlannedRule, pit: RequestPit, units: Units): string[] {
  const { notches, everyMin, readsOverK, backK } = rule;
  const atPace = ({ pitC }: { pitC: number }) => lookBounds({ ...rule, targetC: pitC }, units);
  const { over, under } = atPace(pit.pace);
  const { then } = pit.pace;
  const second = then && atPace(then);
  const every = spanOfTime(everyMin);
  const lines = notchLines(rule, pit, units);
  const causes = CAUSES[notches.by];
  const twice = `Before a second move the same way: if it is high, ${causes.high}; if it is low, ${causes.low}.`;
  const back = `Leave it as well if it has come back by ${spanWords(backK, units)} or more since the last look.`;
  const { twoFromK } = rule;
  const far =
    twoFromK &&
    lookBounds({ targetC: pit.pace.pitC, overK: twoFromK, underK: twoFromK, readsOverK }, units);
  const two = far ? ` Over ${far.over} or under ${far.under}: two notches at once.` : '';
  const fuel = rule.topUp
    ? [
        `While the meat is not done and fewer than about ${rule.topUp.belowPieces} pieces lie unlit: put on ${rule.topUp.addPieces}, about an hour's worth.`,
      ]
    : [];
  const later = second
    ? [`From the second pace on: over ${second.over} and under ${second.under}.`]
    : [];
  const held =
    rule.inBandFraction === null
      ? []
      : [
          `By this rule alone the pit is in its band about ${Math.round(100 * rule.inBandFraction)} minutes in 100.`,
        ];
  if (notches.by === 'splits') {
    const wait = temperatureWords(pit.pace.pitC + notches.waitOverK + readsOverK, units);
    return [
      `Put on a split every ${every} until the last piece is off. Read the pit just before it, when it is lowest. Over ${over}: one size lighter. Under ${under}: one size heavier. Between them, the same size again. ${back}`,
      `Over ${wait}: no split yet, look again in ${spanOfTime(WAIT_WITH_SPLIT_MIN)}.`,
      ...later,
      `Sizes, light to heavy: ${lines.join('')}.`,
      twice,
      ...held,
    ];
  }
  return [
    `Once it is closed down, look every ${every} until the last piece is off. Over ${over}: close by one notch. Under ${under}: open by one notch.${two} Between them, leave it. ${back}`,
    ...later,
    `The notches, tight to wide: ${lines[0]}`,
    ...lines.slice(1),
    ...fuel,
    twice,
    ...aloneWords(rule, pit, units),
    ...held,
  ];
}
