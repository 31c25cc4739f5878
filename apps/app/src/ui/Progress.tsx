/** How far something has come: a line of words over a bar. */
import { View } from 'react-native';
import { SmallText } from './Text';

interface Props {
  /** What is under way, with its figures. */
  label: string;
  /** 0 to 1. */
  share: number;
  testID: string;
}

export function Progress({ label, share, testID }: Props) {
  const percent = Math.round(100 * share);
  return (
    <View className="gap-1" testID={testID}>
      <View role="status">
        <SmallText>{label}</SmallText>
      </View>
      <View
        className="h-[6px] rounded bg-rule"
        role="progressbar"
        aria-label={label}
        aria-valuenow={percent}
        aria-valuemin={0}
        aria-valuemax={100}
      >
        <View className="h-[6px] rounded bg-pit" style={{ width: `${percent}%` }} />
      </View>
    </View>
  );
}
