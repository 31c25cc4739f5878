/** Trade practice: offsets on splits, and a fan on a small charcoal fire. */
import {
  type Action,
  advance,
  createCook,
  feedActions,
  mean,
  WHITE_G_PER_M3,
} from '@ostrin/core/internals';
import { COMMON, row, type Row } from '../types';
import { fed, heapOf, highest, onTheDay, SETTLED_MIN, vents } from './help';

const HEAVY_SPLIT_KG = 1.25;
const LIGHT_SPLIT_KG = 0.45;

/** Rows T8, T9, T11, T12, T15 and the offset's part of T14. */
export function offsetRows(): Row[] {
  const often = fed('offset-heavy', HEAVY_SPLIT_KG, 40);
  const rarely = fed('offset-heavy', HEAVY_SPLIT_KG, 65);
  const middle = fed('offset-heavy', HEAVY_SPLIT_KG, 50);
  const lightOften = fed('offset-light', LIGHT_SPLIT_KG, 25);
  const lightRarely = fed('offset-light', LIGHT_SPLIT_KG, 40);
  const reverse = fed('offset-heavy-reverse', 1.35, 50);
  // Wood an hour that holds 135 C, between the two feeds that straddle it.
  const perHour = (min: number): number => (HEAVY_SPLIT_KG * 60) / min;
  const share = (135 - rarely.meanC) / (often.meanC - rarely.meanC);
  const rate = perHour(65) + share * (perHour(40) - perHour(65));
  return [
    row(
      'T8-heavy',
      'heavy offset, 1.25 kg splits: 135 °C between one each 40 and each 65 min',
      COMMON,
      [
        { what: 'C each 40 min', value: often.meanC, low: 135, high: Infinity },
        { what: 'C each 65 min', value: rarely.meanC, low: 95, high: 135 },
      ],
    ),
    row(
      'T8-light',
      'light offset, 0.45 kg splits: 135 °C between one each 25 and each 40 min',
      COMMON,
      [
        { what: 'C each 25 min', value: lightOften.meanC, low: 135, high: Infinity },
        { what: 'C each 40 min', value: lightRarely.meanC, low: -Infinity, high: 135 },
      ],
    ),
    row('T14-offset', 'heavy offset at 135 °C, wood an hour', COMMON, [
      { what: 'kg/h', value: rate, low: 1.2, high: 2.6, digits: 2 },
    ]),
    row('T15', 'ordinary offset, firebox end against far end of the grate', COMMON, [
      { what: 'near hotter by C', value: middle.nearMinusFar, low: 10, high: 40 },
    ]),
    row('T15-reverse', 'the same on reverse flow', COMMON, [
      { what: 'ends differ by C', value: Math.abs(reverse.nearMinusFar), low: 0, high: 12 },
    ]),
    damperRow(),
    fanRow(),
    ...smokeRows(),
  ];
}

/**
 * T9: a heavy offset running 150 C, stack taken to about half. The pit breathes with its splits, so
 * all moments of a round at which it stands near 150 are tried, and read as if it stood at 150.
 */
function damperRow(): Row {
  const run = (extra: Action[]) => fed('offset-heavy', 1.45, 50, extra).result.pitC;
  const open = run([]);
  const after: number[] = [];
  for (let at = SETTLED_MIN; at < SETTLED_MIN + 50; at += 2) {
    const now = open[at]!;
    if (Math.abs(now - 150) > 6) continue;
    after.push(run([vents(at, 1, 0.5)])[at + 10]! + 150 - now);
  }
  return row('T9', 'heavy offset at 150 °C, stack from wide open to half: 10 min later', COMMON, [
    { what: 'C', value: after.length > 0 ? mean(after) : null, low: 129, high: 141 },
  ]);
}

function fanRow(): Row {
  const cook = createCook(
    onTheDay(
      'offset-light',
      heapOf('offset-light', { arrangement: 'coal-bed', massKg: 3, litMassKg: 0.4 }),
      // At the end the set point is lowered: the pit stands above it and the fan has to rest.
      [{ atMin: 150, do: 'set-target', targetC: 80 }],
      { control: { mode: 'fan', targetC: 121 } },
    ),
  );
  const { pitC } = advance(cook, 149).result;
  const off = pitC.slice(60).map((c) => Math.abs(c! - 121));
  const runs = cook.pit!.fanDuty;
  const rests = advance(cook, 153.5).pit!.fanDuty;
  return row('T11', 'fan set to 121 °C on a small charcoal fire in a light offset', COMMON, [
    { what: 'farthest off C', value: highest(off), low: 0, high: 5 },
    { what: 'duty at the set point', value: runs, low: 0.01, high: 0.9, digits: 2 },
    { what: 'duty above it', value: rests, low: 0, high: 0.01, digits: 2 },
  ]);
}

/** Looks at the smoke this often, min. */
const LOOK = 1 / 6;

/** Minutes after a split went on until its white smoke is gone for good, null when never; and how many were white. */
function clearsAfter(
  split: { moistureFraction: number; preheated: boolean },
  choked: boolean,
): { clears: number | null; white: number } {
  const addMin = 50;
  const setting = choked ? 0.05 : 1;
  const cook = createCook(
    onTheDay(
      'offset-heavy',
      heapOf('offset-heavy', { arrangement: 'coal-bed', massKg: 3, litMassKg: 3 }),
      [
        vents(0, 1, 1),
        vents(30, setting, setting),
        ...feedActions({ massKg: 1.2, intervalMin: 999 }, addMin + 1, addMin).map((a) => ({
          ...a,
          ...split,
        })),
      ],
    ),
  );
  let white = 0;
  let last = 0;
  for (let min = LOOK; min <= 60; min += LOOK) {
    const { smokeGPerM3 } = advance(cook, addMin + min).pit!;
    if (smokeGPerM3 < WHITE_G_PER_M3) continue;
    white += LOOK;
    last = min;
  }
  return { clears: white === 0 || last > 59 ? null : last, white };
}

function smokeRows(): Row[] {
  const cold = clearsAfter({ moistureFraction: 0.16, preheated: false }, false);
  const damp = clearsAfter({ moistureFraction: 0.27, preheated: false }, false);
  const warm = clearsAfter({ moistureFraction: 0.16, preheated: true }, false);
  const starved = clearsAfter({ moistureFraction: 0.16, preheated: false }, true);
  return [
    row('T12', 'cold or damp split on a good coal bed: white smoke clears', COMMON, [
      { what: 'cold min', value: cold.clears, low: 1, high: 8 },
      { what: 'damp min', value: damp.clears, low: 1, high: 8 },
    ]),
    row('T12-warm', 'white minutes of a pre-warmed split against a cold one', COMMON, [
      {
        what: 'share of the time',
        value: (warm.clears ?? 0) / (cold.clears ?? NaN),
        low: 0,
        high: 0.5,
        digits: 2,
      },
    ]),
    row('T12-starved', 'the same split on a starved bed does not clear within the hour', COMMON, [
      { what: 'white min of 60', value: starved.white, low: 45, high: 61 },
    ]),
  ];
}
