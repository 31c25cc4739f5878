/** Offers a newer version, and says when this page is too old to go on. */
import { useState } from 'react';
import { useOutbox } from '../outbox/outbox';
import { Bar } from '../ui/Bar';
import { Button } from '../ui/Button';
import { takeNewVersion, useNewVersion } from './newVersion';

export function NewVersion() {
  const { waiting, outdated } = useNewVersion();
  const taps = useOutbox((s) => s.taps).length;
  const [later, setLater] = useState(false);
  if (!outdated && (!waiting || later)) return null;
  const kept = taps > 0 ? ' What you logged is kept and sent afterwards.' : '';
  return (
    <Bar
      tone={outdated ? 'warn' : 'plain'}
      testID="new-version"
      text={
        outdated
          ? `The server is of another version than this page. Nothing is read or sent until it is loaded again.${kept}`
          : `A newer version is ready. Load it when it suits you.${kept}`
      }
    >
      {outdated ? null : <Button label="Later" onPress={() => setLater(true)} />}
      <Button label="Take it" testID="take-version" onPress={() => void takeNewVersion()} />
    </Bar>
  );
}
