/** What was done and read in a cook, line by line; each can be put right, also once it is over. */
import { useState } from 'react';
import { View } from 'react-native';
import type { CookView } from '../api/queries';
import { LogLineSheet } from '../tend/LogLineSheet';
import { Button } from '../ui/Button';
import { Note } from '../ui/Notice';
import { Heading } from '../ui/Title';
import { LogList } from './LogList';
import type { CookLog } from './useCookLog';

/** Lines that are shown at first. */
const FIRST_LINES = 60;

export function LogLines({ cook, of: { log, writeDeeds } }: { cook: CookView; of: CookLog }) {
  const [all, setAll] = useState(false);
  const [edited, setEdited] = useState<string | null>(null);
  const lines = all ? log.lines : log.lines.slice(0, FIRST_LINES);
  const line = log.lines.find((l) => l.id === edited);
  return (
    <View className="px-5 max-w-[720px]">
      <Heading>What was done</Heading>
      <Note>Touch a line to correct it.</Note>
      <LogList lines={lines} plan={cook.plan} onEdit={setEdited} />
      {lines.length < log.lines.length ? (
        <Button label={`Show all ${log.lines.length} lines`} onPress={() => setAll(true)} />
      ) : null}
      {line ? (
        <LogLineSheet
          line={line}
          plan={cook.plan}
          log={log}
          now={cook.finishedAt ?? cook.clock.cookMs}
          onWrite={(deeds) => void writeDeeds(deeds)}
          onClose={() => setEdited(null)}
        />
      ) : null}
    </View>
  );
}
