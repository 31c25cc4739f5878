/** Another name for a pit, a copy of it, putting it away, and taking it out of the yard. */
import { lettersIn, shortened } from '@ostrin/core/quantity';
import type { PitRecord, Versioned } from '@ostrin/contract/types';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useDeletePit, usePits, useSavePit } from '../api/queries';
import { useRole } from '../devices/useDevices';
import { idFor } from '../store/names';
import { AskedTwice, Failure } from '../ui/AskedTwice';
import { Button } from '../ui/Button';
import { Fold } from '../ui/Fold';
import { NameField } from '../ui/NameField';

const LONGEST_NAME = 40;

/** A name for a copy that no pit has yet. */
function copyName(name: string, taken: readonly { name: string }[]): string {
  for (let n = 2; ; n++) {
    const end = ` ${n}`;
    const copy = `${shortened(name, LONGEST_NAME - end.length)}${end}`;
    if (!taken.some((p) => p.name === copy)) return copy;
  }
}

export function KeepPit({ pit }: { pit: Versioned<PitRecord> }) {
  const yard = usePits().data ?? [];
  const save = useSavePit();
  const remove = useDeletePit();
  const [name, setName] = useState(pit.name);
  if (useRole() !== 'cook') return null;
  const { version: _version, ...record } = pit;
  const change = (part: Partial<PitRecord>): void =>
    save.mutate({ base: pit, pit: { ...record, ...part } });
  const copy = (): void => {
    const called = copyName(pit.name, yard);
    const id = idFor(called, yard);
    save.mutate(
      {
        base: null,
        pit: { ...record, id, name: called, learned: undefined, putAwayAt: undefined },
      },
      { onSuccess: () => router.navigate(`/yard/${id}`) },
    );
  };
  return (
    <View className="gap-3 max-w-[720px]">
      <Fold label="Rename, copy, put away or delete it" testID="keep-pit">
        <View className="gap-3 pb-2">
          <NameField label="Name" value={name} longest={LONGEST_NAME} onChange={setName} />
          <Button
            label="Save the name"
            disabled={
              !name.trim() || name.trim() === pit.name || lettersIn(name.trim()) > LONGEST_NAME
            }
            onPress={() => change({ name: name.trim() })}
          />
          <Button label="Make a copy" onPress={copy} />
          <Button
            label={pit.putAwayAt ? 'Take it into use again' : 'Put it away'}
            onPress={() => change({ putAwayAt: pit.putAwayAt ? undefined : Date.now() })}
          />
          <AskedTwice
            label="Delete this pit"
            question="Delete this pit with all that was learned of it?"
            note="Its cooks stay in the log. This cannot be undone."
            yes="Yes, delete it"
            no="No, keep it"
            onYes={() => remove.mutate(pit.id, { onSuccess: () => router.replace('/yard') })}
          />
        </View>
      </Fold>
      <Failure error={save.error ?? remove.error} />
    </View>
  );
}
