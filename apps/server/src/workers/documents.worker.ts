/** The worker that reads large documents: parsing and checking them takes longer than a request may keep others waiting. */
import {
  cookFromCsv,
  CsvPairDto,
  isObject,
  readCookDoc,
  readNewCook,
  readNewCooks,
  validate,
  type Checked,
  type CookDoc,
  type NewCook,
} from '@ostrin/contract';

/** What was read, or what is wrong with it; `notJson` where it cannot be read at all. */
export type Read<T> = Checked<T> | { ok: false; notJson: string };

function parsed<T>(text: string, read: (plain: unknown) => Checked<T>): Read<T> {
  let plain: unknown;
  try {
    plain = JSON.parse(text);
  } catch (error) {
    return { ok: false, notJson: (error as Error).message.slice(0, 200) };
  }
  return read(plain);
}

/** A cook of the past: its document, or its pair of CSV files. */
export const readImport = (text: string): Read<CookDoc> =>
  parsed(text, (plain) => {
    if (!isObject(plain) || !('actionsCsv' in plain)) return readCookDoc(plain);
    const pair = validate(CsvPairDto, plain);
    return pair.ok ? cookFromCsv(pair.value.actionsCsv, pair.value.readingsCsv) : pair;
  });

/** Cooks to begin together. */
export const readBeginnings = (text: string): Read<NewCook[]> => parsed(text, readNewCooks);

/** One cook to begin. */
export const readBeginning = (text: string): Read<Omit<NewCook, 'id'>> => parsed(text, readNewCook);
