/** How large a document may be: looked at before anything in it is read. */
import type { ClassConstructor } from 'class-transformer';
import { isObject } from './plain';
import { nestedFieldsOf } from './rules';
import { placeIn, type FieldProblem } from './problems';

/** Documents are nested this deep at most; the deepest of ours, a cook with its plan, is nine. */
export const MOST_DEPTH = 32;
/** No object of ours has more fields than this. */
const MOST_FIELDS = 100;

/** Whether a value is nested deeper than `MOST_DEPTH`. Works level by level, so that no depth can exhaust it. */
export function isTooDeep(value: unknown): boolean {
  let level: unknown[] = typeof value === 'object' && value !== null ? [value] : [];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > MOST_DEPTH) return true;
    const next: unknown[] = [];
    for (const node of level) {
      for (const child of Object.values(node as object)) {
        if (typeof child === 'object' && child !== null) next.push(child);
      }
    }
    level = next;
  }
  return false;
}

/** Lists that are too long, entries that are null or lists, and objects with too many fields, at most `most` of them. */
export function sizeProblems(
  cls: ClassConstructor<object>,
  plain: unknown,
  most: number,
): FieldProblem[] {
  const problems: FieldProblem[] = [];
  visit(cls, plain, '', problems, most);
  return problems;
}

/** Looks into a value of a class, or of one that is not known; what is no object is told by the rules of its field. */
function visit(
  cls: ClassConstructor<object> | null,
  node: unknown,
  path: string,
  problems: FieldProblem[],
  most: number,
): void {
  if (!isObject(node) || problems.length >= most) return;
  if (Object.keys(node).length > MOST_FIELDS) {
    problems.push({ field: path, message: `must have at most ${MOST_FIELDS} fields` });
    return;
  }
  if (cls === null) return;
  for (const [name, field] of nestedFieldsOf(cls)) {
    const value = node[name];
    const type = field.type?.() ?? null;
    const here = placeIn(path, name, false);
    if (field.most === null) {
      visit(type, value, here, problems, most);
      continue;
    }
    if (!Array.isArray(value)) continue;
    if (value.length > field.most) {
      problems.push({ field: here, message: `must have at most ${field.most} entries` });
      continue;
    }
    for (const [i, entry] of value.entries()) {
      if (problems.length >= most) return;
      const place = placeIn(here, String(i), true);
      if (entry === null) problems.push({ field: place, message: 'must not be null' });
      else if (Array.isArray(entry)) {
        problems.push({ field: place, message: 'must be an object' });
      } else visit(type, entry, place, problems, most);
    }
  }
}
