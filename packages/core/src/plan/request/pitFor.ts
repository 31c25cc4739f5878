/** Which pit of a request something belongs to. */
import type { Request, RequestPit } from './types';

/** The pit with that id; the first of the request where no pit, or none of its pits, is named. */
export function pitFor({ pits }: Pick<Request, 'pits'>, id: string | undefined): RequestPit {
  const [first] = pits;
  if (!first) throw new RangeError('a request has one pit at least');
  return pits.find((p) => p.id === id) ?? first;
}

/** The pit of a request of one pit. Throws RangeError where there are none or several. */
export function onlyPit<P>({ pits }: { pits: readonly P[] }): P {
  const [pit, ...others] = pits;
  if (pit === undefined || others.length > 0)
    throw new RangeError(`one pit was expected, not ${pits.length}`);
  return pit;
}
