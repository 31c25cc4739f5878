/** A card for each meat under a heading: what is done to it before it goes on, or how it waits after it came off. */
import { capital } from '@ostrin/wording';
import { memo } from 'react';
import { View } from 'react-native';
import { Fold } from '../ui/Fold';
import { Paragraph } from '../ui/Text';
import { Heading } from '../ui/Title';

interface Props {
  heading: string;
  cards: readonly { meat: string; heading: string; lines: readonly string[] }[] | undefined;
  /** Begins the test id of each card. */
  name: string;
}

export const Cards = memo(function Cards({ heading, cards = [], name }: Props) {
  if (cards.length === 0) return null;
  return (
    <View>
      <Heading>{heading}</Heading>
      {cards.map((card) => (
        <Fold key={card.meat} label={capital(card.heading)} testID={`${name}-${card.meat}`}>
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
