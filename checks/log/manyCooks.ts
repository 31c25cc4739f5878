/** A log of many cooks: how long its list, one of its cooks and a comparison take beside an empty log, and its room. */
import { leadMeat, type PitPlan } from '@ostrin/core';
import { MINUTE_MS } from '@ostrin/core/quantity';
import type { Entry } from '@ostrin/core/log';
import { randomUUID } from 'node:crypto';
import { percentile, type MeasuredServer } from '../server/measured';

/** What is put into the log. */
interface LogSize {
  cooks: number;
  hours: number;
  /** Seconds from one reading to the next. */
  everyS: number;
}

const ROUNDS = 15;
const FIRST_START = Date.UTC(2024, 0, 1, 6);
/** Days from one cook to the next. */
const DAYS_APART = 2;

/** A cook of the past: jobs done, vents moved each forty minutes, a note each two hours, readings all the time. */
function pastCook(plan: PitPlan, number: number, { hours, everyS }: LogSize): object {
  const startMs = FIRST_START + number * DAYS_APART * 24 * 60 * MINUTE_MS;
  const at = (min: number): number => startMs + Math.round(min * MINUTE_MS);
  const entries: Entry[] = [];
  const add = (min: number, part: object): void => {
    entries.push({ id: randomUUID(), at: at(min), ...part } as Entry);
  };
  const meat = leadMeat(plan).id;
  const act = (min: number, action: object, jobId?: string): void =>
    add(min, { kind: 'act', action, ...(jobId ? { jobId } : {}) });
  act(0, { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 }, 'light');
  act(15, { do: 'set-vents', intakeFraction: 0.25, exhaustFraction: 0.5 }, 'hold');
  act(30, { do: 'lid-open', seconds: 60 }, 'meat-on');
  act(30, { do: 'meat-on', meat }, 'meat-on');
  for (let min = 60; min < 60 * hours; min += 40) {
    act(min, { do: 'set-vents', intakeFraction: 0.2 + (min % 3) / 20, exhaustFraction: 0.5 });
  }
  for (let min = 100; min < 60 * hours; min += 120) {
    add(min, { kind: 'note', text: `Thin blue, wind from the lake, ${min} minutes in.` });
  }
  act(60 * hours - 20, { do: 'meat-off', meat }, 'off');
  add(60 * hours, { kind: 'finish' });
  const readings = Array.from({ length: Math.floor((3600 * hours) / everyS) }, (_, i) => {
    const min = (i * everyS) / 60;
    const wave = 5 * Math.sin(min / 37 + number) + 2 * Math.sin(min / 5.3);
    return {
      at: at(min),
      pitC: round(121 - 100 * Math.exp(-min / 9) + wave),
      coreC: min < 30 ? null : round(95 - 91 * Math.exp(-(min - 30) / 190)),
    };
  });
  return {
    ostrin: 'cook/1',
    id: randomUUID(),
    name: `Cook ${number + 1}`,
    pitName: `pit ${number % 5}`,
    startMs,
    plan,
    entries,
    readings,
  };
}
const round = (c: number): number => Math.round(10 * c) / 10;

/** Medians of several requests, ms. */
async function medianMs(ask: () => Promise<unknown>): Promise<number> {
  const took: number[] = [];
  for (let i = 0; i < ROUNDS; i++) {
    const began = performance.now();
    await ask();
    took.push(performance.now() - began);
  }
  return percentile(took, 0.5);
}

/** Fills a server's log and measures it. */
export async function manyCooks(server: MeasuredServer, plan: PitPlan, size: LogSize) {
  const list = (): Promise<number> => medianMs(() => server.ask('GET', '/api/cooks'));
  const emptyListMs = await list();
  const emptyBytes = server.databaseBytes();
  const ids: string[] = [];
  for (let i = 0; i < size.cooks; i++) {
    const answer = await server.ask(
      'POST',
      '/api/imports',
      JSON.stringify(pastCook(plan, i, size)),
    );
    if (answer?.status !== 201) throw new Error(`a cook was not taken: ${answer?.text}`);
    ids.push((JSON.parse(answer.text) as { id: string }).id);
  }
  const some = (n: number): string[] =>
    Array.from({ length: n }, (_, i) => ids[Math.floor(((i + 0.5) / n) * ids.length)]!);
  const cook = (id: string): Promise<unknown> => server.ask('GET', `/api/cooks/${id}`);
  const listMs = await list();
  return {
    ...size,
    listMs,
    timesEmptyList: listMs / emptyListMs,
    oneCookMs: await medianMs(() => cook(some(1)[0]!)),
    fourCooksMs: await medianMs(() => Promise.all(some(4).map(cook))),
    nextTimeMs: await medianMs(() => server.ask('GET', '/api/next-time')),
    kbPerCook: (server.databaseBytes() - emptyBytes) / 1000 / size.cooks,
  };
}
