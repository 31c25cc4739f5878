/** Validation at the door: every problem at once, each with the path of its field. */
import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';

export interface FieldProblem {
  /** Path such as `meats[0].massKg`; empty for the document as a whole. */
  field: string;
  message: string;
}

export type Checked<T> = { ok: true; value: T } | { ok: false; problems: FieldProblem[] };

/**
 * Turns a plain value into an instance of `cls` if every rule of the class holds, and names every
 * field that breaks one otherwise. Unknown fields are problems too. Never throws.
 */
export function check<T extends object>(cls: ClassConstructor<T>, plain: unknown): Checked<T> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain)) {
    return { ok: false, problems: [{ field: '', message: 'must be a JSON object' }] };
  }
  let value: T;
  try {
    value = plainToInstance(cls, plain, { exposeDefaultValues: true });
  } catch {
    return { ok: false, problems: [{ field: '', message: 'cannot be read as this document' }] };
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

function flatten(error: ValidationError, parent: string): FieldProblem[] {
  const index = /^\d+$/.test(error.property);
  const field = index
    ? `${parent}[${error.property}]`
    : parent
      ? `${parent}.${error.property}`
      : error.property;
  const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
    field,
    message: rule === 'whitelistValidation' ? 'is not a field of this document' : message,
  }));
  return [...own, ...(error.children ?? []).flatMap((c) => flatten(c, field))];
}

/** One line a problem, for people and terminals. */
export const problemLine = (p: FieldProblem): string =>
  p.field ? `${p.field}: ${p.message}` : p.message;
