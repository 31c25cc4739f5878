/** Letters as people count them: a letter with its accents is one, and so is a picture of several signs. */
const segmenter = new Intl.Segmenter(undefined, { granularity: 'grapheme' });

/** How many letters a text has. */
export const lettersIn = (text: string): number => [...segmenter.segment(text)].length;

/** A text of at most so many letters; one that is longer ends in an ellipsis. */
export function shortened(text: string, most: number): string {
  const letters = [...segmenter.segment(text)].map((s) => s.segment);
  return letters.length <= most
    ? text
    : `${letters
        .slice(0, most - 1)
        .join('')
        .trimEnd()}…`;
}
