/** A note, in the cook's own words. */
import type { Entry } from '@ostrin/core/log';
import { logDeeds } from '../store/logging';
import { FormSheet, wordsField } from '../ui/FormSheet';

interface Props {
  now: number;
  onLogged: (entries: Entry[]) => void;
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
        void logDeeds([{ body: { kind: 'note', text: text! } }], now).then(onLogged);
        onClose();
      }}
      onClose={onClose}
    />
  );
}
