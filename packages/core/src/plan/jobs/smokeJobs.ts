/** Smoke wood again, where a fire has burnt what was laid into it and brings none of its own. */
import { USUAL_LID_S } from '../../scenario/actions';
import type { WoodChunkSpec } from '../../fire/fireSpec';
import type { PlanLog } from '../document/plan';
import type { PitSchedule } from '../schedule/pitSchedule';
import { windowOf, type JobDraft } from './job';

/** A chunk more each hour, three at most, none for less than an hour (common practice: smoke for the first half of a cook). */
const EVERY_MIN = 60;
const MOST = 3;
const LID: PlanLog = { do: 'lid-open', seconds: USUAL_LID_S };

/** Chunks that go on while the fire burns. */
interface SmokeAgain {
  chunk: WoodChunkSpec;
  /** The first one, min after lighting; one more each hour. */
  fromMin: number;
  count: number;
}

/**
 * A chunk at each hour after the last smoke of the reference cook, while a piece lies bare: wrapped meat takes none.
 * Null where none is due: a fire fed by hand brings its own with each handful, as splits do.
 */
export function smokeAgain(plan: PitSchedule): SmokeAgain | null {
  const { setup, scenario, result, wrapMin, readyMin } = plan;
  const chunk = scenario.fire?.woodChunks[0];
  const row = result.smoke.findLastIndex((s) => s !== 'clear');
  if (!chunk || setup.handFed || setup.onSplits || row < 0) return null;
  const bareUntil = Math.max(
    ...readyMin.map((ready, i) => {
      const wraps = wrapMin[i]!.filter(Number.isFinite);
      return wraps.length > 0 ? windowOf(wraps)[1] : windowOf(ready)[0];
    }),
  );
  const fromMin = result.minutes[row]! + 5;
  const count = Math.min(MOST, Math.floor((bareUntil - fromMin) / EVERY_MIN));
  return count > 0 ? { chunk, fromMin, count } : null;
}

/** The jobs of that. */
export function smokeJobs(plan: PitSchedule): JobDraft[] {
  const again = smokeAgain(plan);
  if (!again) return [];
  const { gravityFed, meatPlacement } = plan.setup.preset.traits;
  const { species, massG } = again.chunk;
  const onto = gravityFed ? 'ash-pan' : meatPlacement === 'over-deflector' ? 'edge' : 'coals';
  // Through a door of its own, or under a lid that has to be opened.
  const lid = gravityFed || meatPlacement === 'over-pan' ? [] : [LID];
  return Array.from({ length: again.count }, (_, n): JobDraft => ({
    id: `smoke-${n + 1}`,
    atMin: again.fromMin + n * EVERY_MIN,
    do: 'add-wood',
    facts: { kind: 'smoke-again', species, massG, onto },
    logs: [...lid, { do: 'add-wood', species, massG }],
  }));
}
