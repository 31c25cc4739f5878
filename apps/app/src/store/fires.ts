/** The fires on offer for a cooker, by the names of its preset's choices. */
import { presetOf, type FireChoice } from '@ostrin/core/catalogue';
import { BAND_K, type DraftFire } from './planDraft';

/** The fires of a preset, the usual one first. */
export const firesOf = (presetId: string): readonly FireChoice[] => presetOf(presetId).fireChoices;

/** The fire of that name; the usual one of the preset where it has none of that name. */
export const fireOf = (presetId: string, id: string | null): FireChoice =>
  firesOf(presetId).find((f) => f.id === id) ?? firesOf(presetId)[0]!;

/** The band of a fire that nobody chose one for, K: splits swing more than charcoal. */
export const usualBandK = (presetId: string, { fireId }: Pick<DraftFire, 'fireId'>): number =>
  fireOf(presetId, fireId).fuel === 'splits' ? BAND_K.onSplits : BAND_K.usual;
