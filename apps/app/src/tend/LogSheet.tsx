/** The log of the cook under way on a phone, the last line first. */
import { LogList } from '../log/LogList';
import { piecesOfLine } from '@ostrin/core/log';
import { pieceNamed } from '../store/names';
import { Sheet } from '../ui/Sheet';
import { Paragraph } from '../ui/Text';
import { useTendedCook } from './cookContext';

interface Props {
  /** The piece whose lines are shown; all lines when left out. */
  meat?: string;
  onEdit: (entryId: string) => void;
  onClose: () => void;
}

export function LogSheet({ meat, onEdit, onClose }: Props) {
  const { plan, log } = useTendedCook().cook;
  const lines =
    meat === undefined ? log.lines : log.lines.filter((l) => piecesOfLine(l).includes(meat));
  return (
    <Sheet title={meat === undefined ? 'Log' : `Log: ${pieceNamed(plan, meat)}`} onClose={onClose}>
      <Paragraph>
        {lines.length === 0
          ? 'Nothing has been logged yet.'
          : 'Touch a line to correct it: what was read, when, and where.'}
      </Paragraph>
      <LogList lines={[...lines].reverse()} plan={plan} onEdit={onEdit} />
    </Sheet>
  );
}
