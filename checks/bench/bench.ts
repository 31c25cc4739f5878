/** Timings as ratios inside one run, against the reference kernel. */
import { plan, simulate } from '@ostrin/core/engine';
import { presetOf } from '@ostrin/core/catalogue';
import { quantile } from '@ostrin/core/quantity';
import { estimatePiece } from '@ostrin/core/internals';
import { setTimeout as sleep } from 'node:timers/promises';
import { allocatedKbPerHour } from './allocations';
import { COOKS, cookIn, HELD, READ, REQUESTS, TWO_PIECES } from './cases';
import { inShares } from './inShares';
import { referenceKernel } from './kernel';

/** How fires are held, kept from plan to plan as the app's worker keeps it. */
const KNOWN = new Map();
const ROUNDS = 9;
const SLOW_ROUNDS = 3;
const WARM_UP = 3;
const ENSEMBLE = 300;
/** The main thread looks at the clock this often while the ensemble runs, ms. */
const TICK_MS = 5;

/** Median of several timings, each beside one of the kernel, so that a drifting machine does not tilt it. */
function against(work: () => unknown, now: () => number, rounds = ROUNDS) {
  const ms: number[] = [];
  const ratios: number[] = [];
  for (let i = 0; i < rounds; i++) {
    const began = now();
    referenceKernel();
    const between = now();
    work();
    const took = now() - between;
    ms.push(took);
    ratios.push(took / (between - began));
  }
  const middle = (v: number[]): number =>
    Number(
      quantile(
        v.sort((a, b) => a - b),
        0.5,
      ).toFixed(2),
    );
  return { ms: middle(ms), ratio: middle(ratios) };
}

/**
 * An ensemble in as many workers as the machine has cores, started from the build: how often it reported, and how long
 * the main thread was held up at most.
 */
async function ensemble(now: () => number) {
  let reports = 0;
  let running = true;
  const began = now();
  const work = {
    scenario: cookIn('kettle-57'),
    parameters: presetOf('kettle-57').parameters,
    count: ENSEMBLE,
  };
  const ended = inShares('./ensemble.worker.js', work, () => reports++).finally(
    () => (running = false),
  );
  let longest = 0;
  while (running) {
    const before = now();
    await sleep(TICK_MS);
    longest = Math.max(longest, now() - before - TICK_MS);
  }
  const workers = await ended;
  return {
    members: ENSEMBLE,
    workers,
    seconds: Number(((now() - began) / 1000).toFixed(1)),
    progressReports: reports,
    longestMainThreadDelayMs: Number(longest.toFixed(1)),
  };
}

/** All timings, ms (median), and as multiples of the kernel; memory asked for; and an ensemble in workers. */
export async function bench(now: () => number) {
  const work: Record<string, () => unknown> = {
    ...Object.fromEntries(
      Object.entries({ ...COOKS, ...TWO_PIECES }).map(([k, s]) => [k, () => simulate(s)]),
    ),
    'meat-14h-held': () => simulate(HELD),
    'estimate-at-5h': () => estimatePiece(READ),
    ...Object.fromEntries(
      Object.entries(REQUESTS).flatMap(([name, request]) => [
        [`plan-rough-${name}`, () => plan(request, { nowMs: 0, members: 1 })],
        [`plan-60-${name}`, () => plan(request, { nowMs: 0, members: 60 })],
        [
          `plan-60-known-${name}`,
          () => plan(request, { nowMs: 0, members: 60, knownPolicies: KNOWN }),
        ],
      ]),
    ),
  };
  for (let i = 0; i < WARM_UP; i++) {
    referenceKernel();
    for (const f of Object.values(work)) f();
  }
  const found = Object.entries(work).map(([name, f]) => ({
    name,
    ...against(f, now, name.startsWith('plan-60') ? SLOW_ROUNDS : ROUNDS),
  }));
  return {
    ostrin: 'bench/1',
    medianMs: Object.fromEntries(found.map((f) => [f.name, f.ms])),
    timesKernel: Object.fromEntries(found.map((f) => [f.name, f.ratio])),
    allocatedKbPerHour: Object.fromEntries(
      Object.entries(COOKS).map(([name, cook]) => [name, allocatedKbPerHour(cook)]),
    ),
    ensemble300: await ensemble(now),
  };
}
