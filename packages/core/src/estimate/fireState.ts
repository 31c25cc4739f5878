/** What the likely cooks of an estimate say of a fire: as it is now, and as it goes on. */
import { advance } from '../cook/cook';
import { surroundings } from '../cook/grateAir';
import { CHARCOALS, dafFraction } from '../fuel/catalogue';
import type { Surroundings } from '../meat/surface';
import { remainingWoodKg } from '../pit/state';
import type { PitState } from '../pit/pitState';
import { mean, p10p50p90 } from '../quantity/statistics';
import { celsius, clamp } from '../quantity/units';
import type { Action } from '../scenario/actions';
import type { FireEstimator } from './fireEstimate';
import {
  copyMember,
  memberFuelKg,
  TRAITS,
  wouldRead,
  type FireMember,
  type Trait,
} from './fireMember';

/** What is known of a fire now; triples are p10, p50 and p90 of the likely cooks. */
interface FireState {
  /** A true probe at the grate, C. */
  pitC: Triple;
  /** Charcoal left, glowing and not, kg as bought. */
  fuelKg: Triple;
  /** Wood left, kg dry. */
  woodKg: Triple;
  /** Charcoal burnt since lighting, kg as bought an hour. */
  burnKgPerH: Triple;
  /** Ash among the coals, kg. */
  ashKg: Triple;
  /** Water left in the pan, kg. */
  waterKg: Triple;
  /** How each trait differs from what was thought, factors. */
  traits: Record<Trait, Triple>;
  /** What each thermometer reads too much, K. */
  biasK: { grate: Triple; dome: Triple };
}
export type Triple = [number, number, number];

/** What the members say of their fires now. */
export function fireState({ members, scenario }: FireEstimator): FireState {
  const share = dafFraction(CHARCOALS[scenario.fire!.fuel]);
  const over = (of: (m: FireMember) => number): Triple => p10p50p90(members.map(of));
  const pit = (of: (p: PitState) => number): Triple => over((m) => of(m.cook.pit!));
  return {
    pitC: pit((p) => celsius(p.probeK)),
    fuelKg: over((m) => memberFuelKg(m) / share),
    woodKg: pit(remainingWoodKg),
    burnKgPerH: over(({ cook }) => {
      const hours = Math.max(cook.timeS / 3600, 0.25);
      return cook.pit!.ledger.burnedKg / share / hours;
    }),
    ashKg: pit((p) => p.bedAshKg),
    waterKg: pit((p) => p.waterKg),
    traits: Object.fromEntries(
      TRAITS.map((t, i) => [t, over((m) => Math.exp(m.traits[i]!))]),
    ) as Record<Trait, Triple>,
    biasK: { grate: over((m) => m.biasK[0]!), dome: over((m) => m.biasK[1]!) },
  };
}

/** A member run on from now: its air at a piece, and its probe, minute by minute from now. */
export interface MemberAhead {
  air: Surroundings[];
  /** What a true probe at the grate would read, C. */
  pitC: number[];
  /** What the thermometer there would read, with what it is off by, C. */
  readC: number[];
  /** What the dial in the lid would read, C. */
  domeC: number[];
  /** Share of all charcoal given that is left, 0 to 1. */
  fuelLeft: number[];
}

/** What the members miss of a reading stays missing for a while: it fades with this, min. */
const RESIDUAL_MIN = 60;
/** More than this is no small thing that the model leaves out, K. */
const MOST_RESIDUAL_K = 8;

/**
 * `count` members run on for so many minutes, with what is done on the way; the first is the first member. The air is
 * that at the piece in the place `piece` of the list, the first when left out.
 */
export function membersAhead(
  { members, atMin, residualK }: FireEstimator,
  minutes: number,
  ahead: readonly Action[],
  count = members.length,
  piece = 0,
): MemberAhead[] {
  const from = Math.round(atMin);
  const missed = clamp(residualK, -MOST_RESIDUAL_K, MOST_RESIDUAL_K);
  return Array.from({ length: count }, (_, i) => {
    const member = copyMember(members[Math.floor((i * members.length) / count)]!);
    const { cook } = member;
    cook.pending = ahead.filter((a) => a.atMin > atMin).sort((a, b) => a.atMin - b.atMin);
    const run: MemberAhead = { air: [], pitC: [], readC: [], domeC: [], fuelLeft: [] };
    for (let min = 0; min <= minutes; min++) {
      advance(cook, Math.max(from + min, atMin));
      const k = missed * Math.exp(-min / RESIDUAL_MIN);
      const air = surroundings(cook, from + min, cook.pieces[piece]?.gratePlace);
      run.air.push({ ...air, airC: air.airC + k, wallC: air.wallC + k });
      run.pitC.push(celsius(cook.pit!.probeK) + k);
      run.readC.push(wouldRead(member, 'grate') + k);
      run.domeC.push(celsius(cook.pit!.dialK));
      run.fuelLeft.push(leftFraction(member));
    }
    return run;
  });
}

/** How much more than a probe at the grate the dial in the lid should read now, K. */
export const domeOverGrateK = ({ members }: FireEstimator): number =>
  mean(members.map(({ cook }) => cook.pit!.dialK - cook.pit!.probeK));

/** Least fuel that glows in a fire that is not out, kg dry and ash-free. */
const GLOWS_KG = 0.02;

/** Share of the likely fires that are out. */
export const outFraction = ({ members }: FireEstimator): number =>
  mean(members.map(({ cook: { pit } }) => (pit!.lit.kg < GLOWS_KG && !pit!.woodBurns ? 1 : 0)));

const leftFraction = (m: FireMember): number =>
  Math.min(memberFuelKg(m) / Math.max(m.cook.pit!.ledger.givenKg, 1e-6), 1);

/** A fire that was given more than this of wood for each kg of charcoal lives on splits, kg/kg. */
const LIVES_ON_WOOD = 0.5;

/** Share of all charcoal given that is left, 0 to 1: the middle of the likely fires. Null for a fire on splits. */
export function fuelLeftFraction({ members }: FireEstimator): number | null {
  const { woodGivenKg, givenKg } = members[0]!.cook.pit!.ledger;
  if (woodGivenKg > LIVES_ON_WOOD * givenKg) return null;
  return p10p50p90(members.map(leftFraction))[1];
}
