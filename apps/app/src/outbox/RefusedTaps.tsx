/** Taps that the server did not take, and what can be done about each. None goes without its writer. */
import { localOf } from '@ostrin/core/quantity';
import { countWords } from '@ostrin/wording';
import { entryWords } from '@ostrin/wording/tending';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { entryOf } from '../store/logging';
import { useSettings } from '../store/settings';
import { Bar } from '../ui/Bar';
import { Button } from '../ui/Button';
import { Sheet } from '../ui/Sheet';
import { Paragraph } from '../ui/Text';
import { clockAndDay, deviceZone } from '../ui/words';
import { decide, useOutbox } from './outbox';
import type { Tap } from './tap';

/** A bar on every page while there are any. */
export function RefusedTaps() {
  const refused = useOutbox((s) => s.taps).filter((t) => t.refused !== null);
  const [open, setOpen] = useState(false);
  if (refused.length === 0) return null;
  return (
    <Bar
      tone="warn"
      testID="refused"
      text={`${countWords(refused.length, 'tap was', 'taps were')} not added to the log.`}
    >
      <Button label="Decide" testID="refused-open" onPress={() => setOpen(true)} />
      {open ? (
        <Sheet title="Not added to the log" onClose={() => setOpen(false)}>
          <Paragraph>Nothing is discarded until you say so.</Paragraph>
          {refused.map((tap) => (
            <RefusedTap key={tap.seq} tap={tap} />
          ))}
        </Sheet>
      ) : null}
    </Bar>
  );
}

function RefusedTap({ tap }: { tap: Tap }) {
  const units = useSettings((s) => s.units);
  const { entry, refused, cookName } = tap;
  const { status, reason, already, confirmable } = refused!;
  const words = entryWords(entry, { units, pit: null });
  const when = clockAndDay(localOf(entry.at, deviceZone));
  const who = already?.by ?? (already?.device === entry.device ? 'This phone' : 'Another phone');
  const note = (): void =>
    void decide(tap, {
      note: entryOf({ body: { kind: 'note', text: `${words} (${when})` } }, entry.at),
    });
  return (
    <View className="border-t border-rule pt-3 gap-2" testID="refused-tap">
      <Text className="font-slab-semi text-ink text-[18px]">{words}</Text>
      <Text className="font-sans text-soot text-[16px]">{`${when}, ${cookName}`}</Text>
      <Text className="font-sans text-ink text-[16px] leading-[22px]">
        {already
          ? `${who} logged the same at ${clockAndDay(localOf(already.at, deviceZone))}. Is yours the same?`
          : status === 404
            ? 'The server does not know this cook.'
            : `${reason}.`}
      </Text>
      {confirmable ? (
        <Button
          label={already ? 'No, it was done twice' : 'Log it anyway'}
          testID="refused-send"
          onPress={() => void decide(tap, 'send')}
        />
      ) : null}
      {already || status === 404 || entry.kind === 'note' ? null : (
        <Button label="Keep it as a note" testID="refused-note" onPress={note} />
      )}
      <Button
        label={already ? 'Yes, log it once' : 'Discard it'}
        testID="refused-discard"
        onPress={() => void decide(tap, 'discard')}
      />
    </View>
  );
}
