/** The move that is advised now, in one line; a touch shows what comes of it, why, and does it. */
import type { Advice } from '@ostrin/core';
import { pitOf } from '@ostrin/core/tending';
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
import { useCook } from './cookContext';

export function AdviceRow({ advice }: { advice: Advice }) {
  const { cook, mayLog, onLogged } = useCook();
  const units = useSettings((s) => s.units);
  const [open, setOpen] = useState(false);
  const pit = pitOf(cook.plan);
  const move = moveWords(advice, pit, units);
  const leaves = advice.move.do === 'leave';
  const onClose = (): void => setOpen(false);
  return (
    <View>
      <Pressable
        role="button"
        testID="advice"
        accessibilityLabel={`Advice: ${move}. Its effect, and why`}
        onPress={() => setOpen(true)}
        className="min-h-[48px] justify-center border-l-4 border-pit bg-sheet px-3 py-1 active:opacity-70"
      >
        <Text className="font-sans-bold text-ink text-[16px] leading-[20px]">{move}</Text>
        <Text className="font-sans text-soot text-[14px] underline">Effect and reason</Text>
      </Pressable>
      {open ? (
        <Sheet title={move} onClose={onClose}>
          <Heading>Effect</Heading>
          <Paragraph>{effectWords(advice, units)}</Paragraph>
          {leaves ? null : <Paragraph>{waitWords(advice)}</Paragraph>}
          <Heading>Why</Heading>
          <Paragraph>{causeWords(cook.state.cause, pit)}</Paragraph>
          {advice.logs.length === 0 ? null : (
            <Button
              kind="primary"
              testID="advice-do"
              label="I did it: log it"
              disabled={!mayLog}
              onPress={() => {
                void logDeeds(
                  advice.logs.map((action) => ({ body: { kind: 'act', action } })),
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
