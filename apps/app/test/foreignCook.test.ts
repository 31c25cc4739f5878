/** A cook out of another program's readings: what is guessed of it, and the document that comes of it. */
import { readCookDoc } from '@ostrin/contract';
import { planOnePit } from '@ostrin/core/engine';
import { foldLog, litAtMs, type ReadingRow } from '@ostrin/core/log';
import { METRIC, MINUTE_MS } from '@ostrin/core/quantity';
import { v4 as newId } from 'uuid';
import {
  docOfForeign,
  foreignProblem,
  guessOf,
  requestOfForeign,
  type ForeignCook,
} from '../src/log/foreignCook';
import { foreignFile } from '../src/log/importFiles';
import { BOSUN } from './help';

const START = Date.UTC(2026, 9, 3, 5);
const READINGS: ReadingRow[] = Array.from({ length: 140 }, (_, i) => ({
  at: START + 4 * i * MINUTE_MS,
  pitC: Math.round(118 - 95 * Math.exp(-i / 8)),
  coreC: i < 10 ? null : Math.round(93 - 89 * Math.exp(-(i - 10) / 45)),
}));

it('guesses from readings when the meat went on and came off, and what the pit was held at', () => {
  const guess = guessOf(READINGS);
  expect(guess.litMs).toBe(START);
  expect(guess.onMs).toBe(START + 40 * MINUTE_MS);
  expect(guess.offMs).toBeGreaterThan(START + 400 * MINUTE_MS);
  expect(Math.abs(guess.pitC - 118)).toBeLessThanOrEqual(2);
});

it('guesses something of readings that say little', () => {
  const one = [{ at: START, pitC: null, coreC: 40 }];
  for (const readings of [
    one,
    READINGS.map((r) => ({ ...r, coreC: null })),
    READINGS.slice(0, 3),
  ]) {
    const { litMs, onMs, offMs, pitC } = guessOf(readings);
    for (const value of [litMs, onMs, offMs, pitC]) expect(Number.isFinite(value)).toBe(true);
    expect(onMs).toBeLessThanOrEqual(offMs);
  }
});

const cook: ForeignCook = {
  ...guessOf(READINGS),
  name: 'Herbstfest',
  pit: BOSUN,
  cut: 'pork-shoulder',
  massKg: 2.4,
  pieces: 2,
  zone: 'Europe/Ljubljana',
};

it('becomes a cook that the server takes, with its three times and no vent made up', () => {
  const plan = planOnePit(requestOfForeign(cook, METRIC), {
    nowMs: cook.litMs - 3 * 86_400_000,
    members: 1,
  });
  const doc = docOfForeign(cook, plan, READINGS, 'Herbstfest.csv', newId);
  const read = readCookDoc(JSON.parse(JSON.stringify(doc)));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const log = foldLog(read.value.entries);
  expect(litAtMs(log)).toBe(cook.litMs);
  expect(log.finishedAt).toBe(READINGS.at(-1)!.at);
  const deeds = log.lines.flatMap((l) => (l.body.kind === 'act' ? [l.body.action.do] : []));
  expect(new Set(deeds)).toEqual(new Set(['meat-on', 'meat-off']));
  expect(read.value.readings).toHaveLength(READINGS.length);
});

it('says what is not right about it', () => {
  expect(foreignProblem(cook)).toBeNull();
  expect(foreignProblem({ ...cook, name: ' ' })).toMatch(/name/);
  expect(foreignProblem({ ...cook, litMs: cook.onMs + 1 })).toMatch(/lit/);
  expect(foreignProblem({ ...cook, offMs: cook.onMs })).toMatch(/come off/);
});

it('tells a table of another program from an export of its own', async () => {
  const file = (name: string, text: string): File =>
    ({ name, text: () => Promise.resolve(text) }) as File;
  expect(await foreignFile([file('a.csv', 'time,pit\n')])).toEqual({
    name: 'a.csv',
    text: 'time,pit\n',
  });
  expect(await foreignFile([file('a.csv', 'id,at,kind,job,in_words,detail\n')])).toBeNull();
  expect(await foreignFile([file('a.json', '{}')])).toBeNull();
  expect(await foreignFile([file('a.csv', 'x'), file('b.csv', 'y')])).toBeNull();
});
