/**
 * Stand-ins for instruments that tell by wire: a wireless thermometer of four probes, a thermostat fan and a weather
 * station, at a simulated cook, with what goes wrong with such things.
 */
import type { Packet } from '@ostrin/contract';
import { advance, createCook, coreReadingC, pitReadingC } from '@ostrin/core/engine';
import { MILD_DAY, type Scenario } from '@ostrin/core';
import { MINUTE_MS, seeded } from '@ostrin/core/quantity';
import { presetOf, usualFire } from '@ostrin/core/catalogue';

export const STAND_INS = ['thermometer', 'fan', 'station'] as const;
export type StandInKind = (typeof STAND_INS)[number];

/** What goes wrong; nothing does where all is left out. */
interface StandInFaults {
  /** The first probe drifts by so much, K an hour. */
  driftKPerH?: number;
  /** Share of the packets that never come, 0 to 1. */
  dropOut?: number;
  /** The battery is dead from this minute on. */
  batteryDeadMin?: number;
  /** Share of the packets that come after the one behind them, 0 to 1. */
  outOfOrder?: number;
  /** Share of the packets that come twice, 0 to 1. */
  double?: number;
  /** The first probe falls off at this minute. */
  fallsOffMin?: number;
}

/** How a stand-in runs. */
interface StandInRun {
  kind: StandInKind;
  /** When its fire was lit, epoch ms. */
  litMs: number;
  /** For so long, min. */
  minutes: number;
  /** A packet each so many seconds. */
  everyS: number;
  seed: number;
  faults?: StandInFaults;
}

/** One standard deviation of a probe's noise, K, and of a gust, share of the wind. */
const NOISE = { k: 0.4, gust: 0.3 };
/** A battery lasts so long, h. */
const BATTERY_H = 60;
/** How fast a probe that fell off takes the temperature of the air, min. */
const COOLS_MIN = 2;
const MEAT_ON_MIN = 40;

/** A tended cook with one shoulder: in a kettle, or in a hopper cooker for a fan. */
function scenarioOf({ kind, minutes }: StandInRun): Scenario {
  const preset = presetOf(kind === 'fan' ? 'hopper-fan' : 'kettle-57');
  return {
    ostrin: 'scenario/1',
    cooker: { preset: preset.id, overrides: {} },
    fire: usualFire(preset),
    weather: MILD_DAY,
    control: { mode: 'tended', targetC: 121 },
    actions: [{ atMin: MEAT_ON_MIN, do: 'meat-on', meat: 'a' }],
    meats: [{ id: 'a', cut: 'pork-shoulder', massKg: 2.5, startC: 5 }],
    untilMin: minutes,
    everyMin: 1,
  };
}

/** The packets of a run in the order in which they arrive. */
export function standInPackets(run: StandInRun): Packet[] {
  const { kind, litMs, minutes, everyS, seed, faults = {} } = run;
  const random = seeded(seed);
  const cook = createCook(scenarioOf(run));
  const { airC, windMps } = MILD_DAY;
  const noisy = (c: number): number => Number((c + NOISE.k * random.normal()).toFixed(1));
  const sent: Packet[] = [];
  for (let s = 0; s <= 60 * minutes; s += everyS) {
    const min = s / 60;
    if (faults.batteryDeadMin !== undefined && min >= faults.batteryDeadMin) break;
    advance(cook, min);
    const fell = faults.fallsOffMin === undefined ? -1 : min - faults.fallsOffMin;
    const pitC = pitReadingC(cook);
    const felt = fell > 0 ? airC + (pitC - airC) * Math.exp(-fell / COOLS_MIN) : pitC;
    const coreC = coreReadingC(cook);
    const values: Record<StandInKind, () => Record<string, number>> = {
      thermometer: () => ({
        '1': noisy(felt + ((faults.driftKPerH ?? 0) * min) / 60),
        '2': noisy(cook.pit!.dialK - 273.15),
        ...(coreC === null ? {} : { '3': noisy(coreC) }),
        '4': noisy(airC),
      }),
      fan: () => ({ pit: noisy(felt), fan: Number(cook.pit!.fanDuty.toFixed(2)) }),
      station: () => ({
        air: noisy(airC),
        wind: Number((windMps * random.logNormal(NOISE.gust)).toFixed(1)),
        rain: 0,
      }),
    };
    const battery = Number(Math.max(0, 1 - min / 60 / BATTERY_H).toFixed(2));
    const packet = { at: litMs + Math.round(min * MINUTE_MS), values: values[kind](), battery };
    const [drops, twice] = [random.next(), random.next()];
    if (drops < (faults.dropOut ?? 0)) continue;
    sent.push(packet);
    if (twice < (faults.double ?? 0)) sent.push(packet);
  }
  for (let i = 0; i + 1 < sent.length; i++) {
    if (random.next() >= (faults.outOfOrder ?? 0)) continue;
    [sent[i], sent[i + 1]] = [sent[i + 1]!, sent[i]!];
    i++;
  }
  return sent;
}
