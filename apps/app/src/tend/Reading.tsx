/** The reading at arm's length, where it stands in its band, and what the fire is doing and why. */
import { leadMeat, pitOf } from '@ostrin/core';
import { latenessMin, leadPiece } from '@ostrin/core/tending';
import { fromC, MINUTE_MS, spanFromK } from '@ostrin/core/quantity';
import { spanOfTime, stateWords, trendWords } from '@ostrin/wording';
import type { ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';
import { lastValue } from '../strip/model';
import { useLive } from '../store/live';
import { useSettings } from '../store/settings';
import { useLayout } from '../ui/layout';
import { clockFrom, degrees } from '../ui/words';
import { BandScale } from './BandScale';
import { DisagreementLine } from './DisagreementLine';
import { useTendedCook } from './cookContext';
import { readyNow, sourceWords } from './useCookNow';
import { useSoundBlocked } from './useSoundBlocked';

interface Props {
  /** What is shown in the place of the state of the fire; null for the state. */
  instead: ReactNode;
  onRun: () => void;
  onMeat: () => void;
}

/** After this long without a value the number is marked as old: of a thermometer by wire, and of one read by hand. */
const OLD_MIN = { byWire: 3, byHand: 45 };

/** Lateness under this is not worth a word, min. */
const LATE_MIN = 10;

export function Reading({ instead, onRun, onMeat }: Props) {
  const { cook, orders } = useTendedCook();
  const { plan, readings, nowMs, litMs, state, serveMs } = cook;
  const live = useLive();
  const practice = live.fire === 'practice';
  const stale = live.connection === 'lost';
  const units = useSettings((s) => s.units);
  const { wide } = useLayout();
  const points = readings.map((r) => ({ t: r.at, c: r.pitC }));
  const last = lastValue(points, nowMs);
  const core = lastValue(
    readings.map((r) => ({ t: r.at, c: r.coreC })),
    nowMs,
  );
  const source = sourceWords(cook, units);
  const ageMin = last === null ? 0 : (nowMs - last.t) / MINUTE_MS;
  const byWire = practice || cook.wire.some((r) => r.at === last?.t);
  const old = ageMin > (byWire ? OLD_MIN.byWire : OLD_MIN.byHand);
  const late = latenessMin(plan.request, leadMeat(plan), leadPiece(cook).readyMin, litMs, serveMs);
  const serve = `serve ${clockFrom(serveMs, nowMs, plan.request.timeZone)}`;
  const change = state.changeK;
  const moved =
    change !== null &&
    state.cause.code !== 'fire-out' &&
    (state.trend === 'rising' || state.trend === 'falling' || state.trend === 'coming-up')
      ? ` ${Math.abs(Math.round(spanFromK(change, units.temperature)))}° in 10 min`
      : '';
  const pace = pitOf(plan).pace;
  const elapsed = litMs === null ? 'not lit' : spanOfTime((nowMs - litMs) / MINUTE_MS);
  return (
    <View className="gap-1">
      <View className="flex-row items-start justify-between gap-3">
        <CookName elapsed={elapsed} onRun={onRun} />
        <View className="items-end">
          <Text className="font-sans text-soot text-[14px]">
            {late > LATE_MIN ? `${serve}, likely ${spanOfTime(late)} late` : serve}
          </Text>
          <Text className="font-slab-semi text-ink text-[18px]" testID="ready">
            {readyNow(cook)}
          </Text>
        </View>
      </View>
      <View className="flex-row items-center gap-4">
        <Text
          testID="pit-reading"
          aria-label={`Pit ${last ? degrees(last.c, units) : 'no reading'}${stale || old ? ', old reading' : ''}`}
          className={`font-slab-semi text-[80px] leading-[84px] ${stale || old ? 'text-soot' : 'text-ink'}`}
          style={{ fontVariant: ['tabular-nums', 'lining-nums'] }}
        >
          {degrees(last?.c, units)}
        </Text>
        <View className="flex-1">
          {instead ?? (
            <>
              <Text className="font-sans-bold text-ink text-[18px]">
                {stale || old
                  ? `Old reading, ${spanOfTime(ageMin)} ago`
                  : trendWords(state) + moved}
              </Text>
              <Text className="font-sans text-soot text-[16px] leading-[21px]">
                {stateWords(state.cause, pitOf(plan), orders.comesBack)}
              </Text>
            </>
          )}
          {source ? (
            <Text testID="reading-source" className="font-sans text-soot text-[14px]">
              {source}
            </Text>
          ) : null}
          {practice ? null : <DisagreementLine />}
          {cook.pieces.length > 1 ? null : (
            <Pressable
              role="button"
              accessibilityLabel={`Meat${core ? ` ${degrees(core.c, units)}` : ''}: progress, wrapping, food safety`}
              testID="meat-reading"
              onPress={onMeat}
              className="min-h-[48px] justify-center self-start active:opacity-70"
            >
              <Text className="font-sans-semi text-ink text-[16px] underline">
                {core ? `Meat ${degrees(core.c, units)}` : 'Meat'}
              </Text>
            </Pressable>
          )}
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

/** What the cook is called, how long its fire has burnt, what clock it goes by, and who tends; a touch opens it. */
function CookName({ elapsed, onRun }: { elapsed: string } & Pick<Props, 'onRun'>) {
  const { cook } = useTendedCook();
  const live = useLive();
  const soundBlocked = useSoundBlocked();
  const { wide } = useLayout();
  const practice = live.fire === 'practice';
  return (
    <Pressable
      role="button"
      accessibilityLabel={`${live.name}: clock and finishing`}
      testID="this-cook"
      onPress={onRun}
      className="flex-1 min-h-[48px] active:opacity-70"
    >
      <Text
        role="heading"
        aria-level={1}
        numberOfLines={1}
        className="font-slab-semi text-ink text-[20px]"
      >
        {live.name}
      </Text>
      <Text numberOfLines={1} className="font-sans text-soot text-[14px]">
        {wide ? `${live.pitName} · ${elapsed} · ` : `${elapsed} · `}
        <Text className="font-sans-semi text-ink underline">
          {practice ? `practice, ${live.clock?.speed ?? 1}× clock` : 'this cook'}
        </Text>
        {soundBlocked ? ' · no sound until touched' : ''}
        {cook.shift.holder ? ` · ${cook.shift.holder} tends` : ''}
      </Text>
    </Pressable>
  );
}
