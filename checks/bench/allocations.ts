/** How much memory a cook asks for in an hour of it: what garbage collection has to clear away. */
import { quantile } from '@ostrin/core/quantity';
import type { Scenario } from '@ostrin/core';
import { advance, createCook } from '@ostrin/core/internals';
import { getHeapSpaceStatistics } from 'node:v8';

/** The hour that is looked at, min after lighting: the fire has settled and the meat is on. */
const HOUR = { from: 180, to: 240 };
const ROUNDS = 15;

const usedBytes = (): number =>
  getHeapSpaceStatistics().reduce((sum, space) => sum + space.space_used_size, 0);

/** Memory asked for in one simulated hour, kB: the middle of the rounds in which nothing was cleared away. */
export function allocatedKbPerHour(scenario: Scenario): number {
  const kb: number[] = [];
  for (let i = 0; i < ROUNDS; i++) {
    const cook = advance(createCook(scenario), HOUR.from);
    const before = usedBytes();
    advance(cook, HOUR.to);
    const grown = (usedBytes() - before) / 1000;
    if (grown > 0) kb.push(grown);
  }
  return Number(
    quantile(
      kb.sort((a, b) => a - b),
      0.5,
    ).toFixed(0),
  );
}
