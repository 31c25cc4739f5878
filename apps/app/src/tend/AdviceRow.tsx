/** The move that is advised now, in one line; a touch shows what comes of it, why, and does it. */
import { pitOf } from '@ostrin/core';
import type { Advice } from '@ostrin/core/tending';
import { causeWords } from '@ostrin/wording';
import { effectWords, moveWords, waitWords } from '@ostrin/wording/tending';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import { useSettings } from '../store/settings';
import { logDeeds } from '../store/logging';
import { Button } from '../ui/Button';
import { Sheet } from '../ui/Sheet';
import { Paragraph } from '../ui/Text';
import { Heading } from '../ui/Title';
import { useTendedCook } from './cookContext';

export function AdviceRow({ advice }: { advice: Advice }) {
  const { cook, mayLog, onLogged } = useTendedCook();
  const units = useSettings((s) => s.units);
  // What was opened stays as it was read, though another answer comes meanwhile.
  const [opened, setOpened] = useState<Advice | null>(null);
  const pit = pitOf(cook.plan);
  const move = moveWords(advice, pit, units);
  const onClose = (): void => setOpened(null);
  return (
    <View>
      <Pressable
        role="button"
        testID="advice"
        accessibilityLabel={`Advice: ${move}. Its effect, and why`}
        onPress={() => setOpened(advice)}
        className="min-h-[48px] justify-center border-l-4 border-pit bg-sheet px-3 py-1 active:opacity-70"
      >
        <Text className="font-sans-bold text-ink text-[16px] leading-[20px]">{move}</Text>
        <Text className="font-sans text-soot text-[14px] underline">Effect and reason</Text>
      </Pressable>
      {opened ? (
        <Sheet title={moveWords(opened, pit, units)} onClose={onClose}>
          <Heading>Effect</Heading>
          <Paragraph>{effectWords(opened, units)}</Paragraph>
          {opened.move.do === 'leave' ? null : <Paragraph>{waitWords(opened)}</Paragraph>}
          <Heading>Why</Heading>
          <Paragraph>{causeWords(cook.state.cause, pit)}</Paragraph>
          {opened.logs.length === 0 ? null : (
            <Button
              kind="primary"
              testID="advice-do"
              label="I did it: log it"
              disabled={!mayLog}
              onPress={() => {
                void logDeeds(
                  opened.logs.map((action) => ({ body: { kind: 'act', action } })),
                  cook.nowMs,
                ).then(onLogged);
                onClose();
              }}
            />
          )}
          <Button label="Not now" onPress={onClose} />
        </Sheet>
      ) : null}
    </View>
  );
}
