/** Validation at the door: the problems at once, each with the path of its field. Sizes come before contents. */
import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import './rulesOfClasses';
import { MOST_PROBLEMS, placeIn, type FieldProblem } from './problems';
import { isTooDeep, sizeProblems } from './size';

export type Checked<T> = { ok: true; value: T } | { ok: false; problems: FieldProblem[] };

/** A document that is refused, and why. */
export const invalid = (problems: FieldProblem[]): { ok: false; problems: FieldProblem[] } => ({
  ok: false,
  problems: problems.slice(0, MOST_PROBLEMS),
});

/**
 * Turns a plain value into an instance of `cls` if every rule of the class holds, and names the
 * fields that break one otherwise, at most `MOST_PROBLEMS`. Unknown fields are problems too. A document
 * that is nested too deeply or has too many of anything is refused before its contents are looked at.
 * Never throws.
 */
export function validate<T extends object>(cls: ClassConstructor<T>, plain: unknown): Checked<T> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain)) {
    return { ok: false, problems: [{ field: '', message: 'must be a JSON object' }] };
  }
  if (isTooDeep(plain)) {
    return { ok: false, problems: [{ field: '', message: 'is nested too deeply' }] };
  }
  const sizes = sizeProblems(cls, plain, MOST_PROBLEMS);
  if (sizes.length > 0) return { ok: false, problems: sizes };
  let value: T;
  let errors: ValidationError[];
  try {
    value = plainToInstance(cls, plain, { exposeDefaultValues: true });
    errors = validateSync(value, {
      whitelist: true,
      forbidNonWhitelisted: true,
      forbidUnknownValues: true,
      stopAtFirstError: false,
      validationError: { target: false, value: false },
    });
  } catch {
    const field = emptyEntry(plain);
    const message = field ? 'must not be null' : 'cannot be read as this document';
    return { ok: false, problems: [{ field, message }] };
  }
  if (errors.length === 0) return { ok: true, value };
  const problems: FieldProblem[] = [];
  for (const e of errors) {
    problems.push(...flatten(e, ''));
    if (problems.length >= MOST_PROBLEMS) break;
  }
  return { ok: false, problems: problems.slice(0, MOST_PROBLEMS) };
}

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
