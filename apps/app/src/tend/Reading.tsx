/** The reading at arm's length, where it stands in its band, and what the fire is doing and why. */
import {
  fromC,
  localOf,
  MINUTE_MS,
  spanFromK,
  type Diagnosis,
  type Forecast,
  type Plan,
  type ReadingRow,
} from '@ostrin/core';
import { TREND_WORDS, causeWords, spanOfTime } from '@ostrin/wording';
import { Pressable, Text, View } from 'react-native';
import { lastValue } from '../strip/model';
import { useSettings } from '../store/settings';
import { useLayout } from '../ui/layout';
import { clockOf, degrees, roughClock } from '../ui/words';
import { BandScale } from './BandScale';

interface Props {
  plan: Plan;
  name: string;
  pitName: string;
  readings: readonly ReadingRow[];
  /** When it is ready, in words. */
  ready: string;
  practice: boolean;
  /** When people sit down, epoch ms. */
  serveMs: number;
  /** Where the number comes from, where that is not the probe at the grate. */
  source: string | null;
  now: number;
  lit: number | null;
  state: Diagnosis;
  forecast: Forecast | null;
  stale: boolean;
  speed: number;
  onRun: () => void;
  onMeat: () => void;
}

/** After this long without a value the number is marked as old: of a thermometer by wire, and of one read by hand. */
const OLD_MIN = { byWire: 3, byHand: 45 };

/** What else decides what is said of the time it is ready. */
interface ReadyContext {
  /** When the first piece came off, epoch ms; null while it has not. */
  offMs?: number | null;
  /** Whether the fire is out. */
  out?: boolean;
}

/** When it is ready, in words: the forecast's window once there is one. */
export function readyWords(
  plan: Plan,
  forecast: Forecast | null,
  litMs: number | null,
  { offMs = null, out = false }: ReadyContext = {},
): string {
  const zone = plan.request.timeZone;
  if (offMs !== null) return `off ${clockOf(localOf(offMs, zone))}`;
  if (out) return 'not in sight';
  if (forecast?.readyMin && litMs !== null) {
    const say = (min: number): string => roughClock(litMs + min * MINUTE_MS, zone);
    return `ready ${say(forecast.readyMin[0])}–${say(forecast.readyMin[2])}`;
  }
  // What the plan said holds only until the fire burns.
  if (litMs !== null && forecast) return 'not in sight';
  const r = plan.ready[0]!;
  return `ready ${clockOf(r.p10)}–${clockOf(r.p90)}`;
}

/** How much later than it has to be the food is likely to be, min; 0 where it is in time. */
export function lateMin(
  plan: Plan,
  forecast: Forecast | null,
  litMs: number | null,
  serveMs: number,
): number {
  if (!forecast?.readyMin || litMs === null) return 0;
  const rest = plan.request.meats[0]!.rest.minutes;
  const latest = serveMs - rest * MINUTE_MS;
  return Math.max(0, (litMs + forecast.readyMin[1] * MINUTE_MS - latest) / MINUTE_MS);
}

/** Lateness under this is not worth a word, min. */
const LATE_MIN = 10;

export function Reading(p: Props) {
  const units = useSettings((s) => s.units);
  const { wide } = useLayout();
  const points = p.readings.map((r) => ({ t: r.at, c: r.pitC }));
  const last = lastValue(points, p.now);
  const core = lastValue(
    p.readings.map((r) => ({ t: r.at, c: r.coreC })),
    p.now,
  );
  const ageMin = last === null ? 0 : (p.now - last.t) / MINUTE_MS;
  const old = ageMin > (p.practice ? OLD_MIN.byWire : OLD_MIN.byHand);
  const late = lateMin(p.plan, p.forecast, p.lit, p.serveMs);
  const serve = `serve ${clockOf(localOf(p.serveMs, p.plan.request.timeZone))}`;
  const change = p.state.changeK;
  const moved =
    change !== null &&
    (p.state.trend === 'rising' || p.state.trend === 'falling' || p.state.trend === 'coming-up')
      ? `, ${Math.abs(Math.round(spanFromK(change, units.temperature)))}° in 10 min`
      : '';
  const pace = p.plan.request.pits[0]!.pace;
  const elapsed = p.lit === null ? 'not lit' : spanOfTime((p.now - p.lit) / MINUTE_MS);
  return (
    <View className="gap-1">
      <View className="flex-row items-start justify-between gap-3">
        <Pressable
          role="button"
          accessibilityLabel={`${p.name}: clock and finishing`}
          testID="this-cook"
          onPress={p.onRun}
          className="flex-1 min-h-[48px] active:opacity-70"
        >
          <Text
            role="heading"
            aria-level={1}
            numberOfLines={1}
            className="font-slab-semi text-ink text-[20px]"
          >
            {p.name}
          </Text>
          <Text numberOfLines={1} className="font-sans text-soot text-[14px]">
            {wide ? `${p.pitName} · ${elapsed} · ` : `${elapsed} · `}
            <Text className="font-sans-semi text-ink underline">
              {p.practice ? `practice, ${p.speed}× clock` : 'this cook'}
            </Text>
          </Text>
        </Pressable>
        <View className="items-end">
          <Text className="font-sans text-soot text-[14px]">
            {late > LATE_MIN ? `${serve}, likely ${spanOfTime(late)} late` : serve}
          </Text>
          <Text className="font-slab-semi text-ink text-[18px]" testID="ready">
            {p.ready}
          </Text>
        </View>
      </View>
      <View className="flex-row items-center gap-4">
        <Text
          testID="pit-reading"
          aria-label={`Pit ${last ? degrees(last.c, units) : 'no reading'}${p.stale || old ? ', old reading' : ''}`}
          className={`font-slab-semi text-[80px] leading-[84px] ${p.stale || old ? 'text-soot' : 'text-ink'}`}
          style={{ fontVariant: ['tabular-nums', 'lining-nums'] }}
        >
          {degrees(last?.c, units)}
        </Text>
        <View className="flex-1">
          <Text className="font-sans-bold text-ink text-[18px]">
            {p.stale || old
              ? `Old reading, ${spanOfTime(ageMin)} ago`
              : p.state.cause.code === 'no-reading'
                ? 'No reading'
                : TREND_WORDS[p.state.trend] + moved}
          </Text>
          <Text className="font-sans text-soot text-[16px] leading-[21px]">
            {causeWords(p.state.cause, p.plan.request.pits[0]!)}
          </Text>
          {p.source ? (
            <Text testID="reading-source" className="font-sans text-soot text-[14px]">
              {p.source}
            </Text>
          ) : null}
          <Pressable
            role="button"
            accessibilityLabel={`Meat${core ? ` ${degrees(core.c, units)}` : ''}: how it stands, wrapping, what is safe`}
            testID="meat-reading"
            onPress={p.onMeat}
            className="min-h-[48px] justify-center self-start active:opacity-70"
          >
            <Text className="font-sans-semi text-ink text-[16px] underline">
              {core ? `Meat ${degrees(core.c, units)}` : 'Meat'}
            </Text>
          </Pressable>
        </View>
      </View>
      {wide ? null : (
        <BandScale
          valueC={last?.c ?? null}
          lowC={pace.pitC - pace.bandC}
          highC={pace.pitC + pace.bandC}
          say={(c) => String(Math.round(fromC(c, units.temperature)))}
        />
      )}
    </View>
  );
}
