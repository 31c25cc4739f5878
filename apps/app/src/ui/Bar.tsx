/** A bar over every page: something that holds until it is dealt with, and what can be done about it. */
import { Text, View } from 'react-native';

interface Props {
  tone: 'warn' | 'plain';
  text: string;
  testID: string;
  /** What can be done: one or two buttons. */
  children?: React.ReactNode;
}

export const Bar = ({ tone, text, testID, children }: Props) => (
  <View
    role={tone === 'warn' ? 'alert' : 'status'}
    testID={testID}
    className={`print:!hidden flex-row items-center gap-3 border-b border-rule border-l-4 bg-sheet px-4 py-2 ${tone === 'warn' ? 'border-l-pit' : 'border-l-edge'}`}
  >
    <Text className="font-sans-semi text-ink text-[16px] leading-[21px] flex-1">{text}</Text>
    {children}
  </View>
);
