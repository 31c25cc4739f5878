/** A chip for each piece on the pit: its name, its last reading and its own window. */
import { MINUTE_MS } from '@ostrin/core/quantity';
import type { PieceNow } from '@ostrin/core/tending';
import { spanOfTime } from '@ostrin/wording';
import { Pressable, ScrollView, Text } from 'react-native';
import { pieceName } from '../store/names';
import { useSettings } from '../store/settings';
import { degrees } from '../ui/words';
import { useTendedCook } from './cookContext';
import { readyOf } from './useCookNow';

export function PieceChips({ onPiece }: { onPiece: (id: string) => void }) {
  const { cook } = useTendedCook();
  const { plan, pieces, nowMs } = cook;
  const units = useSettings((s) => s.units);
  const window = (piece: PieceNow): string => {
    const after = piece.phase === 'resting' ? 'resting' : 'rested';
    return `${readyOf(cook, piece)}${piece.offMs === null ? '' : `, ${after}`}`;
  };
  const reading = ({ read, muscles }: PieceNow): string => {
    if (!read) return 'not read';
    if (muscles.length > 1) {
      return muscles.map((r) => `${r.muscle} ${degrees(r.c, units)}`).join(', ');
    }
    const min = (nowMs - read.at) / MINUTE_MS;
    return `${degrees(read.c, units)}${min < 5 ? '' : `, ${spanOfTime(min)} ago`}`;
  };
  return (
    <ScrollView horizontal className="grow-0" contentContainerClassName="gap-2">
      {pieces.map((p, i) => (
        <Pressable
          key={p.id}
          role="button"
          testID={`piece-${p.id}`}
          accessibilityHint="Its progress, alarm, probe and log"
          onPress={() => onPiece(p.id)}
          className={`rounded-lg px-3 py-1 min-h-[48px] active:opacity-70 ${p.next ? 'border-2 border-pit' : 'border border-rule'}`}
        >
          <Text className="font-sans-bold text-ink text-[14px]">
            {pieceName(plan, i)}
            <Text className="font-sans text-soot">{`  ${reading(p)}`}</Text>
          </Text>
          <Text className="font-slab-semi text-ink text-[14px]">
            {window(p)}
            {p.next ? <Text className="font-sans-semi text-pit">{'  read next'}</Text> : null}
          </Text>
        </Pressable>
      ))}
    </ScrollView>
  );
}
