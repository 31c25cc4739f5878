/** A note, in the cook's own words. */
import 'reflect-metadata';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import type { Entry } from '@ostrin/core';
import { Length } from 'class-validator';
import { Controller, useForm } from 'react-hook-form';
import { Text, TextInput } from 'react-native';
import { useLive } from '../store/live';
import { Button } from '../ui/Button';
import { Sheet } from '../ui/Sheet';

class NoteForm {
  @Length(1, 2000, { message: 'Write something first, at most 2000 letters.' })
  text!: string;
}

interface Props {
  now: number;
  onLogged: (entry: Entry) => void;
  onClose: () => void;
}

export function NoteSheet({ now, onLogged, onClose }: Props) {
  const form = useForm<NoteForm>({
    resolver: classValidatorResolver(NoteForm),
    defaultValues: { text: '' },
  });
  const save = form.handleSubmit(({ text }) => {
    onLogged(useLive.getState().log({ kind: 'note', text: text.trim() }, now));
    onClose();
  });
  return (
    <Sheet title="Note" onClose={onClose}>
      <Controller
        control={form.control}
        name="text"
        render={({ field }) => (
          <TextInput
            autoFocus
            multiline
            aria-label="Note"
            testID="note-text"
            value={field.value}
            onChangeText={field.onChange}
            className="min-h-[110px] rounded-lg border border-edge bg-paper p-3 font-sans text-[17px] text-ink"
          />
        )}
      />
      {form.formState.errors.text ? (
        <Text role="alert" className="font-sans-semi text-ink text-[16px]">
          {form.formState.errors.text.message}
        </Text>
      ) : null}
      <Button kind="primary" label="Log this note" testID="note-save" onPress={() => void save()} />
    </Sheet>
  );
}
