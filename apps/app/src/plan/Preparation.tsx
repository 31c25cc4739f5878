/** What is done to each meat before it goes on, a card for each. */
import type { Plan } from '@ostrin/core';
import { capital } from '@ostrin/wording';
import { memo } from 'react';
import { View } from 'react-native';
import { Fold } from '../ui/Fold';
import { Paragraph } from '../ui/Text';
import { Heading } from '../ui/Title';

export const Preparation = memo(function Preparation({ plan }: { plan: Plan }) {
  const cards = plan.preparation ?? [];
  if (cards.length === 0) return null;
  return (
    <View>
      <Heading>Before the fire</Heading>
      {cards.map((card) => (
        <Fold key={card.meat} label={capital(card.heading)} testID={`prepare-${card.meat}`}>
          <View className="gap-2 pb-2">
            {card.lines.map((line) => (
              <Paragraph key={line}>{line}</Paragraph>
            ))}
          </View>
        </Fold>
      ))}
    </View>
  );
});
