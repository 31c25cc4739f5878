/** What is wrong with a document, field by field. */

export interface FieldProblem {
  /** Path such as `meats[0].massKg`; empty for the document as a whole. */
  field: string;
  /** What is wrong. */
  message: string;
}

/** No more problems than these are told of one document. */
export const MOST_PROBLEMS = 20;

/** The path of what stands in something: an entry of a list, or a field. */
export const placeIn = (parent: string, key: string, entry: boolean): string =>
  entry ? `${parent}[${key}]` : parent ? `${parent}.${key}` : key;

/** One line a problem, for people and terminals. */
export const problemLine = (p: FieldProblem): string =>
  p.field ? `${p.field}: ${p.message}` : p.message;

/** Items of a list whose id another one has before them. */
export function usedTwice(items: readonly { id: string }[], list: string): FieldProblem[] {
  const ids = new Set<string>();
  return items.flatMap(({ id }, i) => {
    if (ids.has(id)) return [{ field: `${list}[${i}].id`, message: 'is used twice' }];
    ids.add(id);
    return [];
  });
}
