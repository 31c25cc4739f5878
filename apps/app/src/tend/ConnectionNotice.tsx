/** Says when the server is away, what is still waiting, and what was refused. */
import { Text, View } from 'react-native';
import { localOf } from '@ostrin/core';
import { useLive } from '../store/live';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { clockOf } from '../ui/words';

export function ConnectionNotice({ timeZone }: { timeZone: string }) {
  const {
    connection: link,
    lostAt,
    waiting,
    rejection: refusal,
    clearRejection: clearRefusal,
    cookId,
  } = useLive();
  const mine = waiting.filter((w) => w.cookId === cookId).length;
  return (
    <View className="gap-1">
      {link === 'lost' ? (
        <Notice tone="warn" testID="stale" title="No contact with the server">
          {`Shown as it was at ${lostAt ? clockOf(localOf(lostAt, timeZone)) : 'the last contact'}. ${
            mine === 0
              ? 'What you log is kept and sent when it is back.'
              : `${mine === 1 ? '1 tap waits' : `${mine} taps wait`} to be sent.`
          }`}
        </Notice>
      ) : null}
      {refusal ? (
        <Notice tone="warn" title="The server refused a tap">
          <Text>{refusal}</Text>
          <Button label="Understood" onPress={clearRefusal} />
        </Notice>
      ) : null}
    </View>
  );
}
