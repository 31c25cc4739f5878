/** Kinds of fires in a few words. */
import { CHARCOALS, type ArrangementId, type CharcoalId } from '@ostrin/core/catalogue';

/** How fires lie, in a word. */
const ARRANGEMENT_NAMES: Readonly<Record<ArrangementId, string>> = {
  snake: 'snake',
  'side-basket': 'side basket',
  crescent: 'crescent',
  horseshoe: 'horseshoe',
  bowl: 'bowl',
  ring: 'ring',
  'coal-bed': 'bed of coals',
  hopper: 'hopper',
};

/** A kind of fire: `snake of briquettes`. */
export const fireKindWords = (of: { arrangement: ArrangementId; fuel: CharcoalId }): string =>
  `${ARRANGEMENT_NAMES[of.arrangement]} of ${CHARCOALS[of.fuel].name}`;
