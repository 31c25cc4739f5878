/** The plan taken along: calendar with alarms, one printed page, Markdown, JSON. */
import { markdownOf, type WordedPlan } from '@ostrin/wording';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { fileOf, titleOf } from '../store/names';
import { usePlanDraft } from '../store/planDraft';
import { Button } from '../ui/Button';
import { Heading } from '../ui/Title';
import { save } from '../ui/save';
import { Paragraph, SmallText } from '../ui/Text';

export function TakeAlong({ plan, ready }: { plan: WordedPlan; ready: boolean }) {
  const [failure, setFailure] = useState<string | null>(null);
  const calendarKey = usePlanDraft((s) => s.calendarKey);
  const title = titleOf(plan);
  const file = fileOf(plan);
  const take = (make: () => Promise<void>): void =>
    void make().catch((error: Error) => setFailure(error.message));
  // What makes files and paper is fetched when it is asked for.
  const calendar = async (): Promise<void> => {
    const { calendarOf } = await import('@ostrin/contract/calendar');
    save(`${file}.ics`, 'text/calendar', calendarOf(plan, title, calendarKey, Date.now()));
  };
  const print = async (): Promise<void> => {
    const { printSheet } = await import('./printSheet');
    printSheet(plan, title);
  };
  useEffect(() => {
    if (!ready) return undefined;
    let stop = (): void => undefined;
    let wanted = true;
    void import('./printSheet').then(({ printAs }) => {
      if (wanted) stop = printAs(plan, titleOf(plan));
    });
    return () => {
      wanted = false;
      stop();
    };
  }, [plan, ready]);
  return (
    <View className="gap-2" testID="take-along">
      <Heading>Export</Heading>
      <View className="flex-row gap-2">
        <Button grow label="Calendar" disabled={!ready} onPress={() => take(calendar)} />
        <Button grow label="Print" disabled={!ready} onPress={() => take(print)} />
      </View>
      <View className="flex-row gap-2">
        <Button
          grow
          label="Markdown"
          disabled={!ready}
          onPress={() => save(`${file}.md`, 'text/markdown', markdownOf(plan, title))}
        />
        <Button
          grow
          label="JSON"
          disabled={!ready}
          onPress={() => save(`${file}.json`, 'application/json', JSON.stringify(plan))}
        />
      </View>
      {failure ? <Paragraph>{failure}</Paragraph> : null}
      <SmallText>
        A locked phone may stay silent: alarms ring in your own calendar, not from this page.
      </SmallText>
    </View>
  );
}
