/** What is said of a piece once it was eaten, and how that is logged. */

/** What is judged of a piece, and what can be said of it, from too little to too much. */
export const PIECE_VERDICTS = {
  tenderness: ['tough', 'tender', 'falls-apart'],
  moisture: ['dry', 'moist'],
  bark: ['bark-soft', 'bark-good', 'bark-burnt'],
  smoke: ['smoke-faint', 'smoke-good', 'smoke-harsh'],
} as const;
export type JudgedOf = keyof typeof PIECE_VERDICTS;
export type PieceVerdict = (typeof PIECE_VERDICTS)[JudgedOf][number];

/** What a piece should be. */
export const AS_WISHED: ReadonlySet<PieceVerdict> = new Set([
  'tender',
  'moist',
  'bark-good',
  'smoke-good',
]);

/** What a note for next time is about: the pit, or a cut. */
export const NOTE_SUBJECTS = ['pit', 'cut'] as const;
export type NoteSubject = (typeof NOTE_SUBJECTS)[number];

/** What is weighed: charcoal that is left in the pit once it is cold, or a piece as bought, trimmed, or off the fire. */
export const WEIGHED_THINGS = ['fuel-left', 'bought', 'trimmed', 'cooked'] as const;
export type WeighedThing = (typeof WEIGHED_THINGS)[number];
