/** Plain values from outside. */

/** Whether a value is an object with fields, neither null nor a list. */
export const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Class instances as plain data, without undefined fields. */
export const plainOf = <T>(value: unknown): T => JSON.parse(JSON.stringify(value)) as T;
