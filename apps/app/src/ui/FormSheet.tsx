/** A sheet of a few fields; its form and validator come after the first page stands. */
import { lettersIn } from '@ostrin/core/quantity';
import type { Field } from './FieldsForm';
import { lazyComponent } from './lazyComponent';

export const FormSheet = lazyComponent(async () => ({
  default: (await import('./FieldsForm')).FieldsForm,
}));

/** A field for words that are not nothing, at most so many letters. */
export const wordsField = (label: string, most: number, part: Partial<Field> = {}): Field => ({
  name: 'text',
  label,
  first: '',
  pattern: { test: (text) => text.trim() !== '' && lettersIn(text) <= most },
  message: `Write something, at most ${most} letters.`,
  ...part,
});
