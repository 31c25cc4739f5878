/** The plan taken along: calendar with alarms, one printed page, Markdown, JSON. */
import { type Plan } from '@ostrin/core';
import { markdownOf } from '@ostrin/wording';
import { useState } from 'react';
import { View } from 'react-native';
import { fileOf, titleOf } from '../store/names';
import { Button } from '../ui/Button';
import { Heading } from '../ui/Title';
import { save } from '../ui/save';
import { Paragraph, SmallText } from '../ui/Text';
import { printSheet } from './printSheet';

export function TakeAlong({ plan, ready }: { plan: Plan; ready: boolean }) {
  const [failure, setFailure] = useState<string | null>(null);
  const title = titleOf(plan);
  const file = fileOf(plan);
  const calendar = async (): Promise<void> => {
    try {
      const { calendarOf } = await import('@ostrin/contract/calendar');
      save(`${file}.ics`, 'text/calendar', calendarOf(plan, title, Date.now()));
    } catch (error) {
      setFailure((error as Error).message);
    }
  };
  return (
    <View className="gap-2" testID="take-along">
      <Heading>Take it along</Heading>
      <View className="flex-row gap-2">
        <Button grow label="Calendar" disabled={!ready} onPress={() => void calendar()} />
        <Button grow label="Print" disabled={!ready} onPress={() => printSheet(plan, title)} />
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
