/** One fuel: how much is there, what a bag holds, what it costs. */
import { fromKg, toKg } from '@ostrin/core/quantity';
import type { Shelf, Versioned } from '@ostrin/contract/types';
import { useSaveShelf } from '../api/queries';
import { useSettings } from '../store/settings';
import type { Field, Values } from '../ui/FieldsForm';
import { FormSheet } from '../ui/FormSheet';
import { shelfName, shelfItemOf, withShelfItem, type ShelfFuel } from './shelfItems';

const NUMBER = /^\s*\d{1,4}([.,]\d{1,2})?\s*$/;
const NOT_NOTHING = /^(?!\s*0+([.,]0+)?\s*$)\s*\d{1,2}([.,]\d{1,2})?\s*$/;

/** What is typed as a number; null for nothing. */
const numberOf = (text: string | undefined): number | null =>
  text ? Number(text.replace(',', '.')) : null;

interface Props {
  shelf: Versioned<Shelf>;
  fuel: ShelfFuel;
  onClose: () => void;
}

export function ShelfSheet({ shelf, fuel, onClose }: Props) {
  const save = useSaveShelf();
  const unit = useSettings((s) => s.units.mass);
  const stand = shelfItemOf(shelf, fuel);
  const bag = fuel === 'splits' ? 'bundle' : 'bag';
  const text = (kg: number | null): string =>
    kg === null ? '' : String(Math.round(100 * fromKg(kg, unit)) / 100);
  const kg = (typed: string | undefined): number | null => {
    const n = numberOf(typed);
    return n === null ? null : toKg(n, unit);
  };
  // A price needs both its bag and its money.
  const priced = (v: Values): boolean => v.bag !== '' || v.each !== '';
  const fields: Field[] = [
    {
      name: 'there',
      label: `On the shelf, ${unit}`,
      first: text(stand.massKg),
      pattern: NUMBER,
      message: 'Write a number such as 7.5, or leave it empty.',
      needed: (v) => v.there !== '',
      kind: 'number',
    },
    {
      name: 'bag',
      label: `A ${bag} holds, ${unit}`,
      first: text(stand.bagKg),
      pattern: NOT_NOTHING,
      message: `Write what a ${bag} holds, over 0 and under 100.`,
      needed: priced,
      kind: 'number',
    },
    {
      name: 'each',
      label: `A ${bag} costs, in your own money`,
      first: stand.each === null ? '' : String(stand.each),
      pattern: NUMBER,
      message: `Write what a ${bag} costs.`,
      needed: priced,
      kind: 'number',
    },
  ];
  return (
    <FormSheet
      title={shelfName(fuel)}
      fields={fields}
      save="Save"
      saveID="shelf-save"
      busy={save.isPending}
      failure={save.error?.message}
      onSave={(v) =>
        save.mutate(
          {
            base: shelf,
            shelf: withShelfItem(shelf, fuel, {
              massKg: kg(v.there),
              bagKg: kg(v.bag),
              each: numberOf(v.each),
            }),
          },
          { onSuccess: onClose },
        )
      }
      onClose={onClose}
    />
  );
}
