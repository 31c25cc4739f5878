/** What went wrong in a practice cook with surprises, and whether it was noticed: shown once it is over. */
import { surprisesSeen, type Log } from '@ostrin/core/log';
import { localOf } from '@ostrin/core/quantity';
import { surpriseWords } from '@ostrin/wording/tending';
import { View } from 'react-native';
import type { CookView } from '../api/queries';
import { Paragraph } from '../ui/Text';
import { Heading } from '../ui/Title';
import { clockOf } from '../ui/words';

export function Surprises({ cook, log }: { cook: CookView; log: Log }) {
  const { id, plan } = cook;
  if (cook.finishedAt === null || !log.hasSurprises) return null;
  const seen = surprisesSeen(id, plan, log);
  const time = (ms: number): string => clockOf(localOf(ms, plan.request.timeZone));
  return (
    <View className="px-5 gap-1 max-w-[720px]" testID="surprises">
      <Heading>Surprises</Heading>
      {seen.length === 0 ? <Paragraph>The cook ended before any came.</Paragraph> : null}
      {seen.map((s) => (
        <Paragraph key={s.what}>{`${time(s.fromMs)}: ${surpriseWords(s)}`}</Paragraph>
      ))}
    </View>
  );
}
