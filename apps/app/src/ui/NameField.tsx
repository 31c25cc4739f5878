/** A field for what somebody calls a thing of theirs. */
import { lettersIn } from '@ostrin/core/quantity';
import { countWords } from '@ostrin/wording';
import { Text, TextInput, View } from 'react-native';

interface Props {
  value: string;
  onChange: (value: string) => void;
  /** An example, shown while nothing is typed. */
  example?: string;
  /** What stands over it; what somebody calls a thing where left out. */
  label?: string;
  /** Letters at most. */
  longest?: number;
  testID?: string;
}

export function NameField({
  value,
  onChange,
  example,
  label = 'What you call it',
  longest = 40,
  testID,
}: Props) {
  const over = lettersIn(value) - longest;
  return (
    <View className="gap-1">
      <Text className="font-sans-semi text-ink text-[16px]">{label}</Text>
      <TextInput
        value={value}
        onChangeText={onChange}
        placeholder={example}
        aria-label={label}
        testID={testID}
        className="min-h-[52px] rounded-lg border border-edge bg-sheet px-4 font-sans text-ink text-[17px]"
      />
      {over > 0 ? (
        <Text role="alert" className="font-sans-semi text-ink text-[16px]">
          {`${countWords(over, 'letter', 'letters')} too many.`}
        </Text>
      ) : null}
    </View>
  );
}
