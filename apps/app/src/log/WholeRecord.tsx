/** Everything that the server keeps as one file, and bringing that into an empty server. */
import { ROUTES } from '@ostrin/contract/types';
import { countWords } from '@ostrin/wording';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { sendFile } from '../api/http';
import { queryClient } from '../api/queries';
import { onLiveEvent } from '../connection/serverConnection';
import { useRole } from '../devices/useDevices';
import { Button } from '../ui/Button';
import { FileButton } from '../ui/FileButton';
import { Notice } from '../ui/Notice';
import { Progress } from '../ui/Progress';
import { Heading } from '../ui/Title';
import { Paragraph } from '../ui/Text';

/** What came in of an archive. */
interface BroughtIn {
  cooks: number;
  pits: number;
  photographs: number;
}

/** Cooks of an archive that are done, of all. */
interface Done {
  done: number;
  all: number;
}

/** How far the server has come with an archive, one way; null where it is at none. */
function useArchiveProgress(way: 'out' | 'in'): Done | null {
  const [progress, setProgress] = useState<Done | null>(null);
  useEffect(
    () =>
      onLiveEvent((event) => {
        if (event.type === 'archive' && event.way === way)
          setProgress(event.done < event.all ? event : null);
        // What was under way before the line broke is not known any more.
        else if (event.type === 'hello') setProgress(null);
      }),
    [way],
  );
  return progress;
}

/** `empty`: the server has no cooks, so that an archive can be brought in. */
export function WholeRecord({ empty }: { empty: boolean }) {
  const writing = useArchiveProgress('out');
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
        disabled={writing !== null}
        onPress={() => save(ROUTES.archive)}
      />
      {writing ? (
        <Progress
          label={`Packing: ${writing.done} of ${countWords(writing.all, 'cook', 'cooks')}`}
          share={writing.done / writing.all}
          testID="archive-out"
        />
      ) : null}
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
  const read = useArchiveProgress('in');
  const bring = useMutation({
    mutationFn: (file: File) => sendFile<BroughtIn>(ROUTES.archive, file, 'application/zip'),
    onSuccess: () => queryClient.invalidateQueries(),
  });
  return (
    <>
      <FileButton
        label="Import such a ZIP"
        name="Archive to import"
        accept=".zip,application/zip"
        disabled={bring.isPending}
        testID="archive-file"
        onFiles={([file]) => bring.mutate(file!)}
      />
      {bring.isPending ? (
        <Progress
          label={
            read
              ? `Importing: ${read.done} of ${countWords(read.all, 'cook', 'cooks')}`
              : 'Sending the file'
          }
          share={read ? read.done / read.all : 0}
          testID="archive-in"
        />
      ) : null}
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
