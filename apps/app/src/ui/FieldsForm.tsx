/** A sheet of a few fields, checked where they are typed. Fetched after the first page stands: see `FormSheet`. */
import 'reflect-metadata';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { ValidateBy, ValidateIf } from 'class-validator';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { Text, TextInput, View } from 'react-native';
import { Button } from './Button';
import { Notice } from './Notice';
import { Sheet } from './Sheet';

export type Values = Record<string, string>;

export interface Field {
  name: string;
  label: string;
  /** What stands in it at first. */
  first: string;
  /** What may be typed, and what is said of anything else. */
  pattern: Pick<RegExp, 'test'>;
  message: string;
  /** Whether it must be filled in beside what else is typed; always when left out. */
  needed?: (values: Values) => boolean;
  kind?: 'long' | 'number';
  testID?: string;
}

interface FormProps {
  title: string;
  fields: readonly Field[];
  save: string;
  saveID: string;
  /** Something that went wrong with what was sent. */
  failure?: string | null;
  busy?: boolean;
  onSave: (values: Values) => void;
  onClose: () => void;
}

/** A class with the rules of the fields on it. */
function formOf(fields: readonly Field[]): new () => Values {
  class Form {
    [name: string]: string;
  }
  for (const { name, pattern, message, needed } of fields) {
    const validate = (text: string): boolean => pattern.test(text);
    ValidateBy({ name: 'pattern', validator: { validate } }, { message })(Form.prototype, name);
    if (needed) ValidateIf((values: Values) => needed(values))(Form.prototype, name);
  }
  return Form;
}

export function FieldsForm(props: FormProps) {
  const { fields } = props;
  const [resolver] = useState(() => classValidatorResolver(formOf(fields)));
  const form = useForm<Values>({
    resolver,
    defaultValues: Object.fromEntries(fields.map((f) => [f.name, f.first])),
  });
  const save = form.handleSubmit((typed) =>
    props.onSave(Object.fromEntries(fields.map((f) => [f.name, (typed[f.name] ?? '').trim()]))),
  );
  return (
    <Sheet title={props.title} onClose={props.onClose}>
      {fields.map((f, i) => {
        const error = form.formState.errors[f.name]?.message;
        return (
          <View key={f.name} className="gap-1">
            {fields.length > 1 ? (
              <Text className="font-sans-semi text-ink text-[16px]">{f.label}</Text>
            ) : null}
            <Controller
              control={form.control}
              name={f.name}
              render={({ field }) => (
                <TextInput
                  autoFocus={i === 0}
                  multiline={f.kind === 'long'}
                  inputMode={f.kind === 'number' ? 'decimal' : 'text'}
                  aria-label={f.label}
                  aria-invalid={!!error}
                  testID={f.testID}
                  value={field.value}
                  onChangeText={field.onChange}
                  onSubmitEditing={f.kind === 'long' ? undefined : () => void save()}
                  className={`rounded-lg border border-edge bg-paper p-3 text-ink ${f.kind === 'number' ? 'font-slab text-[20px]' : 'font-sans text-[17px]'} ${f.kind === 'long' ? 'min-h-[110px]' : 'min-h-[52px]'}`}
                />
              )}
            />
            {error ? (
              <Text role="alert" className="font-sans-semi text-ink text-[16px]">
                {error}
              </Text>
            ) : null}
          </View>
        );
      })}
      {props.failure ? <Notice tone="warn" title={props.failure} /> : null}
      <Button
        kind="primary"
        label={props.busy ? 'Saving' : props.save}
        testID={props.saveID}
        disabled={props.busy}
        onPress={() => void save()}
      />
    </Sheet>
  );
}
