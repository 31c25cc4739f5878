/** The log of the cook under way on a phone, the last line first. */
import { LogList } from '../log/LogList';
import { Sheet } from '../ui/Sheet';
import { Paragraph } from '../ui/Text';
import { useTendedCook } from './cookContext';

interface Props {
  onEdit: (entryId: string) => void;
  onClose: () => void;
}

export function LogSheet({ onEdit, onClose }: Props) {
  const { plan, log } = useTendedCook().cook;
  return (
    <Sheet title="Log" onClose={onClose}>
      <Paragraph>
        {log.lines.length === 0
          ? 'Nothing has been logged yet.'
          : 'Touch a line to correct it: what was read, when, and where.'}
      </Paragraph>
      <LogList lines={[...log.lines].reverse()} plan={plan} onEdit={onEdit} />
    </Sheet>
  );
}
