/** The fires on offer for each family of pits, the usual one first. */
import type { ArrangementId, Family, FuelId } from '@ostrin/core';

export interface FireChoice {
  id: string;
  fuel: FuelId;
  arrangement?: ArrangementId;
  label: string;
  note: string;
}

const BRIQUETTES = { fuel: 'briquette' } as const;
const LUMP = { fuel: 'lump' } as const;

export const FIRES: Readonly<Record<Family, readonly FireChoice[]>> = {
  kettle: [
    {
      id: 'snake',
      ...BRIQUETTES,
      arrangement: 'snake',
      label: 'a briquette snake',
      note: 'long and low; walks round the rim by itself',
    },
    {
      id: 'basket',
      ...BRIQUETTES,
      arrangement: 'side-basket',
      label: 'a side basket of briquettes',
      note: 'hotter, more room to one side',
    },
    {
      id: 'basket-lump',
      ...LUMP,
      arrangement: 'side-basket',
      label: 'a side basket of lump',
      note: 'quick and lively; more visits',
    },
  ],
  bullet: [
    { id: 'ring', ...BRIQUETTES, label: 'a ring of briquettes', note: 'the usual' },
    { id: 'ring-lump', ...LUMP, label: 'a ring of lump', note: 'less ash, burns faster' },
  ],
  kamado: [
    { id: 'bowl', ...LUMP, label: 'a bowl of lump', note: 'the usual' },
    { id: 'bowl-briquettes', ...BRIQUETTES, label: 'a bowl of briquettes', note: 'more ash' },
  ],
  offset: [
    { id: 'splits', fuel: 'splits', label: 'splits', note: 'wood on a bed of lump, fed all day' },
    {
      id: 'charcoal',
      ...BRIQUETTES,
      label: 'briquettes and chunks',
      note: 'charcoal for heat, wood for smoke',
    },
    { id: 'charcoal-lump', ...LUMP, label: 'lump and chunks', note: 'livelier than briquettes' },
  ],
  hopper: [
    { id: 'hopper', ...BRIQUETTES, label: 'a hopper of briquettes', note: 'the usual' },
    { id: 'hopper-lump', ...LUMP, label: 'a hopper of lump', note: 'less ash, may bridge' },
  ],
};

/** The fire of that name in a family; its usual one where it has none of that name. */
export const fireOf = (family: Family, id: string | null): FireChoice =>
  FIRES[family].find((f) => f.id === id) ?? FIRES[family][0]!;
