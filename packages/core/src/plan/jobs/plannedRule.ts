/** The rule that a plan prints for the hand: what is read, how often, and until when. */
import type { HandRule } from '../../control/handRule';
import { CHARCOALS } from '../../fuel/catalogue';
import type { VentOpenings } from '../../control/controlPolicy';
import { ascending, mean, quantile } from '../../quantity/statistics';
import { roundDigits } from '../../quantity/units';
import { SETTLED_MIN } from '../fire/chooseRule';
import type { PlannedRule } from '../document/rule';
import type { PitSchedule } from '../schedule/pitSchedule';
import { latestEndMin } from '../schedule/schedule';
import { plannedVentMoves } from './ventMoves';

/** How much more the lid reads than the grate while the pit is held with meat on, K: by its cooks, else by the reference cook. */
export function lidOverK({ result, onMin, setup }: PitSchedule): number {
  if (setup.pit.domeOverGrateK !== undefined) return setup.pit.domeOverGrateK;
  const from = result.minutes.findIndex((m) => m >= Math.max(...onMin, 0) + 30);
  const over = result.minutes.flatMap((_, i) => {
    const [lid, grate] = [result.domeC[i], result.pitC[i]];
    return i >= from && lid != null && grate != null ? [lid - grate] : [];
  });
  return over.length > 0 ? mean(over) : 0;
}

/** What the thermometer that is read at a pit shows more than its grate has, K. */
export const readsOverK = (cook: PitSchedule): number =>
  cook.setup.pit.gauge ? lidOverK(cook) : (cook.setup.pit.probeOffsetK ?? 0);

/** How long a pit may be left alone is said in steps of so much, rounded down, min. */
const ALONE_STEP_MIN = 15;
/** Nobody relies on the last tenth of the charcoal. */
const RELIED_ON = 0.9;

/** How long a pit may be left alone once it has settled, min: no longer than what is laid lasts a hungry one. */
function plannedAloneMin({ rule, fuelLoadKg, charcoalKgPerMin }: PitSchedule): number | null {
  if (rule?.aloneMin == null) return null;
  const kgPerMin = quantile(ascending(charcoalKgPerMin), 0.9);
  const lastsMin = (RELIED_ON * fuelLoadKg) / Math.max(kgPerMin, 1e-6) - SETTLED_MIN;
  const min = Math.max(0, Math.min(rule.aloneMin, lastsMin));
  return ALONE_STEP_MIN * Math.floor(min / ALONE_STEP_MIN);
}

/** The setting of a notch; null where a rule counts splits. */
export const settingAt = ({ notches }: HandRule, notch: number): VentOpenings | null =>
  notches.by === 'vents' ? notches.settings[notch]! : null;

/** An hour's worth of charcoal, as soon as less than that lies unlit; null where nothing can be put on, and for splits. */
function topUpOf({ policy, charcoalKgPerMin, scenario }: PitSchedule): PlannedRule['topUp'] {
  if (!policy.topUp || policy.feed) return null;
  const { pieceKg } = CHARCOALS[scenario.fire!.fuel];
  const hour = Math.ceil((60 * mean(charcoalKgPerMin)) / pieceKg);
  return { belowPieces: hour, addPieces: hour };
}

/** The rule of a pit: none beside a fan. It holds until the last of the likely pieces is off. */
export function plannedRuleOf(cook: PitSchedule): PlannedRule[] {
  const { rule, setup, policy } = cook;
  if (!rule) return [];
  const { inBandFraction, aloneMin: _, ...hand } = rule;
  const heldFrom = policy.feed?.firstMin ?? plannedVentMoves(cook)[0]?.atMin ?? 0;
  const fromMin = policy.feed ? heldFrom : heldFrom + hand.everyMin;
  const toMin = Math.max(Math.round(latestEndMin(cook)), fromMin);
  return [
    {
      ...hand,
      overK: roundDigits(hand.overK, 1),
      underK: roundDigits(hand.underK, 1),
      backK: roundDigits(hand.backK, 1),
      notchK: roundDigits(hand.notchK, 1),
      pit: setup.pit.id,
      readsOverK: roundDigits(readsOverK(cook), 1),
      inBandFraction: inBandFraction === null ? null : roundDigits(inBandFraction, 2),
      aloneMin: plannedAloneMin(cook),
      topUp: topUpOf(cook),
      looks: { fromMin, toMin, count: Math.floor((toMin - fromMin) / hand.everyMin) + 1 },
    },
  ];
}
