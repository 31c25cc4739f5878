/** Another meat for the table. */
import type { PitRecord } from '@ostrin/contract/types';
import { useState } from 'react';
import { usePlanDraft } from '../store/planDraft';
import { TitledChoice } from '../ui/Choice';
import { Subhead } from '../ui/Title';
import { CutChoice } from './MeatChoices';
import { pitOptions } from './PitChoices';

/** A cut for the table, and the pit it goes on; it opens as a sentence of its own. */
interface AddMeatProps {
  pitId: string;
  yard: readonly PitRecord[];
  onClose: () => void;
}

export function AddMeat({ pitId, yard, onClose }: AddMeatProps) {
  const add = usePlanDraft((s) => s.addMeat);
  const [on, setOn] = useState(pitId);
  return (
    <>
      {yard.length > 1 ? (
        <>
          <TitledChoice
            label="Cooked on"
            columns={2}
            options={pitOptions(yard)}
            value={on}
            onChange={setOn}
          />
          <Subhead>Which cut</Subhead>
        </>
      ) : null}
      <CutChoice
        value=""
        onChange={(cut) => {
          add(cut, on);
          onClose();
        }}
      />
    </>
  );
}
