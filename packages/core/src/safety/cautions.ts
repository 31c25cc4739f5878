/** Cautions by their names; what each says, and its source, is in the wording package. */
export const CAUTION_IDS = [
  'carbon-monoxide',
  'hot-ash',
  'not-safe-yet',
  'not-safe-poultry',
  'not-safe-minced',
  'lingers-surface',
  'lingers-opened',
  'lingers-centre',
  'cools-slowly',
  'foil-steam',
  'sugar-browns',
  'sugar-burns',
  'start-warm',
  'hot-hold',
] as const;
export type CautionId = (typeof CAUTION_IDS)[number];

/** The caution for a piece called done before it is safe, by what makes it safe. */
export const NOT_SAFE = {
  red: 'not-safe-yet',
  poultry: 'not-safe-poultry',
  minced: 'not-safe-minced',
} as const satisfies Record<string, CautionId>;
