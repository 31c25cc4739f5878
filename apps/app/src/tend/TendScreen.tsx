/** Tend: the reading, the next job, the strip and the log pad of the cook under way. */
import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { useCooks } from '../api/queries';
import { useLive } from '../store/live';
import { Button } from '../ui/Button';
import { lazyComponent } from '../ui/lazyComponent';
import { Title } from '../ui/Title';
import { useLiveCook } from './useLiveCook';

const pages = () => import('./pages');
const TendCook = lazyComponent(async () => ({ default: (await pages()).TendCook }));
const FireChips = lazyComponent(async () => ({ default: (await pages()).FireChips }));

export function TendScreen() {
  const cooks = useCooks();
  const running = cooks.data?.filter((c) => c.finishedAt === null) ?? [];
  const openId = useLive((s) => s.cookId);
  const { cook: asked } = useLocalSearchParams<{ cook?: string }>();
  const [picked, setPicked] = useState<{ id: string; asked: string | undefined } | null>(null);
  // What was picked here holds until another cook is asked for.
  const wanted = picked && picked.asked === asked ? picked.id : asked;
  const chosen = running.find((c) => c.id === (wanted ?? openId)) ?? running[0];
  // Without an answer from the server, go on with the cook that is open.
  const id = chosen?.id ?? (cooks.isError ? openId : null);
  useLiveCook(id);
  const plan = useLive((s) => s.plan);
  const pits =
    running.length > 1 ? (
      <FireChips
        cooks={running}
        shown={id ?? ''}
        onPick={(cookId) => setPicked({ id: cookId, asked })}
      />
    ) : null;
  if (id && plan && openId === id) {
    return (
      <View className="flex-1">
        {pits}
        <TendCook key={id} plan={plan} id={id} />
      </View>
    );
  }
  return (
    <View className="flex-1 p-5 gap-4 max-w-[560px]">
      <Title>Tend</Title>
      <Text className="font-sans text-ink text-[16px] leading-[23px]">
        {cooks.isLoading || id
          ? 'Looking for the cook under way.'
          : cooks.isError
            ? cooks.error.message
            : 'No fire is lit. Plan a cook, start it, and its strip runs here.'}
      </Text>
      {id || cooks.isLoading ? null : (
        <Button kind="primary" label="Plan a cook" onPress={() => router.navigate('/')} />
      )}
    </View>
  );
}
