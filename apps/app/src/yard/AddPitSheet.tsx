/** A new pit: what kind it is, and what it is called. */
import { PRESETS, presetOf } from '@ostrin/core';
import type { PitRecord } from '@ostrin/contract/types';
import { capital } from '@ostrin/wording';
import { router } from 'expo-router';
import { useState } from 'react';
import { Text, TextInput, View } from 'react-native';
import { useSavePit } from '../api/queries';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';

/** An id for a name: plain letters, not yet taken. */
export function idFor(name: string, taken: readonly { id: string }[]): string {
  const base =
    name
      .toLowerCase()
      .normalize('NFD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 30) || 'pit';
  const used = new Set(taken.map((t) => t.id));
  if (!used.has(base)) return base;
  let n = 2;
  while (used.has(`${base}-${n}`)) n++;
  return `${base}-${n}`;
}

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
        <View className="gap-1">
          <Text className="font-sans-semi text-ink text-[16px]">What you call it</Text>
          <TextInput
            value={name}
            onChangeText={setName}
            maxLength={40}
            placeholder="the Bosun"
            aria-label="What you call it"
            className="min-h-[52px] rounded-lg border border-edge bg-sheet px-4 font-sans text-ink text-[17px]"
          />
        </View>
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
