/** Two to four cooks on one strip, with what differs and what explains it. */
import type { NotTold } from '@ostrin/core/afterwards';
import { useMemo, useState } from 'react';
import { ScrollView, Text, View } from 'react-native';
import { askComparedTimes } from '../api/core';
import { useWholeCooks, type CookView } from '../api/queries';
import { useSettings } from '../store/settings';
import { Strip } from '../strip/Strip';
import { BackLink } from '../ui/BackLink';
import { TitledChoice } from '../ui/Choice';
import { useLayout } from '../ui/layout';
import { Notice } from '../ui/Notice';
import { useTheme } from '../ui/theme';
import { Heading, Subhead, Title } from '../ui/Title';
import { Paragraph, SmallText } from '../ui/Text';
import { CausesList } from './CausesList';
import {
  ALIGNMENTS,
  coloursOf,
  comparedCook,
  comparedRows,
  comparedStrip,
  MOST_COMPARED,
  type Alignment,
  type ComparedCook,
} from './compared';
import { useWorkedOut } from '../api/useWorkedOut';

export function CompareScreen({ ids }: { ids: readonly string[] }) {
  const asked = useWholeCooks(ids.slice(0, MOST_COMPARED));
  const failed = asked.find((q) => q.isError);
  const views = asked.flatMap((q) => (q.data ? [q.data] : []));
  if (failed || ids.length < 2) {
    return (
      <View className="p-5 gap-4">
        <BackLink href="/log" label="All cooks" />
        <Notice tone="warn" title="These cooks cannot be compared">
          {failed?.error?.message ?? 'Choose two to four cooks in the log.'}
        </Notice>
      </View>
    );
  }
  if (views.length < asked.length) {
    return (
      <View className="p-5">
        <Text className="font-sans text-soot text-[16px]">Opening the logs.</Text>
      </View>
    );
  }
  return <Compared views={views} />;
}

function Compared({ views }: { views: readonly CookView[] }) {
  const theme = useTheme();
  const units = useSettings((s) => s.units);
  const { width, wide } = useLayout();
  const [by, setBy] = useState<Alignment>('meat-on');
  const key = views.map((v) => `${v.id} ${v.entries.length} ${v.readings.length}`).join(',');
  // eslint-disable-next-line react-hooks/exhaustive-deps -- The documents are the same while the key is.
  const cooks = useMemo(() => views.map(comparedCook), [key]);
  const data = useMemo(() => comparedStrip(cooks, by, theme), [cooks, by, theme]);
  return (
    <ScrollView className="flex-1" contentContainerClassName="pb-8 gap-6">
      <View className="px-5 pt-2 gap-3 max-w-[760px]">
        <BackLink href="/log" label="All cooks" />
        <Title>{`${cooks.length} cooks compared`}</Title>
        <Legend cooks={cooks} />
        <TitledChoice
          label="Line them up by"
          columns={3}
          options={ALIGNMENTS}
          value={by}
          onChange={setBy}
        />
        <SmallText>
          {`Thick: the pit. Thin: the middle of the first piece. ${
            by === 'clock'
              ? 'Time of day.'
              : `Hours after ${by === 'lighting' ? 'lighting' : 'the meat went on'}.`
          }${data.bands.length === 0 ? ' Their bands differ and are not drawn.' : ''}`}
        </SmallText>
      </View>
      <Strip
        data={data}
        width={wide ? Math.min(width - 160, 1140) : width}
        height={wide ? 520 : 620}
        down={!wide}
        units={units}
        timeZone="UTC"
      />
      <Differences cooks={cooks} />
      <Explained cooks={cooks} id={key} />
    </ScrollView>
  );
}

/** Which number and colour is which cook. */
function Legend({ cooks }: { cooks: readonly ComparedCook[] }) {
  const colours = coloursOf(useTheme());
  return (
    <View className="gap-1">
      {cooks.map(({ cook }, i) => (
        <View key={cook.id} className="flex-row items-center gap-3">
          <View style={{ width: 24, height: 4, backgroundColor: colours[i] }} />
          <Text className="font-sans text-ink text-[16px] leading-[22px] flex-1">
            {`${i + 1}  ${cook.name}`}
          </Text>
        </View>
      ))}
    </View>
  );
}

/** Figure by figure; what differs is in ink, what is the same in soot. */
function Differences({ cooks }: { cooks: readonly ComparedCook[] }) {
  const units = useSettings((s) => s.units);
  const rows = useMemo(() => comparedRows(cooks, units), [cooks, units]);
  return (
    <View className="px-5 gap-1 max-w-[760px]" role="table" aria-label="Figures">
      <Heading>What differs</Heading>
      <View role="row" className="flex-row gap-2 py-1">
        <Text role="columnheader" className="font-sans text-soot text-[14px] w-[84px]" />
        {cooks.map(({ cook }, i) => (
          <Text
            key={cook.id}
            role="columnheader"
            accessibilityLabel={cook.name}
            className="font-slab-semi text-ink text-[18px] flex-1"
          >
            {i + 1}
          </Text>
        ))}
      </View>
      {rows.map(({ name, values, differ }) => (
        <View role="row" key={name} className="flex-row gap-2 border-b border-rule py-2">
          <Text
            role="rowheader"
            className="font-sans text-soot text-[14px] leading-[19px] w-[84px]"
          >
            {name}
          </Text>
          {values.map((value, i) => (
            <Text
              role="cell"
              key={cooks[i]!.cook.id}
              className={`text-[14px] leading-[19px] flex-1 ${differ ? 'font-sans-semi text-ink' : 'font-sans text-soot'}`}
            >
              {value}
            </Text>
          ))}
        </View>
      ))}
    </View>
  );
}

/** Why a difference cannot be told. */
const NOT_TOLD: Readonly<Record<NotTold, string>> = {
  'not-logged': 'One of the two logs does not say when its first piece went on and came off.',
  'never-done': 'In the pit of one of these cooks the piece would never have been done.',
};

/** What makes each cook longer or shorter on the grate than the first, as far as the engine can tell. */
function Explained({ cooks, id }: { cooks: readonly ComparedCook[]; id: string }) {
  const { answer, busy, failure } = useWorkedOut(id, () =>
    askComparedTimes(
      cooks.map(({ cook: { plan, entries, readings } }) => ({
        plan: { scenarios: plan.scenarios, request: plan.request },
        entries,
        readings,
      })),
    ),
  );
  return (
    <View className="px-5 gap-3 max-w-[760px]" testID="explained">
      <Heading>What explains it</Heading>
      {busy ? <Paragraph>Simulating each piece in the other pits.</Paragraph> : null}
      {failure ? (
        <Notice tone="warn" title="This could not be worked out">
          {failure}
        </Notice>
      ) : null}
      {answer?.map((causes, i) => {
        const other = cooks[i + 1]!;
        return (
          <View key={other.cook.id} className="gap-1">
            <Subhead>{`${i + 2}, beside 1`}</Subhead>
            {typeof causes === 'string' ? (
              <Paragraph>{NOT_TOLD[causes]}</Paragraph>
            ) : (
              <CausesList causes={causes} />
            )}
          </View>
        );
      })}
      <SmallText>
        The first piece of each is taken over into the other cook step by step: its meat, then the
        air of the pit as it was read, then when it was wrapped. What is left is the piece itself
        and when somebody took it off.
      </SmallText>
    </View>
  );
}
