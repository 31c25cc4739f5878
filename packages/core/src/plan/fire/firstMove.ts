/** What to try first when a pit settles off its target. */
import {
  withHoldingIntake,
  type ControlPolicy,
  type VentOpenings,
} from '../../control/controlPolicy';
import type { HandRule } from '../../control/handRule';
import { fractionAtMark, ventMark, ventScales } from '../../pit/ventNotation';
import { clamp } from '../../quantity/units';
import type { FirstMove } from '../document/facts';
import type { PitSetup } from './designFire';

/** Larger and larger moves, for notations that tell a small one like none; times the move that is due. */
const LARGER = [1, 1.5, 2.25, 3.4, 5];
/** Largest move at once: the logarithm of the opening's change. */
const MOST_E_FOLDS = 0.6;
/** The exhaust of a fire on splits that runs high: half shut brings it down within minutes (common practice). */
const DAMPED_EXHAUST = 0.5;

/** A pit with its fire, and how it is held. */
interface HeldPit {
  setup: PitSetup;
  policy: ControlPolicy;
  /** The rule that it is held by, where there is one: its next notch is the first move. */
  rule?: HandRule | null;
}

/** The first move when the pit stands `offK` over (or, negative, under) its target, K. */
export function firstMove({ setup, policy, rule }: HeldPit, offK: number): FirstMove {
  const high = offK > 0;
  if (setup.underFan) return { do: 'look-at-fan', whenHigh: high };
  if (rule?.notches.by === 'vents') {
    const next = rule.notches.settings[rule.start + (high ? -1 : 1)];
    return next ? { do: 'set-vents', ...next } : { do: 'nothing-left', whenHigh: high };
  }
  if (setup.onSplits) {
    const damps = high && policy.hold.exhaust > DAMPED_EXHAUST;
    return { do: 'other-splits', lighter: high, exhaust: damps ? DAMPED_EXHAUST : null };
  }
  const eFolds = clamp(-offK / policy.kelvinPerEFold, -MOST_E_FOLDS, MOST_E_FOLDS);
  const now = toldVents(setup, policy.hold);
  for (const times of LARGER) {
    const intake = clamp(policy.hold.intake * Math.exp(times * eFolds), policy.finest.small, 1);
    const { hold } = withHoldingIntake(policy, intake);
    if (toldVents(setup, hold) !== now) return { do: 'set-vents', ...hold };
  }
  return { do: 'nothing-left', whenHigh: high };
}

/** The setting that somebody really makes who is given `vents`: each on its owner's scale. */
export function settable({ pit, preset }: PitSetup, vents: VentOpenings): VentOpenings {
  const scales = ventScales(pit, preset.ventNotation);
  const on = (which: keyof VentOpenings): number => {
    const travelMm = preset.travelMm[which];
    return fractionAtMark(ventMark(vents[which], scales[which], travelMm), scales[which], travelMm);
  };
  return { intake: on('intake'), exhaust: on('exhaust') };
}

/** A setting as its owner's notation tells it apart from others. */
export function toldVents({ pit, preset }: PitSetup, { intake, exhaust }: VentOpenings): string {
  const told = ventScales(pit, preset.ventNotation);
  const { travelMm } = preset;
  return `${ventMark(intake, told.intake, travelMm.intake)} ${ventMark(exhaust, told.exhaust, travelMm.exhaust)}`;
}
