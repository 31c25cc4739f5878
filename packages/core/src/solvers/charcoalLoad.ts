/** Charcoal for so many hours, and how long a pit takes to settle after a move. */
import { simulate } from '../cook/cook';
import type { Scenario } from '../scenario/scenario';
import type { FireSpec } from '../fire/fireSpec';
import { fireLoadKg } from '../fire/catalogue';
import { arcForPieces, MAX_ARC_DEGREES } from '../fire/snake';
import { CHARCOALS } from '../fuel/catalogue';
import { pitWith, presetOf } from '../pit/catalogue';
import { usualFire } from '../pit/usualFire';
import { steadyScenario, charcoalPieces, settledC, type SteadyCase } from './steadyCase';

/** A load of charcoal and what it does. */
export interface CharcoalAnswer {
  /** Load, kg as bought. */
  massKg: number;
  /** Number of pieces. */
  pieces: number;
  /** For a snake. */
  arcDegrees: number | null;
  /** How long it lasts, h. */
  lastsHours: number;
  /** Where the pit settles, C. */
  settlesC: number;
  /** Whether it fits; when not, this is the full load and what that lasts. */
  enough: boolean;
}

const MAX_RUN_MIN = 2400;
/** A fire is through when it has fallen this far below where it settled, K. */
const BURNT_OUT_K = 15;

/** Hours from lighting until a pit has fallen 15 C under where it settled, for good. */
export function burnHours(pitC: readonly (number | null)[], everyMin: number): number {
  const settled = settledC(pitC, everyMin);
  let last = 0;
  pitC.forEach((c, i) => {
    if (c !== null && c > settled - BURNT_OUT_K) last = i;
  });
  return (last * everyMin) / 60;
}

/**
 * Charcoal that keeps the pit at these vents for `hours` from lighting. Duration is close to linear in
 * the load: two runs and a check. `intake` and `exhaust` come from `ventsFor`.
 */
export function charcoalFor(
  hours: number,
  steadyCase: SteadyCase,
  intake: number,
  exhaust: number,
): CharcoalAnswer {
  const preset = presetOf(steadyCase.preset);
  const pit = pitWith(preset, steadyCase.overrides);
  const full = steadyCase.fire ?? usualFire(preset);
  const fullKg = fireLoadKg(full, pit.diameterM);
  const run = (kg: number): { kg: number; h: number; settles: number } => {
    const fire = withCharcoalKg(full, kg, pit.diameterM);
    const result = simulate(steadyScenario({ ...steadyCase, fire }, intake, exhaust, MAX_RUN_MIN));
    return { kg, h: burnHours(result.pitC, 5), settles: settledC(result.pitC, 5) };
  };
  const most = run(fullKg);
  let best = most;
  const enough = most.h >= hours;
  if (enough) {
    let less = run(0.55 * fullKg);
    let more = most;
    for (let i = 0; i < 4; i++) {
      const slope = (more.h - less.h) / Math.max(more.kg - less.kg, 1e-6);
      const kg = Math.min(
        Math.max(less.kg + (hours - less.h) / Math.max(slope, 0.2), 0.2 * fullKg),
        fullKg,
      );
      best = run(kg);
      if (best.h >= hours && best.h < hours + 0.35) break;
      if (best.h < hours) less = best;
      else more = best;
      if (less.kg > more.kg) [less, more] = [more, less];
    }
    if (best.h < hours) best = more.h >= hours ? more : most;
  }
  const pieces = charcoalPieces(full.fuel, best.kg);
  return {
    massKg: best.kg,
    pieces,
    arcDegrees:
      full.arrangement === 'snake'
        ? Math.min(arcForPieces(pieces, full.side, full.layers, pit.diameterM), MAX_ARC_DEGREES)
        : null,
    lastsHours: best.h,
    settlesC: best.settles,
    enough,
  };
}

/** The same fire with another load. */
function withCharcoalKg(fire: FireSpec, kg: number, diameterM: number): FireSpec {
  if (fire.arrangement !== 'snake') return { ...fire, massKg: Math.max(kg, fire.litMassKg) };
  const pieces = kg / CHARCOALS[fire.fuel].pieceKg;
  return { ...fire, arcDegrees: arcForPieces(pieces, fire.side, fire.layers, diameterM) };
}

/** Within this of where it ends up counts as settled, K. */
const SETTLED_K = 3;

/**
 * Minutes after `atMin` until the pit stays within 3 C of where it stands at the scenario's end; null
 * when it never does.
 */
export function settlingMinutes(scenario: Scenario, atMin: number): number | null {
  const { pitC, minutes } = simulate({ ...scenario, everyMin: 1 });
  const end = pitC.at(-1) ?? null;
  if (end === null) return null;
  for (let i = minutes.length - 1; i >= 0; i--) {
    const c = pitC[i] ?? null;
    if (minutes[i]! < atMin) return 0;
    if (c === null || Math.abs(c - end) > SETTLED_K) {
      return i === minutes.length - 1 ? null : minutes[i + 1]! - atMin;
    }
  }
  return 0;
}
