/** The worker that reads large documents: parsing and checking them takes longer than a request may keep others waiting. */
import {
  cookFromCsv,
  CsvPairDto,
  isObject,
  readCookDoc,
  readNewCook,
  readNewCooks,
  readReadings,
  validate,
  type Checked,
  type CookDoc,
  type NewCook,
  type Reading,
} from '@ostrin/contract';
import { leadMeat } from '@ostrin/core';
import { glanceOf, type Glance } from '@ostrin/core/afterwards';
import { parsed, type Read } from '../http/read';
import { shapeFault } from '../http/shape';
import { ReadingsDigest, writtenReadings } from '../store/ownReadings';
import type { SeriesText } from '../store/series';

/** A cook of the past as it is stored: its readings are texts that the database takes as they are. */
export interface PastCook {
  doc: Omit<CookDoc, 'readings'>;
  glance: Glance;
  readings: WrittenReadings;
  /** Of all that it reads. */
  digest: string;
}

export interface WrittenReadings {
  texts: SeriesText[];
  count: number;
  /** When the last of them was, epoch ms; null where there are none. */
  lastMs: number | null;
}

/** Where the readings of a part stand in the record of their cook. */
export interface PartOf {
  startMs: number;
  firstMeat: string;
  /** How many came before, and when the last of them was, epoch ms. */
  before: number;
  afterMs: number;
}

const written = (readings: readonly Reading[], firstMeat: string): WrittenReadings => ({
  texts: writtenReadings(readings, firstMeat),
  count: readings.length,
  lastMs: readings.at(-1)?.at ?? null,
});

function pastCook({ readings, ...doc }: CookDoc): PastCook {
  const firstMeat = leadMeat(doc.plan).id;
  return {
    doc,
    glance: glanceOf(doc.plan, doc.entries, readings),
    readings: written(readings, firstMeat),
    digest: new ReadingsDigest(firstMeat).add(readings).hex(),
  };
}

function readPast(plain: unknown): Checked<CookDoc> {
  if (!isObject(plain) || !('actionsCsv' in plain)) return readCookDoc(plain);
  const pair = validate(CsvPairDto, plain);
  return pair.ok ? cookFromCsv(pair.value.actionsCsv, pair.value.readingsCsv) : pair;
}

/** What a cook of the past may hold: values of lists and objects taken together. */
const MOST_VALUES = 4_000_000;

/** A cook of the past, from a body that was not looked at yet: its document, or its pair of CSV files. */
export function readImport(bytes: Uint8Array): Read<PastCook> {
  const fault = shapeFault(bytes, MOST_VALUES);
  if (fault) return { ok: false, ...fault };
  const read = parsed(new TextDecoder().decode(bytes), readPast);
  return read.ok ? { ok: true, value: pastCook(read.value) } : read;
}

/** More readings of a cook whose document was read before: JSON of a list. */
export const readPart = ({ bytes, of }: { bytes: Uint8Array; of: PartOf }): Read<WrittenReadings> =>
  parsed(new TextDecoder().decode(bytes), (plain): Checked<WrittenReadings> => {
    if (!Array.isArray(plain)) {
      return { ok: false, problems: [{ field: '', message: 'must be a list of readings' }] };
    }
    const read = readReadings(plain, of);
    return read.ok ? { ok: true, value: written(read.value, of.firstMeat) } : read;
  });

export { readWire } from '../live/readWire';

/** Cooks to begin together. */
export const readBeginnings = (text: string): Read<NewCook[]> => parsed(text, readNewCooks);

/** One cook to begin. */
export const readBeginning = (text: string): Read<Omit<NewCook, 'id'>> => parsed(text, readNewCook);
