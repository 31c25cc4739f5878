/** The rule for the hand in words: how often to look, from which reading on to move, and along which notches. */
import type { PlannedRule, RequestPit } from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import { capital, smallMassWords, spanOfTime, spanWords, temperatureWords } from '../quantities';
import { openingWords, settingWords, ventedPit, ventNames, type VentedPit } from '../vents';

/** What a look goes by: bounds from the target, K, and what the thermometer shows more than the grate has. */
export interface LookBounds {
  targetC: number;
  overK: number;
  underK: number;
  readsOverK: number;
}

/** The readings from which on something is done, in words. */
export function lookBounds(
  { targetC, overK, underK, readsOverK }: LookBounds,
  units: Units,
): { over: string; under: string } {
  return {
    over: temperatureWords(targetC + overK + readsOverK, units),
    under: temperatureWords(targetC - underK + readsOverK, units),
  };
}

/** The notches of a rule one by one, and which of them to begin with. */
export function notchWords(
  { notches, start }: PlannedRule,
  pit: RequestPit,
  units: Units,
): { name: string; first: boolean }[] {
  const vented = ventedPit(pit);
  const names =
    notches.by === 'splits'
      ? notches.splitsKg.map((kg) => smallMassWords(1000 * kg, units))
      : notches.settings.map(({ intake, exhaust }) =>
          isOneVent(notches.settings, vented)
            ? openingWords(vented, 'intake', intake)
            : settingWords(vented, intake, exhaust),
        );
  return names.map((name, i) => ({ name, first: i === start }));
}

type Settings = Extract<PlannedRule['notches'], { by: 'vents' }>['settings'];

/** Whether the exhaust stays where it is from notch to notch. */
const isOneVent = (settings: Settings, pit: VentedPit): boolean =>
  new Set(settings.map((s) => openingWords(pit, 'exhaust', s.exhaust))).size === 1;

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

/** The rule as sentences, for a page, a print or a sheet to hand over. */
export function ruleWords(rule: PlannedRule, pit: RequestPit, units: Units): string[] {
  const { notches, everyMin, readsOverK, backK } = rule;
  const vented = ventedPit(pit);
  const atPace = ({ pitC }: { pitC: number }) => lookBounds({ ...rule, targetC: pitC }, units);
  const { over, under } = atPace(pit.pace);
  const { then } = pit.pace;
  const second = then && atPace(then);
  const every = spanOfTime(everyMin);
  const list = notchWords(rule, pit, units)
    .map(({ name, first }) => (first ? `${name} (begin here)` : name))
    .join('; ');
  const causes = CAUSES[notches.by];
  const twice = `Before a second move the same way: if it is high, ${causes.high}; if it is low, ${causes.low}.`;
  const back = `Leave it, too, if it has come back by ${spanWords(backK, units)} since the last look.`;
  const { twoFromK } = rule;
  const far =
    twoFromK &&
    lookBounds({ ...rule, targetC: pit.pace.pitC, overK: twoFromK, underK: twoFromK }, units);
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
      `Put on a split every ${every} until the last piece is off. Over ${over}: one size lighter. Under ${under}: one size heavier. Between them, the same size again. ${back}`,
      `Over ${wait}: no split yet, look again in 5 min.`,
      ...later,
      `Sizes, light to heavy: ${list}.`,
      twice,
      ...held,
    ];
  }
  const { exhaust } = notches.settings[rule.start]!;
  const { intake: name, exhaust: other } = ventNames(vented.preset);
  const which = isOneVent(notches.settings, vented)
    ? `Notches of the ${name}, tight to wide`
    : 'Notches, tight to wide';
  const stays = isOneVent(notches.settings, vented)
    ? [`${capital(other)}: ${openingWords(vented, 'exhaust', exhaust)} all the time.`]
    : [];
  return [
    `Once it is closed down, look every ${every} until the last piece is off. Over ${over}: close by one notch. Under ${under}: open by one notch.${two} Between them, leave it. ${back}`,
    ...later,
    `${which}: ${list}.`,
    ...stays,
    ...fuel,
    twice,
    ...held,
  ];
}
