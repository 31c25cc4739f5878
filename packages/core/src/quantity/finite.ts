/** Refusal of numbers that are none. */

/**
 * Throws RangeError, naming the field, when a number anywhere in a value is NaN or infinite. `path` names the
 * value itself.
 */
export function requireFinite(value: unknown, path: string): void {
  if (typeof value === 'number') {
    if (!Number.isFinite(value))
      throw new RangeError(`${path}: must be a finite number, not ${value}`);
  } else if (Array.isArray(value)) {
    value.forEach((v, i) => requireFinite(v, `${path}[${i}]`));
  } else if (value && typeof value === 'object') {
    for (const [key, v] of Object.entries(value)) requireFinite(v, `${path}.${key}`);
  }
}
