/** A chip for each piece on the pit: its name, its last reading and its own window. */
import { localOf, MINUTE_MS } from '@ostrin/core/quantity';
import type { PieceNow } from '@ostrin/core/tending';
import { spanOfTime } from '@ostrin/wording';
import { ScrollView, Text, View } from 'react-native';
import { pieceName } from '../store/names';
import { useSettings } from '../store/settings';
import { clockOf, degrees } from '../ui/words';
import { useTendedCook } from './cookContext';
import { windowWords } from './readyWords';

export function PieceChips() {
  const { plan, pieces, litMs, nowMs, state } = useTendedCook().cook;
  const units = useSettings((s) => s.units);
  const zone = plan.request.timeZone;
  const window = ({ readyMin, horizonMin, offMs, phase }: PieceNow): string => {
    if (offMs !== null) {
      return `off ${clockOf(localOf(offMs, zone))}, ${phase === 'resting' ? 'resting' : 'rested'}`;
    }
    if (state.cause.code === 'fire-out') return 'not in sight';
    if (!readyMin || litMs === null) return 'not known yet';
    return windowWords(readyMin, horizonMin, litMs, zone);
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
        <View
          key={p.id}
          testID={`piece-${p.id}`}
          className={`rounded-lg px-3 py-1 ${p.next ? 'border-2 border-pit' : 'border border-rule'}`}
        >
          <Text className="font-sans-bold text-ink text-[14px]">
            {pieceName(plan, i)}
            <Text className="font-sans text-soot">{`  ${reading(p)}`}</Text>
          </Text>
          <Text className="font-slab-semi text-ink text-[14px]">
            {window(p)}
            {p.next ? <Text className="font-sans-semi text-pit">{'  read next'}</Text> : null}
          </Text>
        </View>
      ))}
    </ScrollView>
  );
}
