/** Validation at the door: every problem at once, each with the path of its field. */
import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';

export interface FieldProblem {
  /** Path such as `meats[0].massKg`; empty for the document as a whole. */
  field: string;
  /** What is wrong. */
  message: string;
}

export type Checked<T> = { ok: true; value: T } | { ok: false; problems: FieldProblem[] };

/** A document that is refused, and why. */
export const invalid = (problems: FieldProblem[]): { ok: false; problems: FieldProblem[] } => ({
  ok: false,
  problems,
});

/**
 * Turns a plain value into an instance of `cls` if every rule of the class holds, and names every
 * field that breaks one otherwise. Unknown fields are problems too. Never throws.
 */
export function validate<T extends object>(cls: ClassConstructor<T>, plain: unknown): Checked<T> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain)) {
    return { ok: false, problems: [{ field: '', message: 'must be a JSON object' }] };
  }
  let value: T;
  try {
    value = plainToInstance(cls, plain, { exposeDefaultValues: true });
  } catch {
    const field = emptyEntry(plain);
    const message = field ? 'must not be null' : 'cannot be read as this document';
    return { ok: false, problems: [{ field, message }] };
  }
  const errors = validateSync(value, {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    stopAtFirstError: false,
  });
  const problems = errors.flatMap((e) => flatten(e, ''));
  return problems.length === 0 ? { ok: true, value } : { ok: false, problems };
}

/** The path of what stands in something: an entry of a list, or a field. */
const placeIn = (parent: string, key: string, entry: boolean): string =>
  entry ? `${parent}[${key}]` : parent ? `${parent}.${key}` : key;

/** Path of the first entry of a list that is null, which lists of several classes cannot be read with; or ''. */
function emptyEntry(node: unknown, path = ''): string {
  if (typeof node !== 'object' || node === null) return '';
  const list = Array.isArray(node);
  for (const [key, child] of Object.entries(node)) {
    const here = placeIn(path, key, list);
    if (list && child === null) return here;
    const within = emptyEntry(child, here);
    if (within) return within;
  }
  return '';
}

function flatten(error: ValidationError, parent: string): FieldProblem[] {
  const field = placeIn(parent, error.property, /^\d+$/.test(error.property));
  const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
    field,
    message: rule === 'whitelistValidation' ? 'is not a field of this document' : message,
  }));
  return [...own, ...(error.children ?? []).flatMap((c) => flatten(c, field))];
}

/** One line a problem, for people and terminals. */
export const problemLine = (p: FieldProblem): string =>
  p.field ? `${p.field}: ${p.message}` : p.message;
