/** Offers a newer version, and says when this page is too old to go on. */
import { useState } from 'react';
import { Text, View } from 'react-native';
import { useOutbox } from '../outbox/outbox';
import { Button } from '../ui/Button';
import { takeNewVersion, useNewVersion } from './newVersion';

export function NewVersion() {
  const { waiting, outdated } = useNewVersion();
  const taps = useOutbox((s) => s.taps).length;
  const [later, setLater] = useState(false);
  if (!outdated && (!waiting || later)) return null;
  const kept = taps > 0 ? ' What you logged is kept and sent afterwards.' : '';
  return (
    <View
      role={outdated ? 'alert' : 'status'}
      testID="new-version"
      className="print:!hidden flex-row items-center gap-3 border-b border-rule border-l-4 border-l-edge bg-sheet px-4 py-2"
    >
      <Text className="font-sans-semi text-ink text-[16px] leading-[21px] flex-1">
        {outdated
          ? `The server is of another version than this page. Nothing is read or sent until it is loaded again.${kept}`
          : `A newer version is here. It is taken when you want it.${kept}`}
      </Text>
      {outdated ? null : <Button label="Later" onPress={() => setLater(true)} />}
      <Button label="Take it" testID="take-version" onPress={() => void takeNewVersion()} />
    </View>
  );
}
