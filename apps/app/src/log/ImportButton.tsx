/** Importing a cook: one JSON document, or the two CSV files of an export together. */
import { useRef, useState } from 'react';
import { Text, View } from 'react-native';
import { useImport } from '../api/queries';
import { Button } from '../ui/Button';

/** The body to send for the chosen files, or what is wrong with the choice. */
export async function importBody(
  files: readonly File[],
): Promise<{ body: unknown } | { wrong: string }> {
  const json = files.find((f) => f.name.toLowerCase().endsWith('.json'));
  if (json && files.length === 1) {
    try {
      return { body: JSON.parse(await json.text()) as unknown };
    } catch {
      return { wrong: `${json.name} is not a JSON document.` };
    }
  }
  const texts = await Promise.all(
    files.filter((f) => f.name.toLowerCase().endsWith('.csv')).map((f) => f.text()),
  );
  const actions = texts.find((t) => /^\uFEFF?"?id"?,/.test(t));
  const readings = texts.find((t) => /^\uFEFF?"?at"?,/.test(t));
  if (files.length === 2 && actions !== undefined && readings !== undefined) {
    return { body: { actionsCsv: actions, readingsCsv: readings } };
  }
  return { wrong: 'Choose one JSON document, or the actions and the readings CSV together.' };
}

export function ImportButton() {
  const input = useRef<HTMLInputElement>(null);
  const bring = useImport();
  const [wrong, setWrong] = useState<string | null>(null);
  const choose = async (files: FileList | null): Promise<void> => {
    if (!files || files.length === 0) return;
    const chosen = await importBody([...files]);
    if ('wrong' in chosen) {
      setWrong(chosen.wrong);
      return;
    }
    setWrong(null);
    bring.mutate(chosen.body);
  };
  const said = bring.data
    ? bring.data.already
      ? 'That cook is in the log already.'
      : 'Imported.'
    : null;
  return (
    <View className="gap-2">
      <input
        ref={input}
        type="file"
        multiple
        accept=".json,.csv"
        aria-label="Files to import"
        data-testid="import-files"
        style={{ display: 'none' }}
        onChange={(e) => {
          void choose(e.target.files);
          e.target.value = '';
        }}
      />
      <Button
        label={bring.isPending ? 'Reading' : 'Import a cook'}
        onPress={() => input.current?.click()}
      />
      {(wrong ?? bring.error?.message) ? (
        <Text role="alert" className="font-sans-semi text-ink text-[16px]">
          {wrong ?? bring.error?.message}
        </Text>
      ) : said ? (
        <Text role="status" className="font-sans text-ink text-[16px]">
          {said}
        </Text>
      ) : null}
    </View>
  );
}
