/** A button that lets somebody choose files of this device. */
import { useRef } from 'react';
import { Button } from './Button';

interface Props {
  label: string;
  /** What is chosen, for those who hear the page. */
  name: string;
  /** Kinds of files, as the browser takes them. */
  accept: string;
  multiple?: boolean;
  disabled?: boolean;
  testID: string;
  onFiles: (files: File[]) => void;
}

export function FileButton(p: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        multiple={p.multiple}
        accept={p.accept}
        aria-label={p.name}
        data-testid={p.testID}
        style={{ display: 'none' }}
        onChange={(e) => {
          const files = [...(e.target.files ?? [])];
          // The same file can be chosen again.
          e.target.value = '';
          if (files.length > 0) p.onFiles(files);
        }}
      />
      <Button label={p.label} disabled={p.disabled} onPress={() => input.current?.click()} />
    </>
  );
}
