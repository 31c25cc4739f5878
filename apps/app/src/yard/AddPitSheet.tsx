/** A new pit: what kind it is, and what it is called; of another kind, the nearest one with sizes of its own. */
import { PRESETS, presetOf } from '@ostrin/core/catalogue';
import { sizedLike, type PitSizes } from '@ostrin/core/yard';
import type { PitRecord } from '@ostrin/contract/types';
import { capital } from '@ostrin/wording';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useSavePit } from '../api/queries';
import { idFor } from '../store/names';
import { Button } from '../ui/Button';
import { TitledChoice } from '../ui/Choice';
import { NameField } from '../ui/NameField';
import { Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';
import { AnotherKind } from './AnotherKind';

/** Stands for a kind that the catalogue does not have. */
const ANOTHER = 'another';
const FIRST_KIND = 'kettle-57';

interface Props {
  taken: readonly PitRecord[];
  onClose: () => void;
}

/** The sizes that a kind of the catalogue has. */
const sizesOf = (preset: string): PitSizes => {
  const { diameterM, lengthM, exhaustHeightM } = presetOf(preset).parameters;
  return { diameterM, lengthM, exhaustHeightM };
};

export function AddPitSheet({ taken, onClose }: Props) {
  const [chosen, setChosen] = useState(FIRST_KIND);
  const [nearest, setNearest] = useState(FIRST_KIND);
  const [sizes, setSizes] = useState(() => sizesOf(FIRST_KIND));
  const [kind, setKind] = useState('');
  const [name, setName] = useState('');
  const save = useSavePit();
  const another = chosen === ANOTHER;
  const preset = another ? nearest : chosen;
  const add = (): void => {
    const id = idFor(name, taken);
    const own = another
      ? { kind: kind.trim(), overrides: sizedLike(presetOf(preset).parameters, sizes) }
      : { overrides: {} };
    save.mutate(
      {
        base: null,
        pit: { id, name: name.trim(), preset, ventWay: presetOf(preset).ventNotation, ...own },
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
        <TitledChoice
          label="What kind it is"
          options={[
            ...Object.values(PRESETS).map((p) => ({ value: p.id, label: capital(p.name) })),
            { value: ANOTHER, label: 'Another kind', note: 'a drum, a cabinet, a brick pit' },
          ]}
          value={chosen}
          onChange={setChosen}
        />
        {another ? (
          <AnotherKind
            kind={kind}
            nearest={nearest}
            sizes={sizes}
            onKind={setKind}
            onNearest={(id) => {
              setNearest(id);
              setSizes(sizesOf(id));
            }}
            onSizes={setSizes}
          />
        ) : null}
        {save.isError ? <Notice tone="warn" title={save.error.message} /> : null}
        <Button
          kind="primary"
          label={save.isPending ? 'Adding' : 'Add it'}
          disabled={name.trim() === '' || (another && kind.trim() === '') || save.isPending}
          onPress={add}
        />
      </View>
    </Sheet>
  );
}
