/** One pit: its drawing, its figures, and its vent card. */
import { pitWith, presetOf, type CookerParameters, type VentsTold } from '@ostrin/core/catalogue';
import { capital, massWords } from '@ostrin/wording';
import type { PitRecord, Versioned } from '@ostrin/contract/types';
import { useState } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { usePits, useSavePit } from '../api/queries';
import { PitDrawing } from '../drawings/PitDrawing';
import { useSettings } from '../store/settings';
import { BackLink } from '../ui/BackLink';
import { Button } from '../ui/Button';
import { useLayout } from '../ui/layout';
import { Notice } from '../ui/Notice';
import { Heading, Title } from '../ui/Title';
import { FigureSheet } from './FigureSheet';
import { figuresOf, figureWords, type Figure } from './figures';
import { KeepPit } from './KeepPit';
import { LearnPit } from './LearnPit';
import { ScalesOfVents } from './ScalesOfVents';
import { useVentCard } from './useVentCard';
import { CardLegend, CardTable, VentCardChart } from './VentCard';

export function PitScreen({ id }: { id: string }) {
  const pits = usePits();
  const pit = pits.data?.find((p) => p.id === id);
  if (!pit) {
    return (
      <View className="p-5 gap-4">
        <Back />
        {pits.isError ? (
          <Notice tone="warn" title="The yard could not be read">
            {pits.error.message}
          </Notice>
        ) : (
          <Text className="font-sans text-ink text-[16px]">
            {pits.isLoading ? 'Opening the yard.' : 'There is no such pit in the yard.'}
          </Text>
        )}
      </View>
    );
  }
  return <PitPage pit={pit} />;
}

const Back = () => <BackLink href="/yard" label="All pits" />;

function PitPage({ pit }: { pit: Versioned<PitRecord> }) {
  const { wide, width } = useLayout();
  const preset = presetOf(pit.preset);
  const units = useSettings((s) => s.units);
  const save = useSavePit();
  const column = wide ? 440 : width - 40;
  const setTold = (told: VentsTold): void =>
    save.mutate({ base: pit, pit: { ...pit, ventScales: undefined, ...told } });
  const setLearned = (change: Pick<PitRecord, 'overrides' | 'learned'>): void =>
    save.mutate({ base: pit, pit: { ...pit, ...change } });
  const figures = (
    <View className="print:!hidden gap-4">
      <PitDrawing pit={pit} width={column} height={wide ? 280 : 240} />
      {save.isError ? (
        <Notice tone="warn" title="Not saved">
          {save.error.message}
        </Notice>
      ) : null}
      <Figures
        pit={pit}
        onSave={(overrides) => save.mutate({ base: pit, pit: { ...pit, overrides } })}
        onUsual={() =>
          save.mutate({ base: pit, pit: { ...pit, overrides: {}, learned: undefined } })
        }
      />
    </View>
  );
  return (
    <ScrollView className="flex-1" contentContainerClassName={wide ? 'px-8 py-4' : 'px-5 py-3'}>
      <Back />
      <View className="pb-3">
        <Title>{pit.name}</Title>
        <Text className="font-sans text-soot text-[16px]">
          {`${capital(pit.kind ?? preset.name)}. Full load: ${massWords(preset.fullLoadKg, units)}.`}
        </Text>
      </View>
      {pit.kind && !pit.learned?.length ? (
        <View className="pb-4 max-w-[760px]">
          <Notice tone="plain" title="Little is known of it yet" testID="another-kind">
            {`Its figures are those of ${preset.name} of its sizes. Its card can be 20 °C off or more until it has learned from its cooks: three are usually enough.`}
          </Notice>
        </View>
      ) : null}
      {wide ? (
        <View className="flex-row gap-10 max-w-[1240px]">
          <View className="print:!hidden" style={{ width: column }}>
            {figures}
          </View>
          <View className="flex-1">
            <CardPart pit={pit} onTold={setTold} onLearned={setLearned} />
          </View>
        </View>
      ) : (
        <View className="gap-6">
          {figures}
          <CardPart pit={pit} onTold={setTold} onLearned={setLearned} />
        </View>
      )}
      <View className="print:!hidden pt-6">
        <KeepPit key={pit.id} pit={pit} />
      </View>
    </ScrollView>
  );
}

/** The list of figures; each opens to be changed, and all go back at once. */
function Figures({
  pit,
  onSave,
  onUsual,
}: {
  pit: PitRecord;
  onSave: (overrides: PitRecord['overrides']) => void;
  /** A pit as usual has nothing of its own, what was learned of it included. */
  onUsual: () => void;
}) {
  const preset = presetOf(pit.preset);
  const units = useSettings((s) => s.units);
  const parameters = pitWith(preset, pit.overrides);
  const [open, setOpen] = useState<Figure | null>(null);
  const change = (key: keyof CookerParameters, value: number): void => {
    const { [key]: _old, ...rest } = pit.overrides;
    onSave(Math.abs(value - preset.parameters[key]) < 1e-9 ? rest : { ...rest, [key]: value });
  };
  return (
    <View className="gap-2">
      <Heading>Its figures</Heading>
      <View className="border-t border-rule">
        {figuresOf(preset.plausibleRanges, units).map((f) => {
          const own = f.key in pit.overrides;
          return (
            <Pressable
              key={f.key}
              role="button"
              accessibilityLabel={`${f.name}: ${figureWords(f, parameters[f.key])}`}
              onPress={() => setOpen(f)}
              className="min-h-[52px] flex-row items-center justify-between gap-3 border-b border-rule py-1 active:opacity-70"
            >
              <View className="flex-1">
                <Text className="font-sans text-ink text-[16px]">{f.name}</Text>
                {own ? (
                  <Text className="font-sans text-soot text-[14px]">
                    {`usual ${figureWords(f, preset.parameters[f.key])}`}
                  </Text>
                ) : null}
              </View>
              <Text
                className={`text-ink text-[18px] underline ${own ? 'font-slab-bold' : 'font-slab-semi'}`}
              >
                {figureWords(f, parameters[f.key])}
              </Text>
            </Pressable>
          );
        })}
      </View>
      {Object.keys(pit.overrides).length > 0 ? (
        <Button label="All back to the usual" onPress={onUsual} />
      ) : null}
      {open ? (
        <FigureSheet
          figure={open}
          value={parameters[open.key]}
          usual={preset.parameters[open.key]}
          range={preset.plausibleRanges[open.key]!}
          onChange={(v) => change(open.key, v)}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </View>
  );
}

/** The vent card with the way its settings are given, and its printing. */
interface CardProps {
  pit: PitRecord;
  onTold: (told: VentsTold) => void;
  onLearned: (change: Pick<PitRecord, 'overrides' | 'learned'>) => void;
}

function CardPart({ pit, onTold, onLearned }: CardProps) {
  const { card, progress, failure } = useVentCard(pit);
  const preset = presetOf(pit.preset);
  const [width, setWidth] = useState(0);
  return (
    <View className="gap-3" onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
      <Heading>Vent card</Heading>
      {preset.hasFan ? null : (
        <View className="print:!hidden">
          <ScalesOfVents pit={pit} onTold={onTold} />
        </View>
      )}
      {failure ? (
        <Notice tone="warn" title="The card could not be worked out">
          {failure}
        </Notice>
      ) : card ? (
        <>
          {width > 0 ? <VentCardChart card={card} pit={pit} width={width} /> : null}
          <CardLegend card={card} />
          <CardTable card={card} pit={pit} />
          <Text className="font-sans text-soot text-[14px] leading-[20px]">
            {`Mean of hours 2 to 5 after lighting, usual fire, nothing on the grate. In: ${preset.ventTravel.intake}. Out: ${preset.ventTravel.exhaust}.`}
          </Text>
          <View className="print:!hidden">
            <Button label="Print this card" onPress={() => window.print()} />
          </View>
          <LearnPit pit={pit} card={card} onChange={onLearned} />
        </>
      ) : (
        <Text aria-live="polite" className="font-sans text-soot text-[16px]">
          {`Trying its vents on four kinds of day: ${Math.round(progress * 100)} %.`}
        </Text>
      )}
    </View>
  );
}
