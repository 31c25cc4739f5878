/** `record/1`: the head of an archive of everything that a server keeps. Cooks and photographs are files beside it. */
import 'reflect-metadata';
import { Equals, IsUUID } from 'class-validator';
import { Instant } from './cook';
import { readInstrument } from './instrument';
import { usedTwice, type FieldProblem } from './problems';
import { isObject, plainOf } from './plain';
import { readPit } from './read';
import { readSavedPlan, readShelf } from './savedPlans';
import { InRange, NestedList } from './rules';
import type { InstrumentRecord, PhotographRecord, PitRecord, SavedPlan, Shelf } from './types';
import { invalid, validate, type Checked } from './validate';

/** Everything but the cooks. */
export interface ArchiveHead {
  ostrin: 'record/1';
  pits: PitRecord[];
  plans: SavedPlan[];
  shelf: Shelf;
  instruments: InstrumentRecord[];
  photographs: PhotographRecord[];
}

class PhotographDto {
  @IsUUID() id!: string;
  @IsUUID() cookId!: string;
  @Instant() addedAt!: number;
  @InRange(1, 100_000) width!: number;
  @InRange(1, 100_000) height!: number;
  @InRange(1, 100_000_000) bytes!: number;
}

class PhotographsDto {
  @Equals('record/1', { message: 'must be "record/1"' }) ostrin!: 'record/1';
  @NestedList(() => PhotographDto, 200_000) photographs!: PhotographDto[];
}

/** Records of one list, each read by its own reader, with the id that stands beside it. */
function listOf<T extends object>(
  plain: unknown,
  field: string,
  read: (record: unknown) => Checked<T>,
  problems: FieldProblem[],
  kept: readonly string[] = ['id'],
): T[] {
  if (!Array.isArray(plain)) {
    problems.push({ field, message: 'must be a list' });
    return [];
  }
  const ids = new Set<string>();
  return plain.flatMap((record: unknown, i): T[] => {
    if (!isObject(record) || typeof record.id !== 'string' || !/^[\w-]{1,64}$/.test(record.id)) {
      problems.push({ field: `${field}[${i}].id`, message: 'must be a short id' });
      return [];
    }
    if (ids.has(record.id)) problems.push({ field: `${field}[${i}].id`, message: 'is used twice' });
    ids.add(record.id);
    const beside = Object.fromEntries(kept.map((key) => [key, record[key]]));
    const rest = Object.fromEntries(Object.entries(record).filter(([key]) => !kept.includes(key)));
    const checked = read(rest);
    if (checked.ok) return [{ ...beside, ...checked.value }];
    const here = `${field}[${i}]`;
    problems.push(
      ...checked.problems.map((p) => ({ ...p, field: p.field ? `${here}.${p.field}` : here })),
    );
    return [];
  });
}

/** An instrument: archives of before named the id that their own yard had for its pit. */
const readWithoutPitId: typeof readInstrument = (plain) =>
  readInstrument(
    isObject(plain)
      ? Object.fromEntries(Object.entries(plain).filter(([key]) => key !== 'pitId'))
      : plain,
  );

/** The head of an archive. */
export function readArchiveHead(plain: unknown): Checked<ArchiveHead> {
  if (!isObject(plain)) return invalid([{ field: '', message: 'must be an object' }]);
  const { pits, plans, shelf, instruments, ...rest } = plain;
  const photographs = validate(PhotographsDto, rest);
  if (!photographs.ok) return photographs;
  const problems: FieldProblem[] = [];
  const found = {
    pits: listOf(pits, 'pits', readPit, problems) as PitRecord[],
    plans: listOf(plans, 'plans', readSavedPlan, problems, ['id', 'changedAt']) as SavedPlan[],
    instruments: listOf(
      instruments,
      'instruments',
      readWithoutPitId,
      problems,
    ) as InstrumentRecord[],
  };
  found.plans.forEach((p, i) => {
    if (!Number.isSafeInteger(p.changedAt)) {
      problems.push({ field: `plans[${i}].changedAt`, message: 'must be a time' });
    }
  });
  const onShelf = readShelf(shelf);
  if (!onShelf.ok)
    problems.push(...onShelf.problems.map((p) => ({ ...p, field: `shelf.${p.field}` })));
  problems.push(...usedTwice(photographs.value.photographs, 'photographs'));
  if (problems.length > 0 || !onShelf.ok) return invalid(problems);
  return {
    ok: true,
    value: {
      ostrin: 'record/1',
      ...found,
      shelf: onShelf.value,
      photographs: plainOf<PhotographRecord[]>(photographs.value.photographs),
    },
  };
}
