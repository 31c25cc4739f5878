/**
 * A simulated thermometer: a pit of its own, a little different from the planned one, read with noise and
 * gaps. It follows the log: what was not logged was not done.
 */
import type { Reading } from '@ostrin/contract';
import {
  actionsOf,
  foldLog,
  litAtMs,
  probeOutSinceMin,
  surprisesOf,
  withGusts,
  withSlips,
  type Entry,
  type Surprise,
} from '@ostrin/core/log';
import {
  drawPieceVariation,
  coreReadingC,
  pitReadingC,
  type PieceVariation,
} from '@ostrin/core/engine';
import { MINUTE_MS, seeded, seedFrom } from '@ostrin/core/quantity';
import { presetOf } from '@ostrin/core/catalogue';
import { weatherAt, type PitPlan, type Scenario } from '@ostrin/core';
import { planAsChanged, settling, withoutRules } from '@ostrin/core/tending';
import { Replayable } from './replayable';

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

/** A simulated fire is followed for so long after lighting, min: longer than any load burns. */
const LONGEST_FIRE_MIN = 4 * 1440;

/** The scenario that is really true: another pit, another piece of meat, and nothing done by itself. */
export function trueScenario(
  id: string,
  plan: PitPlan,
): { scenario: Scenario; variations: PieceVariation[] } {
  const random = seeded(seedFrom(id));
  const planned = withoutRules(plan.scenarios[0]);
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
  private pit: Replayable | null = null;
  private litMs: number | null = null;
  /** The pieces of that pit, planned and added, as text. */
  private pieces = '';
  /** What goes wrong at that pit that nobody logs. */
  private surprises: readonly Surprise[] = [];
  private gap = { pit: 0, core: 0 };

  constructor(
    private readonly id: string,
    private readonly plan: PitPlan,
    /** The cook's clock at its last reading. */
    private lastMs: number,
  ) {}

  /** The cook's clock at its last reading, epoch ms. */
  get lastReadMs(): number {
    return this.lastMs;
  }

  /** Tells of the log as it now stands. A correction may reach back hours. */
  follow(entries: readonly Entry[]): void {
    const log = foldLog(entries);
    const litMs = litAtMs(log);
    const plan = planAsChanged(this.plan, log);
    const pieces = JSON.stringify(plan.scenarios[0].meats);
    this.surprises = surprisesOf(this.id, this.plan, log);
    if (litMs === null) this.pit = null;
    else {
      if (!this.pit || litMs !== this.litMs || pieces !== this.pieces) {
        const { scenario, variations } = trueScenario(this.id, plan);
        this.pit = new Replayable(withGusts(scenario, this.surprises), variations);
      }
      this.pit.follow(withSlips(actionsOf(log, litMs), this.surprises));
    }
    this.litMs = litMs;
    this.pieces = pieces;
  }

  /** Readings after the last one up to `cookMs`, at most `most`. */
  readUntil(cookMs: number, most = Infinity): Reading[] {
    const readings: Reading[] = [];
    let at = Math.floor(this.lastMs / READ_EVERY_MS) * READ_EVERY_MS + READ_EVERY_MS;
    for (; at <= cookMs && readings.length < most; at += READ_EVERY_MS) {
      readings.push(this.read(at));
      this.lastMs = at;
    }
    return readings;
  }

  private read(at: number): Reading {
    // Chance hangs on the moment, so that a restart tells the same story.
    const random = seeded(seedFrom(`${this.id}/${at}`));
    const air = weatherAt(this.plan.scenarios[0].weather, 0).airC;
    let pitC = air;
    let coreC: number | null = null;
    let secondC: number | null = null;
    const sinceLitMin = this.litMs === null ? -1 : (at - this.litMs) / MINUTE_MS;
    // After the longest fire the pit is as cold as the air, and nobody looks at the meat any more.
    if (this.pit && sinceLitMin >= 0 && sinceLitMin <= LONGEST_FIRE_MIN) {
      const cook = this.pit.at(sinceLitMin);
      pitC = pitReadingC(cook);
      coreC = coreReadingC(cook);
      const outSince = probeOutSinceMin(this.surprises, sinceLitMin);
      if (outSince !== null && coreC !== null)
        coreC = settling(coreC, pitC, sinceLitMin - outSince);
      secondC = coreReadingC(cook, 1);
    }
    for (const which of ['pit', 'core'] as const) {
      if (this.gap[which] > 0) this.gap[which] -= 1;
      else if (random.next() < GAP_CHANCE) {
        this.gap[which] =
          GAP_READINGS[0] + Math.floor(random.next() * (GAP_READINGS[1] - GAP_READINGS[0]));
      }
    }
    const noisy = (c: number): number => Math.round((c + NOISE_C * random.normal()) * 10) / 10;
    const reading: Reading = {
      at,
      pitC: this.gap.pit > 0 ? null : noisy(pitC),
      coreC: coreC === null || this.gap.core > 0 ? null : noisy(coreC),
    };
    const second = this.plan.scenarios[0].meats[1];
    // It has two probes for meat: where there are more pieces, the others are read by hand.
    return second && secondC !== null
      ? { ...reading, meatC: { [second.id]: noisy(secondC) } }
      : reading;
  }
}
