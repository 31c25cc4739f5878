/** One cook of the list: what it was, its pit against its band, when it was ready, and how it was. */
import { cutOf } from '@ostrin/core/catalogue';
import { localOf, MINUTE_MS } from '@ostrin/core/quantity';
import type { Glance } from '@ostrin/core/afterwards';
import type { CookSummary } from '@ostrin/contract/types';
import { firstNames, spanOfTime } from '@ostrin/wording';
import { cookVerdictWords, soMuchLater } from '@ostrin/wording/afterwards';
import { Link } from 'expo-router';
import { memo } from 'react';
import { Pressable, Text, View } from 'react-native';
import { dayOf, deviceZone, keepUnitsTogether } from '../ui/words';
import { cutsOf } from './findCooks';
import { SmallTrace } from './SmallTrace';

interface Props {
  cook: CookSummary;
  /** Whether it is chosen for comparing; left out while nothing is chosen. */
  chosen?: boolean;
  onChoose: (id: string) => void;
}

/** Cuts that are named in a row; of more it says how many. */
const NAMED_CUTS = 2;

/** What lay on the grate: `2 mutton shoulders for 10`. */
function meatWords(cook: CookSummary): string {
  const cuts = cutsOf(cook);
  const first = cutOf(cuts[0]!);
  if (cuts.length === 1) {
    return `${cook.pieces} ${cook.pieces === 1 ? first.name : first.plural} for ${cook.people}`;
  }
  const names = cuts.map((id) => cutOf(id).name);
  return `${firstNames(names, NAMED_CUTS)} for ${cook.people}`;
}

/** How it went: `91 % in band · off 25 min earlier than planned`. */
function heldWords({ inBandFraction, ready }: Glance): string {
  const held =
    inBandFraction === null ? 'no readings' : `${Math.round(100 * inBandFraction)} % in band`;
  if (ready.actual === null) return held;
  const late = (ready.actual - ready.planned) / MINUTE_MS;
  return `${held} · off ${soMuchLater(late, ['later', 'earlier'], 'as planned')}`;
}

export const CookRow = memo(function CookRow({ cook, chosen, onChoose }: Props) {
  const { glance } = cook;
  const comparing = chosen !== undefined;
  const row = (
    <Pressable
      role={comparing ? 'checkbox' : 'link'}
      aria-checked={comparing ? chosen : undefined}
      onPress={comparing ? () => onChoose(cook.id) : undefined}
      className={`min-h-[64px] gap-1 border-b border-rule py-3 active:opacity-70 ${chosen ? 'border-l-4 border-l-pit pl-3' : ''}`}
    >
      <View className="flex-row items-center gap-3">
        <View className="flex-1">
          <Text className="font-slab-semi text-ink text-[19px] leading-[24px]">{cook.name}</Text>
          <Text className="font-sans text-soot text-[16px] leading-[21px]">
            {keepUnitsTogether(
              `${dayOf(localOf(cook.startMs, deviceZone))} · ${cook.pitName} · ${meatWords(cook)} · ${
                cook.finishedAt === null
                  ? 'under way'
                  : spanOfTime((cook.finishedAt - cook.startMs) / MINUTE_MS)
              }`,
            )}
          </Text>
        </View>
        {glance ? <SmallTrace traceC={glance.traceC} bandC={glance.bandC} /> : null}
      </View>
      {glance ? (
        <Text className="font-sans text-ink text-[16px] leading-[21px]">
          {keepUnitsTogether(
            [heldWords(glance), cookVerdictWords(glance.verdict)].filter(Boolean).join(' · '),
          )}
        </Text>
      ) : null}
    </Pressable>
  );
  if (comparing) return row;
  const href = cook.finishedAt === null ? '/tend' : (`/log/${cook.id}` as const);
  return (
    <Link href={href} asChild>
      {row}
    </Link>
  );
});
