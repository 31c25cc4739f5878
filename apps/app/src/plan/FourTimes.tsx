/** The four times that matter, on one dark strip. */
import type { Plan } from '@ostrin/core';
import { Text, View } from 'react-native';
import { pieceName } from '../store/names';
import { clockOf } from '../ui/words';

interface Props {
  plan: Plan | null;
  settled: boolean;
  progress: number;
}

/** Figures with a dash between, each a text of its own: in one text with a dash the slab face sets old figures. */
function Figures({ children, size }: { children: string; size: string }) {
  return (
    <View className="flex-row">
      {children.split(/(–)/).map((part, i) => (
        <Text
          key={i}
          numberOfLines={1}
          className={`text-on-pad ${size} ${part === '–' ? 'font-sans-bold' : 'font-slab-bold'}`}
        >
          {part}
        </Text>
      ))}
    </View>
  );
}

function Cell({ label, value }: { label: string; value: string }) {
  return (
    <View>
      <Text className="font-sans text-on-pad text-[14px]">{label}</Text>
      <Figures size="text-[20px]">{value}</Figures>
    </View>
  );
}

/** When to be up, put the meat on, when it is ready and how long it can rest; a line for every meat where there are several; with progress while it is refined. */
export function FourTimes({ plan, settled, progress }: Props) {
  const up = plan?.jobs.find((j) => j.do === 'lay-fire')?.at ?? plan?.lightAt;
  const ready = plan?.ready[0];
  const [low, high] = plan?.restAvailableMin ?? [0, 0];
  const says = settled ? 'ready, 8 in 10' : 'ready, roughly';
  const several = (plan?.ready.length ?? 0) > 1;
  return (
    <View className="bg-pad px-5 py-3" testID="four-times" aria-busy={!settled}>
      <View
        className={`flex-row flex-wrap justify-between gap-x-3 gap-y-2 ${settled ? '' : 'opacity-60'}`}
      >
        <Cell label="get up by" value={up ? clockOf(up) : '–'} />
        {several ? (
          <Cell label="sit down" value={clockOf(plan!.serveAt)} />
        ) : (
          <>
            <Cell label="meat on" value={plan ? clockOf(plan.meatOnAt[0]!) : '–'} />
            <Cell
              label={says}
              value={ready ? `${clockOf(ready.p10)}–${clockOf(ready.p90)}` : '–'}
            />
            <Cell label="rest" value={plan ? hourSpan(low, high) : '–'} />
          </>
        )}
      </View>
      {several ? <EachMeat plan={plan!} says={says} /> : null}
      <View
        className="h-[3px] mt-2 bg-pad"
        role="progressbar"
        aria-label="Progress of the plan"
        aria-valuenow={Math.round(progress * 100)}
      >
        {settled ? null : (
          <View className="h-[3px] bg-on-pad" style={{ width: `${Math.round(progress * 100)}%` }} />
        )}
      </View>
    </View>
  );
}

/** Every meat on a line: when it goes on, when it is ready. */
function EachMeat({ plan, says }: { plan: Plan; says: string }) {
  const row = (key: string, name: string, on: string, ready: string, bold: boolean) => (
    <View key={key} className="flex-row">
      {[name, on, ready].map((text, i) => (
        <View key={i} className={['flex-1', 'w-[72px]', 'w-[112px]'][i]}>
          {bold ? (
            <Figures size="text-[18px]">{text}</Figures>
          ) : (
            <Text numberOfLines={1} className="text-on-pad font-sans text-[14px]">
              {text}
            </Text>
          )}
        </View>
      ))}
    </View>
  );
  return (
    <View className="mt-2">
      {row('', '', 'on', says, false)}
      {plan.ready.map((r, i) =>
        row(
          r.id,
          pieceName(plan, i),
          clockOf(plan.meatOnAt[i]!),
          `${clockOf(r.p10)}–${clockOf(r.p90)}`,
          true,
        ),
      )}
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
