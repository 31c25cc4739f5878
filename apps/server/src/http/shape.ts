/** What a body of JSON may be, measured before it is parsed. */

/** A fault of a body, told by its depth and the number of its values; null where there is none. */
export function shapeFault(
  body: Uint8Array,
  mostValues: number,
): { status: number; title: string } | null {
  let depth = 0;
  let values = 0;
  for (let i = 0; i < body.length; i++) {
    switch (body[i]) {
      case 0x22: // A string: over to its closing quote.
        for (i++; i < body.length && body[i] !== 0x22; i++) if (body[i] === 0x5c) i++;
        break;
      case 0x5b: // [
      case 0x7b: // {
        if (++depth > MOST_DEPTH) return { status: 400, title: 'The body is nested too deeply' };
        break;
      case 0x5d: // ]
      case 0x7d: // }
        depth--;
        break;
      case 0x2c: // ,
        if (++values > mostValues) return { status: 413, title: 'The body has too many values' };
        break;
      default:
    }
  }
  return null;
}

/** JSON is nested this deep at most; a cook with its plan is nine deep. */
const MOST_DEPTH = 40;
