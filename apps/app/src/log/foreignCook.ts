/** A cook made of another program's readings: what somebody says of it, the plan that Ostrin would have made, and its log. */
import type { CookDoc, PitRecord } from '@ostrin/contract/types';
import { HOUR_MS, localOf, MINUTE_MS, type Units } from '@ostrin/core/quantity';
import type { Entry, EntryBody, ReadingRow } from '@ostrin/core/log';
import type { PitPlan, Request } from '@ostrin/core';
import { BAND_K, firstDraft, newMeat, PIT_C, USUAL_FIRE } from '../store/planDraft';
import { requestOf } from '../store/request';

/** A file that was chosen, on its way to the page that reads it. */
export interface ForeignFile {
  name: string;
  text: string;
}
let chosen: ForeignFile | null = null;
export const chooseForeign = (file: ForeignFile): void => void (chosen = file);
export const chosenForeign = (): ForeignFile | null => chosen;

/** What is said of a cook whose readings come from elsewhere. */
export interface ForeignCook {
  name: string;
  pit: PitRecord;
  cut: string;
  massKg: number;
  pieces: number;
  /** What the pit was to be held at, C. */
  pitC: number;
  /** When it was lit, when the meat went on and came off, epoch ms. */
  litMs: number;
  onMs: number;
  offMs: number;
  zone: string;
}

/** Meat is put on as the readings have it where its probe comes from the fridge: below this, C. */
const FRIDGE_C = 25;
/** A pit is up from here on, C. */
const UP_C = 80;

/** When it was lit, when the meat went on and came off, and what the pit was held at, as the readings have it. */
export function guessOf(
  readings: readonly ReadingRow[],
): Pick<ForeignCook, 'litMs' | 'onMs' | 'offMs' | 'pitC'> {
  const first = readings[0]!.at;
  const last = readings.at(-1)!.at;
  const core = readings.filter((r) => r.coreC !== null);
  const hottest = core.reduce<ReadingRow | null>(
    (a, b) => (a === null || b.coreC! > a.coreC! ? b : a),
    null,
  );
  const cold = core.find((r) => r.coreC! < FRIDGE_C);
  const up = readings.find((r) => r.pitC !== null && r.pitC > UP_C)?.at;
  const onMs = Math.max(cold?.at ?? core[0]?.at ?? first, Math.min(up ?? first, last));
  const held = readings
    .filter((r) => r.pitC !== null && r.pitC > UP_C)
    .map((r) => r.pitC!)
    .sort((a, b) => a - b);
  const middle = held[Math.floor(held.length / 2)] ?? USUAL_FIRE.pitC;
  const pitC = Math.min(PIT_C.high, Math.max(PIT_C.low, Math.round(middle)));
  const offMs = hottest && hottest.at > onMs ? hottest.at : last;
  return { litMs: first, onMs: Math.min(onMs, offMs), offMs, pitC };
}

/** What is not right about it; null where nothing is. */
export function foreignProblem({ name, litMs, onMs, offMs }: ForeignCook): string | null {
  if (name.trim() === '') return 'Give it a name.';
  if (onMs < litMs) return 'The meat cannot go on before the fire is lit.';
  if (offMs <= onMs) return 'The meat cannot come off before it went on.';
  return null;
}

/** The wish that Ostrin would have planned for such a cook. */
export function requestOfForeign(of: ForeignCook, units: Units): Request {
  const draft = firstDraft(of.litMs, of.zone);
  const meat = { ...newMeat(of.cut, of.pit.id, []), massKg: of.massKg, pieces: of.pieces };
  return requestOf(
    {
      ...draft,
      serveAt: localOf(Math.ceil((of.offMs + HOUR_MS) / (5 * MINUTE_MS)) * 5 * MINUTE_MS, of.zone),
      meats: [meat],
      fires: { [of.pit.id]: { ...USUAL_FIRE, pitC: of.pitC, bandC: BAND_K.usual } },
    },
    [of.pit],
    units,
  );
}

/** The cook as a document: its readings, the three times that are known, and where it came from; no vent is made up. */
export function docOfForeign(
  of: ForeignCook,
  plan: PitPlan,
  readings: readonly ReadingRow[],
  file: string,
  newId: () => string,
): CookDoc {
  const entry = (at: number, body: EntryBody, jobId?: string): Entry => ({
    id: newId(),
    at,
    ...(jobId ? { jobId } : {}),
    ...body,
  });
  const meats = plan.scenarios[0].meats.map((m) => m.id);
  const each = (at: number, what: 'meat-on' | 'meat-off', jobId: string): Entry[] =>
    meats.map((meat) => entry(at, { kind: 'act', action: { do: what, meat } }, jobId));
  const end = Math.max(of.offMs, readings.at(-1)?.at ?? 0);
  return {
    ostrin: 'cook/1',
    id: newId(),
    name: of.name.trim(),
    pitName: of.pit.name,
    startMs: of.litMs,
    fire: 'real',
    plan,
    entries: [
      entry(of.litMs, { kind: 'job' }, 'light'),
      ...each(of.onMs, 'meat-on', 'meat-on'),
      ...each(of.offMs, 'meat-off', 'off'),
      entry(end, { kind: 'note', text: `Readings from ${file.slice(0, 200)}` }),
      entry(end, { kind: 'finish' }),
    ],
    readings: [...readings],
  };
}
