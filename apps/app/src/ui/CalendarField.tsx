/** A day or an hour that is typed, or chosen from the browser's own calendar and clock. */
import { Text, View } from 'react-native';

interface Props {
  label: string;
  /** `date`: 2027-05-15; `time`: 18:30. */
  kind: 'date' | 'time';
  value: string;
  /** First and last that may be chosen. */
  range?: { first: string; last: string };
  onChange: (value: string) => void;
  testID?: string;
}

export function CalendarField({ label, kind, value, range, onChange, testID }: Props) {
  const { first, last } = range ?? {};
  return (
    <View className="gap-1 flex-1">
      <Text className="font-sans text-soot text-[14px]">{label}</Text>
      <input
        type={kind}
        value={value}
        min={first}
        max={last}
        aria-label={label}
        data-testid={testID}
        className="min-h-[48px] w-full rounded-lg border border-edge bg-sheet px-3 font-sans text-ink text-[17px]"
        // Half a date is empty; one out of bounds is not taken, so what stands stays.
        onChange={({ target }) => {
          if (target.value && target.validity.valid) onChange(target.value);
        }}
      />
    </View>
  );
}
