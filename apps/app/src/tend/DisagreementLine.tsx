/** Two thermometers of the pit that disagree, and the way to settle it. */
import { disagreementInShort } from '@ostrin/wording/tending';
import { router } from 'expo-router';
import { Pressable, Text } from 'react-native';
import { useDisagreements } from '../instruments/useDisagreements';
import { useLive } from '../store/live';
import { useSettings } from '../store/settings';

export function DisagreementLine() {
  const units = useSettings((s) => s.units);
  const [first] = useDisagreements(useLive((s) => s.pitName));
  if (!first) return null;
  const { trusted } = first.found;
  return (
    <Pressable
      role="link"
      testID="disagree"
      onPress={() => router.navigate('/instruments')}
      className="min-h-[48px] justify-center active:opacity-70"
    >
      <Text className="font-sans-semi text-ink text-[14px] leading-[19px]">
        {`${disagreementInShort(first.found, units)} ${trusted ? `Trust ${trusted.name}. ` : ''}`}
        <Text className="underline">Settle it</Text>
      </Text>
    </Pressable>
  );
}
