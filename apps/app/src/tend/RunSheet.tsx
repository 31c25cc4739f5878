/** The cook itself: how fast its practice clock goes, and its end. */
import { ROUTES, type ClockState } from '@ostrin/contract/types';
import { cautionWords } from '@ostrin/wording';
import { METRIC } from '@ostrin/core';
import { useMutation } from '@tanstack/react-query';
import { router } from 'expo-router';
import { useState } from 'react';
import { Text } from 'react-native';
import { requestJson } from '../api/http';
import { queryClient } from '../api/queries';
import { sendTaps } from '../outbox/outbox';
import { useLive } from '../store/live';
import { logDeeds } from '../store/logging';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { Heading } from '../ui/Title';

const SPEEDS = [1, 10, 60, 120, 240];

interface Props {
  id: string;
  now: number;
  /** Who holds the watch, in a sentence. */
  watch: string;
  /** Whether meat is still on the pit. */
  meatOn: boolean;
  onWatch: () => void;
  onClose: () => void;
}

export function RunSheet({ id, now, watch, meatOn, onWatch, onClose }: Props) {
  const speed = useLive((s) => s.clock?.speed ?? 1);
  const practice = useLive((s) => s.fire === 'practice');
  const [ending, setEnding] = useState(false);
  const [sure, setSure] = useState(false);
  const set = useMutation({
    mutationFn: (value: number) =>
      requestJson<ClockState>(ROUTES.clock(id), 'PUT', { speed: value }),
    onSuccess: (clock) => useLive.getState().receive({ type: 'clock', cookId: id, clock }),
  });
  const finish = async (): Promise<void> => {
    setEnding(true);
    await logDeeds([{ body: { kind: 'finish' } }], now);
    await sendTaps();
    await queryClient.invalidateQueries({ queryKey: ['cooks'] });
    onClose();
    router.navigate(`/log/${id}`);
  };
  return (
    <Sheet title="This cook" onClose={onClose}>
      <Heading>Watch</Heading>
      <Text className="font-sans text-ink text-[16px] leading-[23px]">{watch}</Text>
      <Button label="Take or hand over the watch" testID="watch" onPress={onWatch} />
      {practice ? (
        <>
          <Heading>Practice thermometer</Heading>
          <Text className="font-sans text-ink text-[16px] leading-[23px]">
            A simulated pit, a little different from the planned one. It does what you log. Its
            clock can run faster than life.
          </Text>
          <Choice
            label="Clock speed"
            columns={3}
            options={SPEEDS.map((s) => ({ value: s, label: `${s}×` }))}
            value={speed}
            onChange={(s) => set.mutate(s)}
          />
        </>
      ) : null}
      {set.isError ? (
        <Text role="alert" className="font-sans-semi text-ink text-[16px]">
          {set.error.message}
        </Text>
      ) : null}
      <Heading>Finish</Heading>
      <Text className="font-sans text-soot text-[16px] leading-[22px]">
        {`Closes the log of this cook. ${cautionWords('hot-ash', METRIC)}`}
      </Text>
      {meatOn && sure ? (
        <Text role="alert" className="font-sans-semi text-ink text-[16px] leading-[22px]">
          The meat is still on the pit by the log. Log it off first, or finish all the same.
        </Text>
      ) : null}
      <Button
        kind="primary"
        label={ending ? 'Finishing' : sure ? 'Yes, finish it' : 'Finish this cook'}
        disabled={ending}
        testID="finish"
        onPress={() => (sure ? void finish() : setSure(true))}
      />
    </Sheet>
  );
}
