/** What was noted after earlier cooks for the next one on these pits, or with these cuts. */
import { ROUTES, type NextTime } from '@ostrin/contract/types';
import { cutOf } from '@ostrin/core/catalogue';
import { localOf } from '@ostrin/core/quantity';
import type { Request } from '@ostrin/core';
import { capital } from '@ostrin/wording';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'expo-router';
import { Pressable, Text, View } from 'react-native';
import { requestJson } from '../api/http';
import { useRole } from '../devices/useDevices';
import { keepEntries, sendTaps } from '../outbox/outbox';
import { entryOf } from '../store/logging';
import { Button } from '../ui/Button';
import { Fold } from '../ui/Fold';
import { Subhead } from '../ui/Title';
import { dayOf } from '../ui/words';
import { notesFor } from './notesFor';

/** Notes that are shown at once. */
const SHOWN = 3;

export function FromLastTime({ request }: { request: Request }) {
  const client = useQueryClient();
  const mayPutAway = useRole() !== 'looker';
  const asked = useQuery({
    queryKey: ['next-time'],
    queryFn: () => requestJson<NextTime[]>(ROUTES.nextTime),
  });
  const notes = notesFor(asked.data ?? [], request);
  const putAway = async (note: NextTime): Promise<void> => {
    const undo = entryOf({ body: { kind: 'undo', target: note.id } }, note.startMs);
    await keepEntries({ id: note.cookId, name: note.cookName }, [undo]);
    await sendTaps();
    await client.invalidateQueries({ queryKey: ['next-time'] });
  };
  if (notes.length === 0) return null;
  return (
    <View className="gap-2" testID="from-last-time">
      <Subhead>Your notes for next time</Subhead>
      {notes.slice(0, SHOWN).map((note) => (
        <Noted
          key={note.id}
          note={note}
          zone={request.timeZone}
          onDone={mayPutAway ? putAway : null}
        />
      ))}
      {notes.length > SHOWN ? (
        <Fold label={`${notes.length - SHOWN} more`} testID="more-notes">
          <View className="gap-2">
            {notes.slice(SHOWN).map((note) => (
              <Noted
                key={note.id}
                note={note}
                zone={request.timeZone}
                onDone={mayPutAway ? putAway : null}
              />
            ))}
          </View>
        </Fold>
      ) : null}
    </View>
  );
}

interface NotedProps {
  note: NextTime;
  zone: string;
  /** Puts it away; null for whoever may not. */
  onDone: ((note: NextTime) => Promise<void>) | null;
}

/** One note with the cook that it comes from. */
function Noted({ note, zone, onDone }: NotedProps) {
  return (
    <View className="flex-row items-center gap-3 border-l-4 border-edge pl-3">
      <View className="flex-1">
        <Text className="font-sans text-ink text-[16px] leading-[22px]">
          {`${note.about === 'pit' ? note.pitName : capital(cutOf(note.cut!).name)}: ${note.text}`}
        </Text>
        <Link href={`/log/${note.cookId}`} asChild>
          <Pressable role="link" className="min-h-[48px] justify-center active:opacity-70">
            <Text className="font-sans text-soot text-[14px] underline">
              {`${note.cookName}, ${dayOf(localOf(note.startMs, zone))}`}
            </Text>
          </Pressable>
        </Link>
      </View>
      {onDone ? (
        <Button
          label="Dismiss"
          accessibilityLabel={`Dismiss: ${note.text}`}
          onPress={() => void onDone(note)}
        />
      ) : null}
    </View>
  );
}
