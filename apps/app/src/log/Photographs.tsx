/** Photographs of a cook: taken with the phone or chosen, kept by the server. */
import { MOST_PHOTOGRAPHS, ROUTES, type PhotographRecord } from '@ostrin/contract/types';
import { countWords } from '@ostrin/wording';
import { Image, Linking, Pressable, Text, View } from 'react-native';
import { usePhotographs } from '../api/photographs';
import { useRole } from '../devices/useDevices';
import { Failure } from '../ui/AskedTwice';
import { FileButton } from '../ui/FileButton';
import { Heading } from '../ui/Title';
import { Paragraph } from '../ui/Text';

export function Photographs({ cookId }: { cookId: string }) {
  const { list, add, remove } = usePhotographs(cookId);
  const mayAdd = useRole() !== 'looker';
  const mayRemove = useRole() === 'cook';
  const kept = list.data ?? [];
  return (
    <View className="px-5 gap-2 max-w-[720px]" testID="photographs">
      <Heading>Photographs</Heading>
      {kept.length > 0 ? (
        <View className="flex-row flex-wrap gap-2">
          {kept.map((photo, i) => (
            <Photograph
              key={photo.id}
              photo={photo}
              number={i + 1}
              onRemove={mayRemove ? () => remove.mutate(photo.id) : null}
            />
          ))}
        </View>
      ) : (
        <Paragraph>None yet. Photographs are kept without their location.</Paragraph>
      )}
      {mayAdd && kept.length < MOST_PHOTOGRAPHS ? (
        <FileButton
          label={add.isPending ? 'Sending' : 'Add a photograph'}
          name="Photographs to add"
          accept="image/jpeg,image/png,image/webp"
          multiple
          disabled={add.isPending}
          testID="photograph-files"
          onFiles={(files) => add.mutate(files)}
        />
      ) : null}
      {kept.length >= MOST_PHOTOGRAPHS ? (
        <Paragraph>{`${countWords(kept.length, 'photograph', 'photographs')}: no more of one cook are kept.`}</Paragraph>
      ) : null}
      <Failure error={list.error ?? add.error ?? remove.error} />
    </View>
  );
}

function Photograph(p: { photo: PhotographRecord; number: number; onRemove: (() => void) | null }) {
  const { photo, number } = p;
  const uri = ROUTES.photograph(photo.cookId, photo.id);
  return (
    <View className="gap-1">
      <Pressable
        role="link"
        accessibilityLabel={`Open photograph ${number}`}
        onPress={() => void Linking.openURL(uri)}
        className="active:opacity-80"
      >
        <Image
          source={{ uri }}
          accessibilityLabel={`Photograph ${number}`}
          style={{ width: 108, height: 108, borderRadius: 8 }}
          resizeMode="cover"
        />
      </Pressable>
      {p.onRemove ? (
        <Pressable
          role="button"
          accessibilityLabel={`Delete photograph ${number}`}
          onPress={p.onRemove}
          className="min-h-[48px] items-center justify-center active:opacity-70"
        >
          <Text className="font-sans text-ink text-[16px] underline">Delete</Text>
        </Pressable>
      ) : null}
    </View>
  );
}
