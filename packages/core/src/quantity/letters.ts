/** Letters as people count them: a letter with its accents is one, and so is a picture of several signs. */
const lettersOf = (text: string): string[] =>
  [...new Intl.Segmenter(undefined, { granularity: 'grapheme' }).segment(text)].map(
    ({ segment }) => segment,
  );

/** How many letters a text has. */
export const lettersIn = (text: string): number => lettersOf(text).length;

/** A text of at most so many letters; one that is longer ends in an ellipsis. */
export function shortened(text: string, most: number): string {
  const letters = lettersOf(text);
  return letters.length <= most
    ? text
    : `${letters
        .slice(0, most - 1)
        .join('')
        .trimEnd()}…`;
}
