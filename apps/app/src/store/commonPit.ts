/** The pit that is planned for while the yard is empty: a common kettle. */
import type { PitRecord } from '@ostrin/contract/types';
import { presetOf } from '@ostrin/core/catalogue';

const COMMON_PRESET = 'kettle-57';

export const COMMON_PIT: PitRecord = {
  id: 'common-kettle',
  name: 'A common kettle',
  preset: COMMON_PRESET,
  overrides: {},
  ventWay: presetOf(COMMON_PRESET).ventNotation,
};

/** The pits that a plan can be for: those in use, or the common kettle where there is none. */
export const yardOrCommon = (yard: readonly PitRecord[]): readonly PitRecord[] => {
  const used = yard.filter((p) => !p.putAwayAt);
  return used.length > 0 ? used : [COMMON_PIT];
};

export const isCommonPit = (pit: Pick<PitRecord, 'id'>): boolean => pit.id === COMMON_PIT.id;
