/** A chip for each piece on the pit: its name, its last reading and its own window. */
import { localOf, MINUTE_MS, type Plan } from '@ostrin/core';
import { spanOfTime } from '@ostrin/wording';
import { ScrollView, Text, View } from 'react-native';
import { useSettings } from '../store/settings';
import { clockOf, degrees, roughClock } from '../ui/words';
import type { PieceNow } from './usePieces';

interface Props {
  plan: Plan;
  pieces: readonly PieceNow[];
  /** When the fire was lit, epoch ms; null before that. */
  lit: number | null;
  now: number;
}

export function PieceChips({ plan, pieces, lit, now }: Props) {
  const units = useSettings((s) => s.units);
  const zone = plan.request.timeZone;
  const window = ({ readyMin, offMs }: PieceNow): string => {
    if (offMs !== null) return `off ${clockOf(localOf(offMs, zone))}`;
    if (!readyMin || lit === null) return 'not known yet';
    const at = (min: number): string => roughClock(lit + min * MINUTE_MS, zone);
    return `${at(readyMin[0])}–${at(readyMin[2])}`;
  };
  const reading = ({ read, muscles }: PieceNow): string => {
    if (!read) return 'not read';
    if (muscles.length > 1) {
      return muscles.map((r) => `${r.muscle} ${degrees(r.c, units)}`).join(', ');
    }
    const min = (now - read.at) / MINUTE_MS;
    return `${degrees(read.c, units)}${min < 5 ? '' : `, ${spanOfTime(min)} ago`}`;
  };
  return (
    <ScrollView horizontal className="grow-0" contentContainerClassName="gap-2">
      {pieces.map((p) => (
        <View
          key={p.id}
          testID={`piece-${p.id}`}
          className={`rounded-lg px-3 py-1 ${p.next ? 'border-2 border-pit' : 'border border-rule'}`}
        >
          <Text className="font-sans-bold text-ink text-[14px]">
            {p.name}
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
