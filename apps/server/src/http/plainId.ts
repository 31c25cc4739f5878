/** Ids that a caller chooses and that stand in a path: short and plain. */
import { invalid } from './problems';

const ID = /^[a-z0-9][a-z0-9-]{0,39}$/;

/** Throws 422 for an id that is not plain. */
export function requirePlainId(id: string): void {
  if (!ID.test(id)) {
    throw invalid([{ field: 'id', message: 'must be lower-case letters, digits and hyphens' }]);
  }
}
