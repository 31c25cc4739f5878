/** What each column of a foreign table tells, and how its times and numbers are written: recognised, and changed by touch. */
import {
  TIME_FORMATS,
  type ColumnRole,
  type ForeignTable,
  type TableMapping,
  type TimeFormat,
} from '@ostrin/contract/foreignCsv';
import { knownZone } from '@ostrin/core/quantity';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { Choice, TitledChoice } from '../ui/Choice';
import { Fold } from '../ui/Fold';
import { NameField } from '../ui/NameField';
import { Heading } from '../ui/Title';
import { SmallText } from '../ui/Text';

const ROLES: readonly { value: ColumnRole; label: string }[] = [
  { value: 'time', label: 'Time' },
  { value: 'date', label: 'Day' },
  { value: 'pit', label: 'Pit, grate' },
  { value: 'core', label: 'In the meat' },
  { value: 'dome', label: 'Dial in lid' },
  { value: 'air', label: 'Outside' },
  { value: 'none', label: 'Left out' },
];

const FORMATS: Readonly<Record<TimeFormat, string>> = {
  iso: '2027-05-15T07:00',
  'year-first': '2027/05/15 07:00',
  'day-first': '15.05.2027 07:00',
  'month-first': '05/15/2027 07:00',
  clock: 'Only the clock, 07:00',
  'epoch-s': 'Seconds since 1970',
  'epoch-ms': 'Milliseconds since 1970',
  elapsed: 'Since its start, 1:30:00',
  'elapsed-s': 'Seconds since its start',
  'elapsed-min': 'Minutes since its start',
};

const SHOWN_VALUES = 3;

/** The zone of times that do not say theirs; what is no zone is told and not taken. */
function ZoneField({ zone, onChange }: { zone: string; onChange: (zone: string) => void }) {
  const [text, setText] = useState(zone);
  const known = knownZone(text);
  return (
    <View className="gap-1">
      <NameField
        label="Times without a zone are of"
        value={text}
        longest={60}
        example="Europe/Ljubljana"
        testID="zone"
        onChange={(value) => {
          setText(value);
          if (knownZone(value)) onChange(value);
        }}
      />
      {known ? null : (
        <Text role="alert" className="font-sans-semi text-ink text-[16px]">
          {`${text || 'Nothing'} is no time zone; ${zone} still holds.`}
        </Text>
      )}
    </View>
  );
}

interface Props {
  table: ForeignTable;
  mapping: TableMapping;
  onChange: (mapping: TableMapping) => void;
}

export function TableColumns({ table, mapping, onChange }: Props) {
  const set = (part: Partial<TableMapping>): void => onChange({ ...mapping, ...part });
  const setRole = (column: number, role: ColumnRole): void =>
    set({
      // What another column told before, this one tells now.
      roles: mapping.roles.map((r, i) =>
        i === column ? role : r === role && role !== 'none' ? 'none' : r,
      ),
    });
  return (
    <View className="gap-3">
      <Heading>What is what</Heading>
      {table.columns.map((name, i) => (
        <View key={`${name}-${i}`} className="border-b border-rule pb-2">
          <Fold
            label={`${name}: ${ROLES.find((r) => r.value === mapping.roles[i])!.label.toLowerCase()}`}
            testID={`column-${i}`}
          >
            <Choice
              label={`What ${name} holds`}
              columns={2}
              options={ROLES}
              value={mapping.roles[i]!}
              onChange={(role) => setRole(i, role)}
            />
          </Fold>
          <SmallText>
            {table.rows
              .flatMap((row) => row[i] || [])
              .slice(0, SHOWN_VALUES)
              .join('   ') || 'empty'}
          </SmallText>
        </View>
      ))}
      <TitledChoice
        label="Temperatures in"
        columns={2}
        options={[
          { value: 'C', label: 'C' },
          { value: 'F', label: 'F' },
        ]}
        value={mapping.unit}
        onChange={(unit) => set({ unit })}
      />
      <TitledChoice
        label="Numbers with"
        columns={2}
        options={[
          { value: '.', label: 'a point, 121.5' },
          { value: ',', label: 'a comma, 121,5' },
        ]}
        value={mapping.decimal}
        onChange={(decimal) => set({ decimal })}
      />
      <Fold label={`Times written as ${FORMATS[mapping.timeFormat]}`} testID="time-format">
        <Choice
          label="Times written as"
          options={TIME_FORMATS.map((value) => ({ value, label: FORMATS[value] }))}
          value={mapping.timeFormat}
          onChange={(timeFormat) => set({ timeFormat })}
        />
      </Fold>
      <ZoneField zone={mapping.zone} onChange={(zone) => set({ zone })} />
    </View>
  );
}
