/** Bringing in a cook from another program's readings: columns recognised, a preview, what was cooked; all of it, or nothing. */
import {
  guessMapping,
  needsStart,
  readingsOfTable,
  readTable,
  type ForeignTable,
  type TableMapping,
  type TableRead,
} from '@ostrin/contract/foreignCsv';
import { epochOf, localOf } from '@ostrin/core/quantity';
import type { ReadingRow } from '@ostrin/core/log';
import { countWords, temperatureWords } from '@ostrin/wording';
import { useMemo, useState } from 'react';
import { ScrollView, Text, TextInput, View } from 'react-native';
import { useSettings } from '../store/settings';
import { BackLink } from '../ui/BackLink';
import { Notice } from '../ui/Notice';
import { Heading, Subhead, Title } from '../ui/Title';
import { Paragraph, SmallText } from '../ui/Text';
import { clockAndDay, dayOf, deviceZone } from '../ui/words';
import { chosenForeign, type ForeignFile } from './foreignCook';
import { ForeignDetails } from './ForeignDetails';
import { TableColumns } from './TableColumns';

export function ForeignScreen() {
  const file = chosenForeign();
  const found = useMemo(() => (file ? open(file) : null), [file]);
  if (!file || !found || 'wrong' in found) {
    return (
      <View className="p-5 gap-4 max-w-[760px]">
        <BackLink href="/log" label="All cooks" />
        <Notice tone="warn" title={file ? `${file.name} cannot be read` : 'No file is chosen'}>
          {found && 'wrong' in found ? found.wrong : 'Choose a file in the log.'}
        </Notice>
      </View>
    );
  }
  return <Table file={file} table={found.table} first={found.mapping} />;
}

/** A file as it is most likely to be read, or why it is not. */
function open(
  file: ForeignFile,
): { table: ForeignTable; mapping: TableMapping } | { wrong: string } {
  try {
    const table = readTable(file.text);
    return { table, mapping: guessMapping(table, { zone: deviceZone, startMs: Date.now() }) };
  } catch (error) {
    return { wrong: (error as Error).message };
  }
}

function Table({
  file,
  table,
  first,
}: {
  file: ForeignFile;
  table: ForeignTable;
  first: TableMapping;
}) {
  const [mapping, setMapping] = useState(first);
  const read = useMemo(() => readingsOfTable(table, mapping), [table, mapping]);
  return (
    <ScrollView className="flex-1" contentContainerClassName="p-5 gap-6 max-w-[760px]">
      <View className="gap-1">
        <BackLink href="/log" label="All cooks" />
        <Title>Import a cook</Title>
        <SmallText>{file.name}</SmallText>
      </View>
      <Preview read={read} zone={mapping.zone} />
      <TableColumns table={table} mapping={mapping} onChange={setMapping} />
      {needsStart(mapping.timeFormat) ? <StartDay mapping={mapping} onChange={setMapping} /> : null}
      {read.readings.length > 1 ? (
        <ForeignDetails
          // Other readings are another cook: what was guessed of it is guessed anew.
          key={`${read.readings[0]!.at} ${read.readings.at(-1)!.at} ${mapping.unit}`}
          file={file.name}
          readings={read.readings}
          zone={mapping.zone}
        />
      ) : (
        <Notice tone="warn" title="The file cannot be read this way">
          Choose above which column holds the times, and how they are written.
        </Notice>
      )}
    </ScrollView>
  );
}

const SHOWN_ROWS = 5;

/** What the file was read as, before anything is stored. */
function Preview({ read: { readings, skipped }, zone }: { read: TableRead; zone: string }) {
  const units = useSettings((s) => s.units);
  const step = Math.max(1, Math.floor(readings.length / SHOWN_ROWS));
  const shown = readings.filter((_, i) => i % step === 0).slice(0, SHOWN_ROWS);
  const cell = (c: number | null | undefined): string =>
    c === null || c === undefined ? '–' : temperatureWords(c, units);
  const clock = (r: ReadingRow): string => clockAndDay(localOf(r.at, zone));
  return (
    <View className="gap-1" testID="preview">
      <Heading>Preview</Heading>
      <Paragraph>
        {readings.length === 0
          ? 'No reading yet.'
          : `${countWords(readings.length, 'reading', 'readings')}, ${clock(readings[0]!)} to ${clock(readings.at(-1)!)}, ${dayOf(localOf(readings[0]!.at, zone))}.`}
      </Paragraph>
      {shown.map((r) => (
        <View key={r.at} className="flex-row gap-3 border-b border-rule py-1">
          <Text className="font-sans text-ink text-[16px] w-[96px]">{clock(r)}</Text>
          <Text className="font-sans text-ink text-[16px] flex-1">{`pit ${cell(r.pitC)}`}</Text>
          <Text className="font-sans text-ink text-[16px] flex-1">{`meat ${cell(r.coreC)}`}</Text>
        </View>
      ))}
      {skipped.length > 0 ? (
        <SmallText>
          {`${countWords(skipped.length, 'line has', 'lines have')} no time that can be read and ${skipped.length === 1 ? 'is' : 'are'} left out: ${skipped.slice(0, 8).join(', ')}${skipped.length > 8 ? ' …' : ''}.`}
        </SmallText>
      ) : null}
    </View>
  );
}

/** The day and clock of the start, for times that do not say it. */
function StartDay({
  mapping,
  onChange,
}: {
  mapping: TableMapping;
  onChange: (m: TableMapping) => void;
}) {
  const [text, setText] = useState(localOf(mapping.startMs, mapping.zone));
  const typed = (value: string): void => {
    setText(value);
    const startMs = epochOf(value, mapping.zone);
    if (!Number.isNaN(startMs)) onChange({ ...mapping, startMs });
  };
  return (
    <View className="gap-1">
      <Subhead>Started at</Subhead>
      <TextInput
        aria-label="Started at"
        value={text}
        maxLength={16}
        onChangeText={typed}
        className="min-h-[52px] rounded-lg border border-edge bg-sheet px-4 font-slab text-[20px] text-ink"
      />
      <SmallText>Date and time, such as 2027-05-15T07:00.</SmallText>
    </View>
  );
}
