/** One figure of a pit: what it means, a step each way inside its sensible range, and back to the usual. */
import { Text } from 'react-native';
import { Button } from '../ui/Button';
import { Stepper } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { figureWords, stepped, type Figure } from './figures';

interface Props {
  figure: Figure;
  value: number;
  usual: number;
  range: readonly [number, number];
  onChange: (value: number) => void;
  onClose: () => void;
}

export function FigureSheet({ figure, value, usual, range, onChange, onClose }: Props) {
  return (
    <Sheet title={figure.name} onClose={onClose}>
      <Stepper
        label={figure.name}
        shown={figureWords(figure, value)}
        canDown={value > range[0] + 1e-9}
        canUp={value < range[1] - 1e-9}
        onStep={(by) => onChange(stepped(figure, value, by, range))}
      />
      <Text className="font-sans text-ink text-[16px] leading-[22px]">{figure.why}</Text>
      <Text className="font-sans text-soot text-[16px]">
        {`Usual ${figureWords(figure, usual)}. Sensible from ${figureWords(figure, range[0])} to ${figureWords(figure, range[1])}.`}
      </Text>
      <Button
        label={`Back to ${figureWords(figure, usual)}`}
        disabled={Math.abs(value - usual) < 1e-9}
        onPress={() => onChange(usual)}
      />
      <Button kind="primary" label="Done" onPress={onClose} />
    </Sheet>
  );
}
