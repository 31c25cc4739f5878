/** Photographs of a cook: taken with the phone or chosen, kept by the server. */
import { MOST_PHOTOGRAPHS, ROUTES, type PhotographRecord } from '@ostrin/contract/types';
import { countWords } from '@ostrin/wording';
import { useRef } from 'react';
import { Image, Linking, Pressable, Text, View } from 'react-native';
import { usePhotographs } from '../api/photographs';
import { useRole } from '../house/useHouse';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Heading } from '../ui/Title';
import { Paragraph } from '../ui/Text';

export function Photographs({ cookId }: { cookId: string }) {
  const { list, add, remove } = usePhotographs(cookId);
  const input = useRef<HTMLInputElement>(null);
  const mayAdd = useRole() !== 'looker';
  const mayRemove = useRole() === 'cook';
  const kept = list.data ?? [];
  const failure = list.error ?? add.error ?? remove.error;
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
        <Paragraph>None yet. They are kept without the place where they were taken.</Paragraph>
      )}
      <input
        ref={input}
        type="file"
        multiple
        accept="image/jpeg,image/png,image/webp"
        aria-label="Photographs to add"
        data-testid="photograph-files"
        style={{ display: 'none' }}
        onChange={(e) => {
          add.mutate([...(e.target.files ?? [])]);
          e.target.value = '';
        }}
      />
      {mayAdd && kept.length < MOST_PHOTOGRAPHS ? (
        <Button
          label={add.isPending ? 'Sending' : 'Add a photograph'}
          disabled={add.isPending}
          onPress={() => input.current?.click()}
        />
      ) : null}
      {kept.length >= MOST_PHOTOGRAPHS ? (
        <Paragraph>{`${countWords(kept.length, 'photograph', 'photographs')}: no more of one cook are kept.`}</Paragraph>
      ) : null}
      {failure ? (
        <Notice tone="warn" title="Not done">
          {failure.message}
        </Notice>
      ) : null}
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
