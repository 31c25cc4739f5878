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

/** From here on sugar darkens quickly, and burns, C (common practice). */
export const SUGAR_C = { browns: 135, burns: 150 };

/** The caution for sugar in a rub or a sauce in air of `pitC`; null where there is none. */
export function sugarCaution(pitC: number): CautionId | null {
  if (pitC >= SUGAR_C.burns) return 'sugar-burns';
  return pitC >= SUGAR_C.browns ? 'sugar-browns' : null;
}
