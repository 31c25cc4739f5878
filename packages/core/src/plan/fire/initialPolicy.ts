/** The policy that tuning starts from: what a good cook would begin with, in steps that the owner can set. */
import { USUAL_CHUNK_WOOD } from '../../fuel/catalogue';
import type { ControlPolicy } from '../../control/controlPolicy';
import { habitPolicy, USUAL_TOP_UP } from '../../control/habitPolicy';
import { finestStep, leastMove, ventScales } from '../../pit/ventNotation';
import { type PitSetup } from './designFire';

/** Chunks with each top-up of a firebox fed with charcoal by hand (common practice: one or two). */
const TOP_UP_CHUNKS = { massG: 60, count: 1 };
/** A small opening is never set coarser than this, share of the travel. */
const COARSEST_SMALL_STEP = 1 / 32;

/** The initial policy of a setup. */
export function initialPolicy(setup: PitSetup): ControlPolicy {
  const { preset, pit, fire, onSplits, handFed } = setup;
  const { intake, exhaust } = preset.travelMm;
  const told = ventScales(pit, preset.ventNotation);
  const step = Math.max(finestStep(told.intake, intake), finestStep(told.exhaust, exhaust) / 2);
  const habit = habitPolicy(preset, fire, pit.pace.pitC, onSplits);
  const { species } = pit.fire;
  return {
    ...habit,
    // Whatever lies in a side firebox, its charcoal is topped up like an ordinary charcoal fire's.
    ...(preset.traits.sideFirebox && !onSplits ? { topUp: USUAL_TOP_UP } : {}),
    feed: habit.feed && species ? { ...habit.feed, species } : habit.feed,
    finest: {
      small: Math.min(step, COARSEST_SMALL_STEP),
      wide: step,
      move: leastMove(told.intake, intake),
    },
    chunks: handFed ? { species: species ?? USUAL_CHUNK_WOOD, ...TOP_UP_CHUNKS } : null,
  };
}
