/** A note, in the cook's own words. */
import type { Entry } from '@ostrin/core';
import { useLive } from '../store/live';
import { FormSheet, wordsField } from '../ui/FormSheet';

interface Props {
  now: number;
  onLogged: (entry: Entry) => void;
  onClose: () => void;
}

const FIELDS = [wordsField('Note', 2000, { kind: 'long', testID: 'note-text' })];

export function NoteSheet({ now, onLogged, onClose }: Props) {
  return (
    <FormSheet
      title="Note"
      fields={FIELDS}
      save="Log this note"
      saveID="note-save"
      onSave={({ text }) => {
        onLogged(useLive.getState().log({ kind: 'note', text: text! }, now));
        onClose();
      }}
      onClose={onClose}
    />
  );
}
