/** Importing a cook: one JSON document, the two CSV files of an export together, or a table of another program. */
import { router } from 'expo-router';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { useImport } from '../api/queries';
import { FileButton } from '../ui/FileButton';
import { chooseForeign } from './foreignCook';
import { foreignFile, importBody } from './importFiles';

export function ImportButton() {
  const bring = useImport();
  const [wrong, setWrong] = useState<string | null>(null);
  const choose = async (files: File[]): Promise<void> => {
    const foreign = await foreignFile(files);
    if (foreign) {
      chooseForeign(foreign);
      router.push('/log/import');
      return;
    }
    const chosen = await importBody(files);
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
      <FileButton
        label={bring.isPending ? 'Reading' : 'Import a cook'}
        name="Files to import"
        accept=".json,.csv,.tsv,.txt"
        multiple
        testID="import-files"
        onFiles={(files) => void choose(files)}
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
