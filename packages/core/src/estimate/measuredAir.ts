/** The air a piece really lay in: a computed pit, moved to what its thermometer said. */
import { advance, createCook, pitReadingC } from '../cook/cook';
import { surroundings } from '../cook/grateAir';
import { resultOf } from '../cook/result';
import type { Result } from '../scenario/result';
import type { Scenario } from '../scenario/scenario';
import type { AirTrace } from '../cook/state';
import type { Surroundings } from '../meat/surface';

/** What the thermometers said at a minute; null where one was silent. */
export interface ProbeReading {
  /** Minutes after lighting. */
  atMin: number;
  /** What the pit's probe reads, C; null where it is silent. */
  pitC: number | null;
  /** What the dial in the lid reads, C; left out where nobody looked. */
  domeC?: number | null;
  /** How fast a fan turns, 0 to 1; left out where none tells. */
  fanDuty?: number;
  /** Middle of the piece, C; null while it is not on. */
  coreC: number | null;
}

/** A pit as computed, minute by minute: the air at the grate and what its probe reads, C; and all of its result. */
export interface PitTrace {
  /** The air at the grate, minute by minute. */
  air: Surroundings[];
  /** The pit at its probe, minute by minute, C. */
  pitC: number[];
  /** The run behind it. */
  result: Result;
}

/** What a thermometer's difference from the computed pit is worth later fades with this, min. */
export const OFFSET_MEMORY_MIN = 60;

/** Runs a scenario and keeps the air of every minute up to `untilMin`, at the piece in the place `piece` of the list. */
export function tracePit(scenario: Scenario, untilMin: number, piece = 0): PitTrace {
  const cook = createCook(scenario);
  const air: Surroundings[] = [];
  const pitC: number[] = [];
  for (let min = 0; min <= untilMin; min++) {
    advance(cook, min);
    air.push(surroundings(cook, min, cook.pieces[piece]?.gratePlace));
    pitC.push(pitReadingC(cook));
  }
  return { air, pitC, result: resultOf(cook) };
}

/** A pit as measured: the air at a minute, and what its thermometer read or is to be expected to. */
export interface MeasuredPit {
  /** `biasK` is what the thermometer itself reads too little. */
  air: (biasK?: number) => AirTrace;
  /** What its probe reads, C. */
  pitC: (atMin: number) => number;
}

/**
 * The traced air moved by what the pit's thermometer read more or less than computed: straight between
 * readings, fading after the last.
 */
export function measuredAir(trace: PitTrace, readings: readonly ProbeReading[]): MeasuredPit {
  const off = readingOffsets(trace, readings);
  const last = trace.air.length - 1;
  const at = (atMin: number): number => Math.min(Math.max(Math.round(atMin), 0), last);
  // One record, filled anew for every minute: it is asked for half a million times in a fit.
  const air: Surroundings = { ...trace.air[0]! };
  return {
    air:
      (biasK = 0) =>
      (atMin) => {
        const i = at(atMin);
        const k = off[i]! + biasK;
        Object.assign(air, trace.air[i]!);
        air.airC += k;
        air.wallC += k;
        return air;
      },
    pitC: (atMin) => trace.pitC[at(atMin)]! + off[at(atMin)]!,
  };
}

function readingOffsets(trace: PitTrace, readings: readonly ProbeReading[]): Float64Array {
  const off = new Float64Array(trace.air.length);
  let from: { at: number; k: number } | null = null;
  for (const r of readings) {
    const at = Math.round(r.atMin);
    if (r.pitC === null || at < 0 || at >= off.length) continue;
    const k = r.pitC - trace.pitC[at]!;
    const start: { at: number; k: number } = from ?? { at: 0, k };
    for (let i = start.at; i <= at; i++) {
      off[i] = at === start.at ? k : start.k + ((k - start.k) * (i - start.at)) / (at - start.at);
    }
    from = { at, k };
  }
  if (from) {
    for (let i = from.at + 1; i < off.length; i++) {
      off[i] = from.k * Math.exp(-(i - from.at) / OFFSET_MEMORY_MIN);
    }
  }
  return off;
}
