/** A new instrument: what it is called, and at which pit it is. */
import {
  INSTRUMENT_KINDS,
  type Channel,
  type InstrumentKind,
  type InstrumentRecord,
} from '@ostrin/contract/types';
import { INSTRUMENT_NAMES } from '@ostrin/wording/tending';
import { useState } from 'react';
import { idFor } from '../store/names';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { NameField } from '../ui/NameField';
import { Note, Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';
import { useSaveInstrument } from './useInstruments';

interface Props {
  /** Names of the pits of the yard. */
  pits: readonly string[];
  taken: readonly InstrumentRecord[];
  onAdded: (id: string) => void;
  onClose: () => void;
}

/** What is read by hand has one channel; what tells by wire names its own. */
const byHand = (at: Pick<Channel, 'spot' | 'piece'>): Channel[] => [
  { key: 'reading', offsetK: 0, checkedAt: null, ...at },
];
const FIRST_CHANNELS: Readonly<Record<InstrumentKind, Channel[]>> = {
  wire: [],
  'leave-in': byHand({ spot: 'grate' }),
  'instant-read': byHand({ spot: 'meat', piece: 1 }),
  dial: byHand({ spot: 'dome' }),
};

export function AddInstrumentSheet({ pits, taken, onAdded, onClose }: Props) {
  const [name, setName] = useState('');
  const [firstPit = ''] = pits;
  const [pitName, setPitName] = useState(firstPit);
  const [kind, setKind] = useState<InstrumentKind>('wire');
  const save = useSaveInstrument();
  const add = (): void => {
    const id = idFor(name, taken);
    save.mutate(
      {
        base: null,
        record: { id, name: name.trim(), pitName, kind, channels: FIRST_CHANNELS[kind] },
      },
      {
        onSuccess: () => {
          onClose();
          onAdded(id);
        },
      },
    );
  };
  return (
    <Sheet title="Add an instrument" onClose={onClose}>
      <NameField
        value={name}
        onChange={setName}
        example="four-probe thermometer"
        testID="instrument-name"
      />
      <Choice
        label="What kind it is"
        columns={2}
        options={INSTRUMENT_KINDS.map((value) => ({ value, label: INSTRUMENT_NAMES[value] }))}
        value={kind}
        onChange={setKind}
      />
      {pits.length === 0 ? <Note>First add the pit it belongs to, in the yard.</Note> : null}
      <Choice
        label="Which pit"
        columns={2}
        options={pits.map((p) => ({ value: p, label: p }))}
        value={pitName}
        onChange={setPitName}
      />
      {save.isError ? <Notice tone="warn" title={save.error.message} /> : null}
      <Button
        kind="primary"
        label={save.isPending ? 'Adding' : 'Add it'}
        testID="instrument-add"
        disabled={name.trim() === '' || pitName === '' || save.isPending}
        onPress={add}
      />
    </Sheet>
  );
}
