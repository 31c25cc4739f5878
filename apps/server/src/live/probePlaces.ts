/** In which piece of a cook each probe is: as the instruments say, and as somebody who tends puts it right. */
import type { ProbeMove } from '@ostrin/contract';
import { invalid } from '../http/problems';
import type { CookStore } from '../store/cooks';
import type { CookHead } from '../store/heads';
import type { InstrumentStore } from '../store/instruments';
import type { Hub } from './hub';

/** What moving a probe works with. */
export interface ProbeServices {
  store: CookStore;
  instruments: InstrumentStore;
  hub: Hub;
}

/**
 * Puts a probe into a piece from a moment on, or out of all of them: what it read since then is of that piece. Throws 422
 * where there is no such instrument at this pit, channel or piece.
 */
export async function moveProbe(
  { store, instruments, hub }: ProbeServices,
  cook: CookHead,
  move: ProbeMove,
): Promise<void> {
  const { instrument: id, channel: key, meat } = move;
  const instrument = await instruments.get(id);
  if (!instrument || instrument.pitId !== cook.pitId) {
    throw invalid([
      { field: 'instrument', message: 'must be an instrument at the pit of this cook' },
    ]);
  }
  if (instrument.channels.every((c) => c.key !== key)) {
    const known = instrument.channels.map((c) => c.key).join(', ');
    throw invalid([{ field: 'channel', message: `must be one of ${known}` }]);
  }
  const pieces = await store.pieceIds(cook);
  if (meat !== null && !pieces.includes(meat)) {
    throw invalid([{ field: 'meat', message: `must be one of ${pieces.join(', ')}` }]);
  }
  await instruments.moveProbe(cook.id, move, meat === null ? null : pieces.indexOf(meat) + 1);
  hub.tell({ type: 'changed', what: 'instruments' });
  hub.tell({ type: 'refresh', cookId: cook.id });
}
