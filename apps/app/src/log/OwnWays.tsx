/** What was learned of one's own ways, meat and fuel from all cooks, each with how many stand behind it. */
import { CHARCOALS, cutOf } from '@ostrin/core/catalogue';
import { foldLog } from '@ostrin/core/log';
import {
  afterwardsOf,
  learnedBurns,
  learnedWays,
  type BurnOfCook,
  type LearnedWay,
} from '@ostrin/core/afterwards';
import { capital } from '@ostrin/wording';
import { burnWords, patienceWords, trimWords, yieldWords } from '@ostrin/wording/afterwards';
import { useMemo } from 'react';
import { View } from 'react-native';
import { askFuelUse } from '../api/core';
import { fetchCook, useCooks } from '../api/queries';
import { useWorkedOut } from '../api/useWorkedOut';
import { useSettings } from '../store/settings';
import { Heading } from '../ui/Title';
import { Paragraph, SmallText } from '../ui/Text';

/** As many of the newest cooks with weighed fuel as are simulated. */
const MOST_WEIGHED = 5;

/** What the scale and the simulated fire say of one cook; null where its fire was never lit. */
async function burnOf(id: string): Promise<BurnOfCook | null> {
  const cook = await fetchCook(id);
  const log = foldLog(cook.entries);
  const end = cook.finishedAt ?? cook.clock.cookMs;
  const use = await askFuelUse({ scenarios: cook.plan.scenarios }, log, end);
  const { fuelLeftKg } = afterwardsOf(cook.entries);
  if (!use || fuelLeftKg === null) return null;
  const { charcoalGivenKg, charcoalBurntKg } = use;
  return {
    fuel: cook.plan.fires[0].fuel,
    givenKg: charcoalGivenKg,
    leftKg: fuelLeftKg,
    burntKg: charcoalBurntKg,
  };
}

export function OwnWays() {
  const units = useSettings((s) => s.units);
  const cooks = useCooks().data;
  const told = useMemo(() => (cooks ?? []).filter((c) => c.glance?.ways), [cooks]);
  const ways = useMemo(() => learnedWays(told.map((c) => c.glance!.ways)), [told]);
  const weighed = told.filter((c) => c.glance!.ways.fuelLeftKg !== null).slice(0, MOST_WEIGHED);
  const burns = useWorkedOut(
    weighed.length > 0 ? weighed.map((c) => c.id).join() : null,
    async () => {
      const all = await Promise.all(weighed.map((c) => burnOf(c.id)));
      return learnedBurns(all.filter((b) => b !== null));
    },
  ).answer;
  const of = (name: string, way: LearnedWay | null, words: (w: LearnedWay) => string): string[] =>
    way ? [`${name}: ${words(way)}`] : [];
  const lines = [
    ...of('How often you adjust', ways.patienceK, (w) => patienceWords(w, units)),
    ...ways.cuts.flatMap(({ cut, trimFraction, yieldFraction }) => [
      ...of(capital(cutOf(cut).name), trimFraction, trimWords),
      ...of(capital(cutOf(cut).name), yieldFraction, yieldWords),
    ]),
    ...Object.entries(burns ?? {}).flatMap(([fuel, way]) =>
      of(capital(CHARCOALS[fuel as keyof typeof CHARCOALS].name), way, burnWords),
    ),
  ];
  return (
    <View className="gap-1" testID="own-ways">
      <Heading>Learned from your cooks</Heading>
      {lines.map((line) => (
        <Paragraph key={line}>{line}</Paragraph>
      ))}
      <SmallText>
        Weigh your pieces and the leftover charcoal on the page of a finished cook: what you trim,
        what comes off the fire and how fast your fuel burns then appear here.
      </SmallText>
    </View>
  );
}
