/** A new pit: what kind it is, and what it is called. */
import { PRESETS, presetOf } from '@ostrin/core';
import type { PitRecord } from '@ostrin/contract/types';
import { capital } from '@ostrin/wording';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useSavePit } from '../api/queries';
import { idFor } from '../store/names';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { NameField } from '../ui/NameField';
import { Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';

export function AddPitSheet({
  taken,
  onClose,
}: {
  taken: readonly PitRecord[];
  onClose: () => void;
}) {
  const [preset, setPreset] = useState('kettle-57');
  const [name, setName] = useState('');
  const save = useSavePit();
  const add = (): void => {
    const id = idFor(name, taken);
    save.mutate(
      {
        base: null,
        pit: { id, name, preset, overrides: {}, ventWay: presetOf(preset).ventNotation },
      },
      {
        onSuccess: () => {
          onClose();
          router.navigate(`/yard/${id}`);
        },
      },
    );
  };
  return (
    <Sheet title="Add a pit" onClose={onClose}>
      <View className="gap-4">
        <NameField value={name} onChange={setName} example="the Bosun" />
        <Choice
          label="What kind it is"
          options={Object.values(PRESETS).map((p) => ({ value: p.id, label: capital(p.name) }))}
          value={preset}
          onChange={setPreset}
        />
        {save.isError ? <Notice tone="warn" title={save.error.message} /> : null}
        <Button
          kind="primary"
          label={save.isPending ? 'Adding' : 'Add it'}
          disabled={name.trim() === '' || save.isPending}
          onPress={add}
        />
      </View>
    </Sheet>
  );
}
