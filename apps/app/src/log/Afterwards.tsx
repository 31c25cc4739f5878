/** Another name for a past cook, and deleting it. */
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useAfterwards, type CookView } from '../api/queries';
import { useRole } from '../devices/useDevices';
import { AskedTwice, Failure } from '../ui/AskedTwice';
import { Button } from '../ui/Button';
import { Fold } from '../ui/Fold';
import { NameField } from '../ui/NameField';

/** Letters of a name at most. */
const LONGEST = 60;

export function Afterwards({ cook }: { cook: CookView }) {
  const { rename, remove } = useAfterwards();
  const [name, setName] = useState(cook.name);
  const role = useRole();
  if (role !== 'cook' || cook.finishedAt === null) return null;
  const leave = (): void =>
    remove.mutate(cook.id, {
      onSuccess: () =>
        router.replace({ pathname: '/log', params: { deleted: cook.id, called: cook.name } }),
    });
  return (
    <View className="px-5 gap-3 max-w-[720px]">
      <Fold label="Rename or delete" testID="afterwards">
        <View className="gap-3 pb-2">
          <NameField label="Name" value={name} longest={LONGEST} onChange={setName} />
          <Button
            label="Save the name"
            disabled={!name.trim() || name.trim() === cook.name}
            onPress={() => rename.mutate({ id: cook.id, name: name.trim() })}
          />
          <AskedTwice
            label="Delete this cook"
            question="Delete this cook with its whole log?"
            note="It can be brought back for thirty days."
            yes="Yes, delete it"
            no="No, keep it"
            onYes={leave}
          />
        </View>
      </Fold>
      <Failure error={rename.error ?? remove.error} />
    </View>
  );
}
