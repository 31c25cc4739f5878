/**
 * A simulated thermometer: a pit of its own, a little different from the planned one, read with noise and
 * gaps. It follows the log: what was not logged was not done.
 */
import type { Reading } from '@ostrin/contract';
import {
  actionsOf,
  advance,
  createCook,
  drawPieceVariation,
  firstCoreReadingC,
  foldLog,
  litAtMs,
  MINUTE_MS,
  pitReadingC,
  presetOf,
  seeded,
  seedFrom,
  weatherAt,
  type Cook,
  type Entry,
  type PieceVariation,
  type Plan,
  type Scenario,
} from '@ostrin/core';

/** How far its pit differs from the planned one: relative, one standard deviation. */
const TRUTH_SD = { leakCm2: 0.25, wallLossFactor: 0.08, spreadFactor: 0.06 };
/** Share of the usual spread between pieces: the same butcher, the same cuts. */
const PIECE_SD_SHARE = 1 / 3;
/** Noise of a reading, one standard deviation, C. */
const NOISE_C = 0.4;
/** Chance that a probe falls silent at a reading, and for how many readings. */
const GAP_CHANCE = 0.004;
const GAP_READINGS: readonly [number, number] = [3, 12];
/** One pair of readings each half minute of the cook's clock. */
export const READ_EVERY_MS = 30_000;

/** The scenario that is really true: another pit, another piece of meat, and nothing done by itself. */
export function trueScenario(
  id: string,
  plan: Plan,
): { scenario: Scenario; variations: PieceVariation[] } {
  const random = seeded(seedFrom(id));
  const planned = plan.scenarios[0]!;
  const preset = presetOf(planned.cooker.preset).parameters;
  const overrides = { ...planned.cooker.overrides };
  for (const key of ['leakCm2', 'wallLossFactor', 'spreadFactor'] as const) {
    overrides[key] = (overrides[key] ?? preset[key]) * random.logNormal(TRUTH_SD[key]);
  }
  return {
    scenario: {
      ...planned,
      cooker: { ...planned.cooker, overrides },
      actions: [],
      meats: planned.meats.map((m) => ({ ...m, wrap: undefined, done: undefined })),
      untilMin: 2880,
      everyMin: 60,
    },
    variations: planned.meats.map(() => drawPieceVariation(random, PIECE_SD_SHARE)),
  };
}

export class SimulatedThermometer {
  private cook: Cook | null = null;
  private litMs: number | null = null;
  private known: readonly Entry[] = [];
  private stale = true;
  private gap = { pit: 0, core: 0 };

  constructor(
    private readonly id: string,
    private readonly plan: Plan,
    /** The cook's clock at its last reading. */
    private lastMs: number,
  ) {}

  /** Tells of the log as it now stands. */
  follow(entries: readonly Entry[]): void {
    this.known = [...entries];
    this.stale = true;
  }

  /** Readings after the last one up to `cookMs`. */
  readUntil(cookMs: number): Reading[] {
    if (this.stale) this.rebuild();
    const readings: Reading[] = [];
    let at = Math.floor(this.lastMs / READ_EVERY_MS) * READ_EVERY_MS + READ_EVERY_MS;
    for (; at <= cookMs; at += READ_EVERY_MS) {
      readings.push(this.read(at));
      this.lastMs = at;
    }
    return readings;
  }

  /** The fire as the log tells it, from the start: a correction may reach back hours. */
  private rebuild(): void {
    this.stale = false;
    const log = foldLog(this.known);
    this.litMs = litAtMs(log);
    this.cook = null;
    if (this.litMs === null) return;
    const truth = trueScenario(this.id, this.plan);
    this.cook = createCook(
      { ...truth.scenario, actions: actionsOf(log, this.litMs) },
      { variations: truth.variations },
    );
    if (this.lastMs > this.litMs) advance(this.cook, (this.lastMs - this.litMs) / MINUTE_MS);
  }

  private read(at: number): Reading {
    // Chance hangs on the moment, so that a restart tells the same story.
    const random = seeded(seedFrom(`${this.id}/${at}`));
    const air = weatherAt(this.plan.scenarios[0]!.weather, 0).airC;
    let pitC = air;
    let coreC: number | null = null;
    if (this.cook && this.litMs !== null && at >= this.litMs) {
      advance(this.cook, (at - this.litMs) / MINUTE_MS);
      pitC = pitReadingC(this.cook);
      coreC = firstCoreReadingC(this.cook);
    }
    for (const which of ['pit', 'core'] as const) {
      if (this.gap[which] > 0) this.gap[which] -= 1;
      else if (random.next() < GAP_CHANCE) {
        this.gap[which] =
          GAP_READINGS[0] + Math.floor(random.next() * (GAP_READINGS[1] - GAP_READINGS[0]));
      }
    }
    const noisy = (c: number): number => Math.round((c + NOISE_C * random.normal()) * 10) / 10;
    return {
      at,
      pitC: this.gap.pit > 0 ? null : noisy(pitC),
      coreC: coreC === null || this.gap.core > 0 ? null : noisy(coreC),
    };
  }
}
