/** Something that cannot be done by one touch: asked first, then done or left. */
import { useState } from 'react';
import { Button } from './Button';
import { Notice } from './Notice';

interface Props {
  label: string;
  question: string;
  /** What follows when it is done. */
  note: string;
  yes: string;
  no: string;
  onYes: () => void;
}

export function AskedTwice(p: Props) {
  const [asked, setAsked] = useState(false);
  if (!asked) return <Button label={p.label} onPress={() => setAsked(true)} />;
  return (
    <>
      <Notice tone="warn" title={p.question}>
        {p.note}
      </Notice>
      <Button kind="primary" label={p.yes} onPress={p.onYes} />
      <Button label={p.no} onPress={() => setAsked(false)} />
    </>
  );
}

/** What went wrong with what was asked for; nothing where nothing did. */
export const Failure = ({ error }: { error: Error | null }) =>
  error ? (
    <Notice tone="warn" title="Not done">
      {error.message}
    </Notice>
  ) : null;
