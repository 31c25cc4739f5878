/** Something to know now: a bar at its side says how much it matters, and so do its words. */
import { Text, View } from 'react-native';

interface Props {
  tone: 'warn' | 'plain';
  title: string;
  children?: React.ReactNode;
  testID?: string;
}

export function Notice({ tone, title, children, testID }: Props) {
  return (
    <View
      role={tone === 'warn' ? 'alert' : 'status'}
      testID={testID}
      className={`border-l-4 bg-sheet px-4 py-3 ${tone === 'warn' ? 'border-pit' : 'border-edge'}`}
    >
      <Text className="font-sans-bold text-ink text-[16px]">{title}</Text>
      {children ? (
        <Text className="font-sans text-ink text-[16px] leading-[22px]">{children}</Text>
      ) : null}
    </View>
  );
}

/** A quiet remark under a choice. */
export const Note = ({ children }: { children: string }) => (
  <Text className="font-sans text-soot text-[16px] leading-[22px]">{children}</Text>
);
