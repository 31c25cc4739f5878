/** Fuel on the shelf and what it costs: what plans take from, and what they reckon with. */

import { massWords } from '@ostrin/wording';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import { useShelf } from '../api/queries';
import { useSettings } from '../store/settings';
import { Heading } from '../ui/Title';
import { Notice } from '../ui/Notice';
import { ShelfSheet } from './ShelfSheet';
import { SHELF_FUELS, shelfName, shelfItemOf, type ShelfFuel } from './shelfItems';

export function Shelf() {
  const shelf = useShelf();
  const units = useSettings((s) => s.units);
  const [open, setOpen] = useState<ShelfFuel | null>(null);
  const { data } = shelf;
  if (shelf.isError) {
    return (
      <Notice tone="warn" title="The shelf could not be read">
        {shelf.error.message}
      </Notice>
    );
  }
  if (!data) return null;
  return (
    <View className="gap-1" testID="shelf">
      <Heading>Fuel on the shelf</Heading>
      <Text className="font-sans text-soot text-[16px] leading-[22px]">
        Plans take from it before they buy, and cost what you pay.
      </Text>
      {SHELF_FUELS.map((fuel) => {
        const { massKg, bagKg, each } = shelfItemOf(data, fuel);
        const there = massKg === null ? 'not counted' : massWords(massKg, units);
        const price =
          bagKg === null || each === null
            ? 'no price yet'
            : `${massWords(bagKg, units)} for ${each.toFixed(2)}`;
        return (
          <Pressable
            key={fuel}
            role="button"
            accessibilityLabel={`${shelfName(fuel)}: ${there}, ${price}. Change`}
            onPress={() => setOpen(fuel)}
            className="min-h-[56px] flex-row items-center justify-between border-b border-rule active:opacity-70"
          >
            <Text className="font-sans-semi text-ink text-[17px]">{shelfName(fuel)}</Text>
            <View className="items-end">
              <Text className="font-slab-semi text-ink text-[17px]">{there}</Text>
              <Text className="font-sans text-soot text-[14px]">{price}</Text>
            </View>
          </Pressable>
        );
      })}
      {open ? <ShelfSheet shelf={data} fuel={open} onClose={() => setOpen(null)} /> : null}
    </View>
  );
}
