/** Large choices, one of which holds; and a number that goes up and down. */
import { Pressable, Text, View } from 'react-native';
import { Button } from './Button';

interface ChoiceProps<T> {
  label: string;
  options: readonly { value: T; label: string; note?: string }[];
  value: T;
  onChange: (value: T) => void;
  columns?: number;
}

/** A group of large options. */
export function Choice<T extends string | number>(props: ChoiceProps<T>) {
  const width = `${100 / (props.columns ?? 1)}%` as const;
  return (
    <View role="radiogroup" aria-label={props.label} className="flex-row flex-wrap -mx-1">
      {props.options.map((o) => {
        const on = o.value === props.value;
        return (
          <View key={String(o.value)} style={{ width }} className="p-1">
            <Pressable
              role="radio"
              aria-checked={on}
              accessibilityLabel={o.note ? `${o.label}, ${o.note}` : o.label}
              onPress={() => props.onChange(o.value)}
              className={`min-h-[52px] justify-center rounded-lg border px-4 py-2 active:opacity-80 ${on ? 'border-2 border-pit bg-paper' : 'border-edge bg-sheet'}`}
            >
              <Text className={`text-[17px] text-ink ${on ? 'font-sans-bold' : 'font-sans'}`}>
                {o.label}
              </Text>
              {o.note ? <Text className="text-soot font-sans text-[14px]">{o.note}</Text> : null}
            </Pressable>
          </View>
        );
      })}
    </View>
  );
}

interface StepperProps {
  label: string;
  shown: string;
  onStep: (by: -1 | 1) => void;
  canDown: boolean;
  canUp: boolean;
}

/** A number with one large button each way. */
export function Stepper({ label, shown, onStep, canDown, canUp }: StepperProps) {
  return (
    <View className="flex-row items-center gap-3" role="group" aria-label={label}>
      <View className="w-[72px]">
        <Button
          kind="plain"
          label="−"
          accessibilityLabel={`${label}: less`}
          onPress={() => onStep(-1)}
          disabled={!canDown}
        />
      </View>
      <Text aria-live="polite" className="font-slab-semi text-ink text-[28px] flex-1 text-center">
        {shown}
      </Text>
      <View className="w-[72px]">
        <Button
          kind="plain"
          label="+"
          accessibilityLabel={`${label}: more`}
          onPress={() => onStep(1)}
          disabled={!canUp}
        />
      </View>
    </View>
  );
}
