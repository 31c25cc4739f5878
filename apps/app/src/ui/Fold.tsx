/** A part of a page that opens where it is needed: its heading is there, the rest on touch. */
import { useState, type ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';

interface Props {
  label: string;
  testID?: string;
  children: ReactNode;
}

export function Fold({ label, testID, children }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <View>
      <Pressable
        role="button"
        aria-expanded={open}
        testID={testID}
        onPress={() => setOpen(!open)}
        className="flex-row items-center justify-between gap-3 min-h-[48px] active:opacity-70"
      >
        <Text className="font-sans-semi text-ink text-[16px] underline flex-1">{label}</Text>
        <Text className="font-sans-bold text-ink text-[18px]">{open ? '−' : '+'}</Text>
      </Pressable>
      {open ? children : null}
    </View>
  );
}
