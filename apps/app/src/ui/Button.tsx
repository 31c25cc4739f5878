/** Buttons big enough for a glove: 56 px for the main thing, 48 px for the rest. */
import { Pressable, Text, View } from 'react-native';

interface Props {
  label: string;
  onPress: () => void;
  kind?: 'primary' | 'plain' | 'pad';
  icon?: React.ReactNode;
  hint?: string;
  disabled?: boolean;
  selected?: boolean;
  testID?: string;
  grow?: boolean;
  /** As high as a primary button beside it. */
  tall?: boolean;
  accessibilityLabel?: string;
}

const BOX = {
  primary: 'bg-pit min-h-[56px]',
  plain: 'border border-edge bg-sheet min-h-[48px]',
  pad: 'bg-pad min-h-[56px]',
};
const TEXT = {
  primary: 'text-on-pit text-[17px]',
  plain: 'text-ink text-[16px]',
  pad: 'text-on-pad text-[14px] leading-[17px]',
};

/** One button. `hint` is the key that does the same on a keyboard. */
export function Button(props: Props) {
  const kind = props.kind ?? 'plain';
  const label = (
    <Text
      className={`font-sans-semi text-center max-w-full ${TEXT[kind]}`}
      numberOfLines={2}
      selectable={false}
    >
      {props.label}
    </Text>
  );
  return (
    <Pressable
      testID={props.testID}
      role="button"
      accessibilityLabel={props.accessibilityLabel ?? props.label}
      aria-disabled={props.disabled}
      aria-pressed={props.selected}
      disabled={props.disabled}
      onPress={props.onPress}
      className={`items-center justify-center rounded-lg py-2 ${kind === 'pad' ? 'px-1' : 'px-3'} ${BOX[kind]} ${props.tall ? 'min-h-[56px]' : ''} ${props.grow ? 'flex-1' : ''} ${
        props.selected ? 'border-2 border-pit' : ''
      } ${props.disabled ? 'opacity-50' : 'active:opacity-80'}`}
    >
      {props.icon || props.hint ? (
        <View
          className={`items-center justify-center max-w-full ${kind === 'pad' && !props.hint ? 'gap-1' : 'flex-row gap-2'}`}
        >
          {props.icon}
          {label}
          {props.hint ? (
            <Text
              aria-hidden
              className={`rounded border px-1.5 text-[12px] font-sans-semi ${kind === 'primary' ? 'border-on-pit text-on-pit' : kind === 'pad' ? 'border-on-pad text-on-pad' : 'border-edge text-soot'}`}
            >
              {props.hint}
            </Text>
          ) : null}
        </View>
      ) : (
        label
      )}
    </Pressable>
  );
}
