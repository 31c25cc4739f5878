/** What was noted after earlier cooks for the next one on these pits, or with these cuts. */
import { ROUTES, type NextTime } from '@ostrin/contract/types';
import { cutOf, localOf, type Request } from '@ostrin/core';
import { capital } from '@ostrin/wording';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'expo-router';
import { Pressable, Text, View } from 'react-native';
import { requestJson } from '../api/http';
import { useRole } from '../house/useHouse';
import { keepEntries, sendTaps } from '../outbox/outbox';
import { entryOf } from '../store/logging';
import { Button } from '../ui/Button';
import { Subhead } from '../ui/Title';
import { dayOf } from '../ui/words';
import { notesFor } from './notesFor';

export function FromLastTime({ request }: { request: Request }) {
  const client = useQueryClient();
  const role = useRole();
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
      <Subhead>You noted for next time</Subhead>
      {notes.map((note) => (
        <View key={note.id} className="flex-row items-center gap-3 border-l-4 border-edge pl-3">
          <View className="flex-1">
            <Text className="font-sans text-ink text-[16px] leading-[22px]">
              {`${note.about === 'pit' ? note.pitName : capital(cutOf(note.cut!).name)}: ${note.text}`}
            </Text>
            <Link href={`/log/${note.cookId}`} asChild>
              <Pressable role="link" className="min-h-[32px] justify-center active:opacity-70">
                <Text className="font-sans text-soot text-[14px] underline">
                  {`${note.cookName}, ${dayOf(localOf(note.startMs, request.timeZone))}`}
                </Text>
              </Pressable>
            </Link>
          </View>
          {role === 'looker' ? null : (
            <Button
              label="Done with it"
              accessibilityLabel={`Done with it: ${note.text}`}
              onPress={() => void putAway(note)}
            />
          )}
        </View>
      ))}
    </View>
  );
}
