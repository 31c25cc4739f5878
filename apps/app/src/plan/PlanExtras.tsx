/** What goes with a plan besides its fire and its jobs: the watch, the shopping, what could go wrong, what is safe. */
import { fuelWorth } from '@ostrin/core';
import { METRIC } from '@ostrin/core/quantity';
import {
  capital,
  countWords,
  massWords,
  pitName,
  plateWords,
  visitWords,
  type WordedPlan,
} from '@ostrin/wording';
import { memo } from 'react';
import { Text, View } from 'react-native';
import { Heading } from '../ui/Title';
import { clockOf } from '../ui/words';
import { Paragraph, SmallText } from '../ui/Text';

/** When somebody must be there, and who. */
export const Watch = memo(function Watch({ plan }: { plan: WordedPlan }) {
  const { shifts } = plan.watch;
  return (
    <View className="gap-1">
      <Heading>Your shift</Heading>
      {visitWords(plan).map((line) => (
        <Paragraph key={line}>{line}</Paragraph>
      ))}
      {shifts.map((s) => (
        <Paragraph
          key={s.name}
        >{`${s.name}: ${clockOf(s.from)} to ${clockOf(s.to)}, ${countWords(s.visits, 'visit', 'visits')}.`}</Paragraph>
      ))}
      {plan.fires.map((f) =>
        f.inBandFraction === undefined ? null : (
          <Paragraph
            key={f.pit}
          >{`${plan.fires.length > 1 ? capital(pitName(plan, f.pit)) : 'The pit'} is in its band about ${Math.round(100 * f.inBandFraction)} minutes in 100 once it has settled.`}</Paragraph>
        ),
      )}
      <Paragraph>{`Chance of being late: about ${Math.round(plan.chanceLateFraction * 100)} in 100.`}</Paragraph>
    </View>
  );
});

/** What it takes, what is there, what to buy. */
export const Shopping = memo(function Shopping({ plan }: { plan: WordedPlan }) {
  const units = plan.request.units ?? METRIC;
  return (
    <View className="gap-1">
      <Heading>Shopping</Heading>
      {plan.shopping.map((s) => (
        <View key={s.item}>
          <Paragraph>{`${s.item}: ${s.amount}`}</Paragraph>
          {s.buy || s.onShelf ? <SmallText>{shelfWords(s)}</SmallText> : null}
        </View>
      ))}
      {plan.cost === null ? null : (
        <Paragraph>{`Fuel to buy: ${plan.cost.toFixed(2)}. The fuel it burns is worth ${(fuelWorth(plan) ?? 0).toFixed(2)}.`}</Paragraph>
      )}
      {plan.plate ? <Paragraph>{plateWords(plan.plate)}</Paragraph> : null}
      <Paragraph>{`Gives ${massWords(plan.cookedKg[0], units)} to ${massWords(plan.cookedKg[1], units)} cooked and off the bone.`}</Paragraph>
    </View>
  );
});

/** What of it is there, what to buy, and what that costs at the user's own prices. */
const shelfWords = (s: WordedPlan['shopping'][number]): string =>
  [
    s.onShelf ? `${s.onShelf} on the shelf` : '',
    s.buy ? (s.onShelf && !s.buy.startsWith('nothing') ? `buy ${s.buy}` : s.buy) : '',
    s.cost ? `${s.cost.toFixed(2)}` : '',
  ]
    .filter(Boolean)
    .join(' · ');

/** The likeliest troubles, and plan B. */
export const Risks = memo(function Risks({ plan }: { plan: WordedPlan }) {
  return (
    <View className="gap-2">
      <Heading>What could go wrong</Heading>
      {plan.risks.map((r) => (
        <View key={r.sign}>
          <Text className="font-sans-semi text-ink text-[16px]">{r.sign}</Text>
          <Paragraph>{r.move}</Paragraph>
          {r.why ? <SmallText>{r.why}</SmallText> : null}
        </View>
      ))}
      <Text className="font-sans-semi text-ink text-[16px]">Plan B</Text>
      {plan.planB.map((b) => (
        <Paragraph key={b}>{b}</Paragraph>
      ))}
    </View>
  );
});

/** What is not safe about eating it as planned; nothing where there is nothing to say. */
export const Cautions = memo(function Cautions({ plan }: { plan: WordedPlan }) {
  if (plan.cautions.length === 0) return null;
  return (
    <View className="gap-2">
      <Heading>Food safety</Heading>
      {plan.cautions.map((c) => (
        <Paragraph key={c}>{c}</Paragraph>
      ))}
    </View>
  );
});
