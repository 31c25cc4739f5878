/** What burns in a cook that is to begin: a fire of one's own by the real clock, or the practice pit. */
import { useState } from 'react';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { Paragraph } from '../ui/Text';
import { Heading } from '../ui/Title';

/** How a cook begins. */
export type Beginning =
  | { fire: 'practice'; /** Whether things go wrong that nobody logs. */ surprises: boolean }
  | { fire: 'real'; /** Null: it is not lit yet. */ litAgoMin: number | null };

interface Props {
  /** When it is to be lit by its plan, in words. */
  lightAt: string;
  onStart: (how: Beginning) => void;
  onClose: () => void;
}

const NOT_LIT = -1;
const LIT_AGO = [
  { value: NOT_LIT, label: 'Not yet' },
  { value: 0, label: 'Just now' },
  { value: 20, label: '20 min ago' },
  { value: 40, label: '40 min ago' },
  { value: 60, label: '1 h ago' },
  { value: 120, label: '2 h ago' },
];

const SURPRISES = [
  { value: 'none', label: 'No surprises' },
  { value: 'with', label: 'With surprises' },
] as const;

export function StartSheet({ lightAt, onStart, onClose }: Props) {
  const [ago, setAgo] = useState(NOT_LIT);
  const [surprises, setSurprises] = useState(false);
  return (
    <Sheet title="Which fire?" onClose={onClose}>
      <Heading>Your own</Heading>
      <Paragraph>{`A real fire by the real clock: you read your thermometers and log what you do. Planned lighting: ${lightAt}. Is it lit?`}</Paragraph>
      <Choice label="Is it lit" columns={3} options={LIT_AGO} value={ago} onChange={setAgo} />
      <Button
        kind="primary"
        testID="start-real"
        label="Start on this fire"
        onPress={() => onStart({ fire: 'real', litAgoMin: ago === NOT_LIT ? null : ago })}
      />
      <Heading>Practice</Heading>
      <Paragraph>
        A simulated pit with a thermometer and a clock of its own, which can run faster than real
        time. With surprises, two things go wrong on the way: find out what, and log what you see
        and do. What it was is shown at the end.
      </Paragraph>
      <Choice
        label="Surprises"
        columns={2}
        options={SURPRISES}
        value={surprises ? 'with' : 'none'}
        onChange={(value) => setSurprises(value === 'with')}
      />
      <Button
        testID="start-practice"
        label="Practise on a simulated fire"
        onPress={() => onStart({ fire: 'practice', surprises })}
      />
    </Sheet>
  );
}
