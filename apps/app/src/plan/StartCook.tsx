/** Begins the cook: one for every pit of the plan. */
import { type Plan } from '@ostrin/core';
import { onePit, pitName } from '@ostrin/wording';
import { router } from 'expo-router';
import { useRef, useState } from 'react';
import { Text, View } from 'react-native';
import { v4 as newId } from 'uuid';
import { useCooks, useStartCooks } from '../api/queries';
import { titleOf } from '../store/names';
import { Button } from '../ui/Button';

interface Props {
  plan: Plan | null;
  ready: boolean;
  /** What stands in the way; nothing when nothing does. */
  why?: string;
}

/** Starts what is planned, or says what stands in the way. */
export function StartCook({ plan, ready, why }: Props) {
  const start = useStartCooks();
  const cooks = useCooks();
  const [pending, setPending] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  // The same wish for the same pit, pressed twice, is the same cook.
  const ids = useRef(new Map<string, string>());
  const idOf = (pit: string): string => {
    const id = ids.current.get(pit) ?? newId();
    ids.current.set(pit, id);
    return id;
  };
  const pits = plan?.fires.map((f) => ({ id: f.pit, name: pitName(plan, f.pit) })) ?? [];
  const busy = cooks.data?.find(
    (c) => c.finishedAt === null && pits.some((p) => p.name === c.pitName),
  );
  if (busy) {
    return (
      <Button kind="primary" label={`Tend ${busy.name}`} onPress={() => router.navigate('/tend')} />
    );
  }
  const begin = async (): Promise<void> => {
    if (!plan) return;
    setPending(true);
    setFailure(null);
    try {
      await start.mutateAsync(
        pits.map((pit) => {
          const part = onePit(plan, pit.id);
          return { id: idOf(pit.id), name: titleOf(part), pitName: pit.name, plan: part };
        }),
      );
      ids.current.clear();
      router.navigate('/tend');
    } catch (error) {
      setFailure((error as Error).message);
    } finally {
      setPending(false);
    }
  };
  return (
    <View className="gap-2">
      {failure ? (
        <Text role="alert" className="font-sans-semi text-ink text-[16px]">
          {failure}
        </Text>
      ) : null}
      {why ? (
        <Text numberOfLines={2} className="font-sans-semi text-ink text-[14px] leading-[19px]">
          {why}
        </Text>
      ) : null}
      <Button
        kind="primary"
        testID="start-cook"
        label={
          pending ? 'Starting' : pits.length > 1 ? `Start ${pits.length} cooks` : 'Start this cook'
        }
        disabled={!ready || pending}
        onPress={() => void begin()}
      />
    </View>
  );
}
