/** Everything that the server keeps as one file, and bringing that into an empty server. */
import { ROUTES } from '@ostrin/contract/types';
import { countWords } from '@ostrin/wording';
import { useMutation } from '@tanstack/react-query';
import { View } from 'react-native';
import { sendFile } from '../api/http';
import { queryClient } from '../api/queries';
import { useRole } from '../devices/useDevices';
import { Button } from '../ui/Button';
import { FileButton } from '../ui/FileButton';
import { Notice } from '../ui/Notice';
import { Heading } from '../ui/Title';
import { Paragraph } from '../ui/Text';

/** What came in of an archive. */
interface BroughtIn {
  cooks: number;
  pits: number;
  photographs: number;
}

/** `empty`: the server has no cooks, so that an archive can be brought in. */
export function WholeRecord({ empty }: { empty: boolean }) {
  if (useRole() !== 'cook') return null;
  const save = (path: string): void => window.location.assign(path);
  return (
    <View className="gap-2">
      <Heading>The whole record</Heading>
      <Paragraph>
        Cooks, photographs, pits, plans, instruments and the shelf in one file. A server without
        cooks can begin with it.
      </Paragraph>
      <Button
        label="Everything, as a ZIP of JSON and CSV"
        testID="archive"
        onPress={() => save(ROUTES.archive)}
      />
      <Button
        label="The database, without photographs"
        testID="whole-record"
        onPress={() => save(ROUTES.record)}
      />
      {empty ? <BringIn /> : null}
    </View>
  );
}

function BringIn() {
  const bring = useMutation({
    mutationFn: (file: File) => sendFile<BroughtIn>(ROUTES.archive, file, 'application/zip'),
    onSuccess: () => queryClient.invalidateQueries(),
  });
  return (
    <>
      <FileButton
        label={bring.isPending ? 'Reading' : 'Import such a ZIP'}
        name="Archive to import"
        accept=".zip,application/zip"
        disabled={bring.isPending}
        testID="archive-file"
        onFiles={([file]) => bring.mutate(file!)}
      />
      {bring.error ? (
        <Notice tone="warn" title="Nothing was imported">
          {bring.error.message}
        </Notice>
      ) : bring.data ? (
        <Notice tone="plain" title="Imported">
          {`${countWords(bring.data.cooks, 'cook', 'cooks')} and ${countWords(bring.data.pits, 'pit', 'pits')}.`}
        </Notice>
      ) : null}
    </>
  );
}
