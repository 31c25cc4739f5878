/** Seven days at one reading a second of two channels: what it costs to look at, and what others notice of it. */
import type { PitPlan } from '@ostrin/core';
import { DAY_MS, epochOf } from '@ostrin/core/quantity';
import { beginCook, percentile, watchStalls, type Answer, type MeasuredServer } from './measured';

const DAYS = 7;
/** Packets of one request: as many as it may have. */
const AT_ONCE = 2_000;
const ROUNDS = 9;
/** What others ask meanwhile. */
const OTHERS = ['/api/cooks', '/api/pits', '/api/health'];

/** What one piece of work took, and the longest that others waited meanwhile, ms. */
interface Took {
  ms: number;
  othersMs: number;
}

/** Does something while somebody else keeps asking for small things. */
async function beside(
  server: MeasuredServer,
  work: () => Promise<Answer | null>,
): Promise<Took & { answer: Answer }> {
  const others = watchStalls(server, { paths: OTHERS, everyMs: 2 });
  const began = performance.now();
  const answer = await work();
  const ms = Math.round(performance.now() - began);
  const othersMs = await others.stop();
  if (answer === null || answer.status >= 300)
    throw new Error(`it was answered with ${answer?.status}: ${answer?.text.slice(0, 200)}`);
  return { ms, othersMs, answer };
}

/** Readings of one span, a second apart, as packets of an instrument. */
function packets(fromMs: number, n: number): string {
  const list = Array.from({ length: n }, (_, i) => {
    const min = (fromMs / 1000 + i) / 60;
    const pit = 121 + 5 * Math.sin(min / 37) + Math.sin(min * 7);
    const core = 60 + 30 * Math.sin(min / 4000);
    return { at: fromMs + 1000 * i, values: { 1: tenths(pit), 2: tenths(core) } };
  });
  return JSON.stringify({ packets: list });
}
const tenths = (c: number): number => Math.round(10 * c) / 10;

const note = (at: number): string =>
  JSON.stringify({ entries: [{ id: crypto.randomUUID(), at, kind: 'note', text: 'thin blue' }] });

/** A cook on a real fire with an instrument; its id and the instrument's token. */
async function wired(
  server: MeasuredServer,
  plan: PitPlan,
): Promise<{ id: string; token: string }> {
  const pitName = 'long pit';
  const tells = { offsetK: 0, checkedAt: null };
  const channels = [
    { key: '1', spot: 'grate', ...tells },
    { key: '2', spot: 'meat', piece: 1, ...tells },
  ];
  const at = '/api/instruments/long';
  const made = await server.ask('PUT', at, JSON.stringify({ name: 'Long', pitName, channels }));
  if (made?.status !== 201) throw new Error(`no instrument: ${made?.text}`);
  const { token } = JSON.parse((await server.ask('POST', `${at}/token`, '{}'))!.text) as {
    token: string;
  };
  return { id: await beginCook(server, plan, pitName, 'real'), token };
}

/** Median of several, ms. */
async function medianMs(ask: () => Promise<Answer | null>): Promise<number> {
  const took: number[] = [];
  for (let i = 0; i < ROUNDS; i++) took.push((await ask())!.ms);
  return Math.round(percentile(took, 0.5));
}

/** The long record on one server, and its archive brought into `other`, which is empty. */
export async function longRecord(server: MeasuredServer, other: MeasuredServer, plan: PitPlan) {
  const startMs = epochOf(plan.lightAt, plan.request.timeZone);
  const endMs = startMs + DAYS * DAY_MS;
  for (const s of [server, other]) s.setClockAhead(endMs - Date.now());
  const { id, token } = await wired(server, plan);
  const fresh = await beginCook(server, plan, 'new pit', 'real');
  const cook = `/api/cooks/${id}`;
  const fill = await beside(server, async () => {
    let last: Answer | null = null;
    for (let at = startMs; at < endMs; at += 1000 * AT_ONCE) {
      const n = Math.min(AT_ONCE, (endMs - at) / 1000);
      last = await server.ask('POST', '/api/wire', packets(at, n), 'application/json', token);
    }
    return last;
  });
  const open = await beside(server, () => server.ask('GET', cook));
  const four = await beside(server, async () => {
    const all = await Promise.all([1, 2, 3, 4].map(() => server.ask('GET', cook)));
    return all[3]!;
  });
  const zoom = `${cook}/readings?from=${startMs + 2 * DAY_MS}&to=${startMs + 2 * DAY_MS + 3_600_000}`;
  const noteMs = await medianMs(() => server.ask('POST', `${cook}/entries`, note(endMs)));
  const newNoteMs = await medianMs(() =>
    server.ask('POST', `/api/cooks/${fresh}/entries`, note(endMs)),
  );
  const zoomed = await beside(server, () => server.ask('GET', zoom));
  const csv = await beside(server, () => server.ask('GET', `${cook}/readings.csv`));
  const json = await beside(server, () => server.ask('GET', `${cook}/cook.json`));
  const finishEntry = { id: crypto.randomUUID(), at: endMs, kind: 'finish' };
  const finish = await beside(server, () =>
    server.ask('POST', `${cook}/entries`, JSON.stringify({ entries: [finishEntry] })),
  );
  const archive = await beside(server, () => server.ask('GET', '/api/record/archive'));
  const peakMb = server.peakMb();
  const restore = await beside(other, () =>
    other.ask('POST', '/api/record/archive', archive.answer.data, 'application/zip'),
  );
  const back = await beside(other, () => other.ask('GET', `${cook}/readings.csv`));
  const took = ({ ms, othersMs }: Took): Took => ({ ms, othersMs });
  return {
    readings: (endMs - startMs) / 1000,
    fill: took(fill),
    open: { ...took(open), kb: Math.round(open.answer.data.length / 1000) },
    openByFour: took(four),
    zoomed: { ...took(zoomed), kb: Math.round(zoomed.answer.data.length / 1000) },
    note: { ms: noteMs, inANewCookMs: newNoteMs },
    csv: { ...took(csv), kb: Math.round(csv.answer.data.length / 1000) },
    json: { ...took(json), kb: Math.round(json.answer.data.length / 1000) },
    finish: took(finish),
    archive: { ...took(archive), kb: Math.round(archive.answer.data.length / 1000) },
    peakMb,
    restore: { ...took(restore), peakMb: other.peakMb() },
    cameBackWhole: back.answer.text === csv.answer.text,
  };
}
