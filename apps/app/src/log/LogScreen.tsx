/** Log: past cooks, newest first, and bringing one in. */
import { cutOf, localOf, MINUTE_MS } from '@ostrin/core';
import { spanOfTime } from '@ostrin/wording';
import { ROUTES, type CookSummary } from '@ostrin/contract/types';
import { Link } from 'expo-router';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { useCooks } from '../api/queries';
import { useRole } from '../house/useHouse';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Heading, Title } from '../ui/Title';
import { dayOf, deviceZone } from '../ui/words';
import { ImportButton } from './ImportButton';

export function LogScreen() {
  const cooks = useCooks();
  return (
    <ScrollView className="flex-1" contentContainerClassName="p-5 gap-4 max-w-[760px]">
      <Title>Log</Title>
      {cooks.isError ? (
        <Notice tone="warn" title="The log could not be read">
          {cooks.error.message}
          <Button label="Try again" onPress={() => void cooks.refetch()} />
        </Notice>
      ) : null}
      {cooks.data?.length === 0 ? (
        <Text className="font-sans text-ink text-[16px]">
          No cooks yet. The first one you finish is kept here with its whole strip.
        </Text>
      ) : null}
      <View>
        {cooks.data?.map((c) => (
          <Row key={c.id} cook={c} />
        ))}
      </View>
      <ImportButton />
      <WholeRecord />
    </ScrollView>
  );
}

/** Everything that the server keeps, as one file. */
function WholeRecord() {
  const role = useRole();
  if (role !== 'cook') return null;
  return (
    <View className="gap-2">
      <Heading>The whole record</Heading>
      <Text className="font-sans text-soot text-[16px] leading-[22px]">
        Cooks, pits, plans and the shelf in one file. A server without cooks can begin with it.
      </Text>
      <Button
        label="Take the whole record along"
        testID="whole-record"
        onPress={() => window.location.assign(ROUTES.record)}
      />
    </View>
  );
}

function Row({ cook }: { cook: CookSummary }) {
  const cut = cutOf(cook.cut);
  const href = cook.finishedAt === null ? '/tend' : (`/log/${cook.id}` as const);
  return (
    <Link href={href} asChild>
      <Pressable
        role="link"
        className="min-h-[64px] justify-center border-b border-rule py-2 active:opacity-70"
      >
        <Text className="font-slab-semi text-ink text-[19px]">{cook.name}</Text>
        <Text className="font-sans text-soot text-[16px]">
          {`${dayOf(localOf(cook.startMs, deviceZone))} · ${cook.pieces} ${cook.pieces === 1 ? cut.name : cut.plural} for ${cook.people} · ${
            cook.finishedAt === null
              ? 'under way'
              : spanOfTime((cook.finishedAt - cook.startMs) / MINUTE_MS)
          }`}
        </Text>
      </Pressable>
    </Link>
  );
}
