/** An address that leads nowhere, an old bookmark or a mistyped one. */
import { router, usePathname } from 'expo-router';
import { ScrollView, Text, View } from 'react-native';
import { Button } from './Button';
import { Title } from './Title';

export function NotFoundScreen() {
  const path = usePathname();
  return (
    <ScrollView className="flex-1" contentContainerClassName="p-5 gap-4 max-w-[760px]">
      <Title>Nothing here</Title>
      <Text className="font-sans text-ink text-[16px] leading-[22px]">
        {`There is no page at ${path}. Plans, cooks and pits are all where they were.`}
      </Text>
      <View className="gap-2 max-w-[340px]">
        <Button kind="primary" label="To the plan" onPress={() => router.replace('/')} />
        <Button label="To the log" onPress={() => router.replace('/log')} />
      </View>
    </ScrollView>
  );
}
