/** A field for what somebody calls a thing of theirs. */
import { Text, TextInput, View } from 'react-native';

interface Props {
  value: string;
  onChange: (value: string) => void;
  /** An example, shown while nothing is typed. */
  example: string;
  testID?: string;
}

/** Letters of a name at most. */
const LONGEST = 40;

export function NameField({ value, onChange, example, testID }: Props) {
  return (
    <View className="gap-1">
      <Text className="font-sans-semi text-ink text-[16px]">What you call it</Text>
      <TextInput
        value={value}
        onChangeText={onChange}
        maxLength={LONGEST}
        placeholder={example}
        aria-label="What you call it"
        testID={testID}
        className="min-h-[52px] rounded-lg border border-edge bg-sheet px-4 font-sans text-ink text-[17px]"
      />
    </View>
  );
}
