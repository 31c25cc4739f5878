/** Large choices, one of which holds; and a number that goes up and down. */
import { useState } from 'react';
import { Pressable, Text, TextInput, View } from 'react-native';
import { Button } from './Button';
import { Subhead } from './Title';

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

/** The same under its label. */
export const TitledChoice = <T extends string | number>(props: ChoiceProps<T>) => (
  <>
    <Subhead>{props.label}</Subhead>
    <Choice {...props} />
  </>
);

/** A number that can be typed: what it is now, in the unit it is shown in, and what to do with another. */
interface Typed {
  value: number;
  onType: (value: number) => void;
}

interface StepperProps {
  label: string;
  shown: string;
  onStep: (by: -1 | 1) => void;
  canDown: boolean;
  canUp: boolean;
  /** Left out where a number cannot be typed. */
  typed?: Typed;
  /** Why it goes no lower or no higher; told where it has come to that end. */
  ends?: { low: string; high: string };
}

/** A number with one large button each way; touched itself it is typed. */
export function Stepper(props: StepperProps) {
  const { label, shown, onStep, canDown, canUp, typed, ends } = props;
  const [typing, setTyping] = useState(false);
  const end = canDown ? (canUp ? null : ends?.high) : ends?.low;
  return (
    <View>
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
        {typed && typing ? (
          <TypedNumber label={label} {...typed} onDone={() => setTyping(false)} />
        ) : (
          <Pressable
            role={typed ? 'button' : undefined}
            accessibilityLabel={typed ? `${label}: ${shown}. Type it` : undefined}
            disabled={!typed}
            onPress={() => setTyping(true)}
            className="flex-1 min-h-[52px] justify-center active:opacity-70"
          >
            <Text
              aria-live="polite"
              className={`font-slab-semi text-ink text-[28px] text-center ${typed ? 'underline decoration-dotted' : ''}`}
            >
              {shown}
            </Text>
          </Pressable>
        )}
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
      {end ? <Text className="font-sans text-soot text-[14px] pt-1">{end}</Text> : null}
    </View>
  );
}

/** The field that a number is typed into; a decimal comma is as good as a point. */
function TypedNumber({
  label,
  value,
  onType,
  onDone,
}: Typed & { label: string; onDone: () => void }) {
  const [text, setText] = useState(String(value));
  const leave = (): void => {
    const number = Number.parseFloat(text.replace(',', '.'));
    if (Number.isFinite(number)) onType(number);
    onDone();
  };
  return (
    <TextInput
      autoFocus
      selectTextOnFocus
      inputMode="decimal"
      aria-label={`${label}, typed`}
      value={text}
      maxLength={7}
      onChangeText={setText}
      onBlur={leave}
      onSubmitEditing={leave}
      className="flex-1 min-w-0 min-h-[52px] rounded-lg border-2 border-pit bg-paper text-center font-slab-semi text-[28px] text-ink"
    />
  );
}
