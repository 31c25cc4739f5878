/** Two thermometers at one place that do not agree: by how much, which one is trusted, and how to settle it. */
import { boilingPointC, pressureAt } from '../air/moistAir';

/** What one channel at a place told of late. */
export interface ChannelTold {
  /** The instrument and its channel, as its owner calls them. */
  name: string;
  /** Mean of what it reported lately, corrected, C. */
  c: number;
  /** When its error was last found out, epoch ms; null where it never was. */
  checkedAt: number | null;
}

export interface Disagreement {
  /** Hotter less colder, K. */
  byK: number;
  /** The two, the hotter one first. */
  between: [string, string];
  /** The one that is trusted, and why; null where nothing speaks for either. */
  trusted: { name: string; because: 'checked-later' | 'only-one-checked' } | null;
  /** What boiling water reads at that height, C: ice water and this settle it. */
  boilsC: number;
}

/** Two differ by so much before it is worth a word, K (common practice: good ones agree within two or three). */
const WORTH_K = 5;

/** The widest disagreement of channels at one place; null where they agree well enough. */
export function disagreement(told: readonly ChannelTold[], altitudeM: number): Disagreement | null {
  const sorted = [...told].sort((a, b) => b.c - a.c);
  const [hot, cold] = [sorted[0], sorted.at(-1)];
  if (!hot || !cold || hot.c - cold.c < WORTH_K) return null;
  return {
    byK: hot.c - cold.c,
    between: [hot.name, cold.name],
    trusted: trustedOf(hot, cold),
    boilsC: boilsAtC(altitudeM),
  };
}

/** What boiling water reads at a height over the sea, C. */
export const boilsAtC = (altitudeM: number): number => boilingPointC(pressureAt(altitudeM));

function trustedOf(a: ChannelTold, b: ChannelTold): Disagreement['trusted'] {
  if (a.checkedAt === b.checkedAt) return null;
  const later = (a.checkedAt ?? 0) > (b.checkedAt ?? 0) ? a : b;
  const both = a.checkedAt !== null && b.checkedAt !== null;
  return { name: later.name, because: both ? 'checked-later' : 'only-one-checked' };
}
