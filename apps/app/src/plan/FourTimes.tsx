/** The four times that matter, on one dark strip. */
import { type Plan } from '@ostrin/core';
import { Text, View } from 'react-native';
import { clockOf } from '../ui/words';

interface Props {
  plan: Plan | null;
  settled: boolean;
  progress: number;
}

function Cell({ label, value }: { label: string; value: string }) {
  return (
    <View>
      <Text className="font-sans text-on-pad text-[14px]">{label}</Text>
      <Text className="font-slab-bold text-on-pad text-[20px]">{value}</Text>
    </View>
  );
}

/** Light, meat on, ready, rest; with progress while it is being refined. */
export function FourTimes({ plan, settled, progress }: Props) {
  const light = plan?.jobs.find((j) => j.id === 'chimney')?.at ?? plan?.lightAt;
  const ready = plan?.ready[0];
  const [low, high] = plan?.restAvailableMin ?? [0, 0];
  return (
    <View className="bg-pad px-5 py-3" testID="four-times" aria-busy={!settled}>
      <View className="flex-row flex-wrap justify-between gap-x-3 gap-y-2">
        <Cell label="light" value={light ? clockOf(light) : '–'} />
        <Cell label="meat on" value={plan ? clockOf(plan.meatOnAt[0]!) : '–'} />
        <Cell
          label={settled ? 'ready, 8 in 10' : 'ready, roughly'}
          value={ready ? `${clockOf(ready.p10)}–${clockOf(ready.p90)}` : '–'}
        />
        <Cell label="rest" value={plan ? hourSpan(low, high) : '–'} />
      </View>
      <View
        className="h-[3px] mt-2 bg-pad"
        role="progressbar"
        aria-valuenow={Math.round(progress * 100)}
      >
        {settled ? null : (
          <View className="h-[3px] bg-on-pad" style={{ width: `${Math.round(progress * 100)}%` }} />
        )}
      </View>
    </View>
  );
}

const QUARTERS = ['', '¼', '½', '¾'];

/** Two lengths of time as hours in quarters: `1–3¼ h`. */
export function hourSpan(lowMin: number, highMin: number): string {
  const say = (minutes: number): string => {
    const q = Math.round(minutes / 15);
    return `${q >= 4 || q === 0 ? Math.floor(q / 4) : ''}${QUARTERS[q % 4]!}`;
  };
  return `${say(lowMin)}–${say(highMin)} h`;
}
