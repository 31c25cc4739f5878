/** What a pit's own cooks say of it: proposed with its card before and after, accepted or left. */
import { fromC, localOf } from '@ostrin/core/quantity';
import type { VentCard } from '@ostrin/core/engine';
import { cookFitWords, learnedFrom, learnedLines } from '@ostrin/wording/tending';
import {
  MOST_VERSIONS,
  type CookSummary,
  type PitRecord,
  type PitVersion,
} from '@ostrin/contract/types';
import { TEST_BURN } from '@ostrin/core/yard';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import type { LearnAnswer } from '../api/messages';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Note, Notice } from '../ui/Notice';
import { Paragraph } from '../ui/Text';
import { Heading, Subhead } from '../ui/Title';
import { dayOf, deviceZone } from '../ui/words';
import { TestBurn } from './TestBurn';
import { useCooksOf, useLearned } from './useLearned';
import { useVentCard } from './useVentCard';
import { settingWords } from './VentCard';

interface Props {
  pit: PitRecord;
  /** Its card as it is. */
  card: VentCard;
  onChange: (change: Pick<PitRecord, 'overrides' | 'learned'>) => void;
}

/** What is being replayed. */
const whatIsReplayed = (cooks: number): string =>
  cooks === 0 ? 'its burn' : cooks === 1 ? 'its cook' : `its ${cooks} cooks`;

/** A pit's figures once it is taken as it was learned. */
function asLearned(
  pit: PitRecord,
  kept: LearnAnswer['kept'],
  at: number,
): Pick<PitRecord, 'overrides' | 'learned'> {
  const version: PitVersion = { ...kept, at, before: pit.overrides };
  return {
    overrides: { ...pit.overrides, ...kept.values },
    learned: [...(pit.learned ?? []), version].slice(-MOST_VERSIONS),
  };
}

export function LearnPit({ pit, card, onChange }: Props) {
  const cooks = useCooksOf(pit);
  const [without, setWithout] = useState<readonly string[]>([]);
  const { state, learn, learnBurn, forget } = useLearned(pit);
  const ids = cooks.map((c) => c.id).filter((id) => !without.includes(id));
  const accept = ({ kept }: LearnAnswer): void => {
    onChange(asLearned(pit, kept, Date.now()));
    forget();
  };
  return (
    <View className="print:!hidden gap-3" testID="learn">
      <Heading>Learned from its cooks</Heading>
      <Known pit={pit} onChange={onChange} />
      {state.kind === 'working' ? (
        <Text aria-live="polite" className="font-sans text-soot text-[16px]">
          {`Replaying ${whatIsReplayed(state.burn ? 0 : ids.length)} in pits of other leaks and walls: ${Math.round(100 * state.share)} %.`}
        </Text>
      ) : state.kind === 'learned' ? (
        <Proposal
          pit={pit}
          card={card}
          answer={state.answer}
          cooks={cooks}
          onAccept={() => accept(state.answer)}
          onKeep={forget}
        />
      ) : (
        <>
          {state.kind === 'failed' ? (
            <Notice tone="warn" title="It could not be learned">
              {state.message}
            </Notice>
          ) : null}
          {cooks.length === 0 ? (
            <Note>
              Once a cook on it is finished, its log says how this pit differs from a new one.
            </Note>
          ) : (
            <>
              <CooksToLearn cooks={cooks} without={without} onWithout={setWithout} />
              <Button
                label={
                  ids.length === 1 ? 'Learn from this cook' : `Learn from these ${ids.length} cooks`
                }
                disabled={ids.length === 0}
                onPress={() => void learn(ids)}
              />
            </>
          )}
          <TestBurn pit={pit} card={card} onLearn={learnBurn} />
        </>
      )}
    </View>
  );
}

/** What is in force, and the way back to what was before. */
function Known({ pit, onChange }: Pick<Props, 'pit' | 'onChange'>) {
  const last = pit.learned?.at(-1);
  if (!last) return null;
  return (
    <>
      <Paragraph>
        {`${last.cooks.includes(TEST_BURN) ? 'Learned from a test burn' : learnedFrom(last.cooks.length)}, ${dayOf(localOf(last.at, deviceZone))}. Plans, forecasts and the card above use it.`}
      </Paragraph>
      <Button
        label="Back to how it was before"
        onPress={() => onChange({ overrides: last.before, learned: pit.learned!.slice(0, -1) })}
      />
    </>
  );
}

/** Its cooks, each of which can be left out. */
function CooksToLearn(p: {
  cooks: readonly CookSummary[];
  without: readonly string[];
  onWithout: (ids: readonly string[]) => void;
}) {
  return (
    <View role="group" aria-label="Cooks to learn from" className="border-t border-rule">
      {p.cooks.map((c) => {
        const used = !p.without.includes(c.id);
        return (
          <Pressable
            key={c.id}
            role="checkbox"
            aria-checked={used}
            onPress={() =>
              p.onWithout(used ? [...p.without, c.id] : p.without.filter((id) => id !== c.id))
            }
            className="min-h-[52px] flex-row items-center gap-3 border-b border-rule py-2 active:opacity-70"
          >
            <View
              className={`w-[22px] h-[22px] rounded border-2 items-center justify-center ${used ? 'border-pit bg-pit' : 'border-edge'}`}
            >
              {used ? <Text className="text-paper font-sans-bold text-[14px]">✓</Text> : null}
            </View>
            <Text className="flex-1 font-sans text-ink text-[16px]">
              {`${c.name} · ${dayOf(localOf(c.startMs, deviceZone))}${c.finishedAt === null ? ', under way: what it read so far' : ''}`}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}

interface ProposalProps {
  pit: PitRecord;
  card: VentCard;
  answer: LearnAnswer;
  cooks: readonly CookSummary[];
  onAccept: () => void;
  onKeep: () => void;
}

function Proposal({ pit, card, answer, cooks, onAccept, onKeep }: ProposalProps) {
  const units = useSettings((s) => s.units);
  const { learned, kept } = answer;
  const nameOf = (id: string): string =>
    cooks.find((c) => c.id === id)?.name ?? (id === TEST_BURN ? 'The burn' : id);
  return (
    <View className="gap-3" testID="proposal">
      {learnedLines(learned, units).map((line) => (
        <Paragraph key={line}>{line}</Paragraph>
      ))}
      <Subhead>How its cooks go with it</Subhead>
      {learned.cooks.map((c) => (
        <Paragraph key={c.id}>{`${nameOf(c.id)}: ${cookFitWords(c, units)}.`}</Paragraph>
      ))}
      <CardBeforeAndAfter pit={pit} card={card} after={{ ...pit, ...asLearned(pit, kept, 0) }} />
      <Button kind="primary" label="Use it from now on" onPress={onAccept} />
      <Button label="Keep it as it is" onPress={onKeep} />
    </View>
  );
}

/** Where each setting settles on a still, warm day: as the pit was thought, and as it was learned. */
function CardBeforeAndAfter({
  pit,
  card,
  after,
}: {
  pit: PitRecord;
  card: VentCard;
  after: PitRecord;
}) {
  const units = useSettings((s) => s.units);
  const next = useVentCard(after);
  const say = (c: number): string => `${Math.round(fromC(c, units.temperature))}°`;
  if (next.failure)
    return (
      <Notice tone="warn" title="Its card could not be worked out">
        {next.failure}
      </Notice>
    );
  return (
    <View role="table" aria-label="Vent card before and after" className="border-t border-rule">
      <View role="row" className="flex-row border-b border-edge py-2">
        {['Still and warm day', 'before', 'after'].map((head, i) => (
          <Text
            key={head}
            role="columnheader"
            className={`font-sans-semi text-ink text-[14px] ${i === 0 ? 'flex-[2]' : 'flex-1 text-right'}`}
          >
            {head}
          </Text>
        ))}
      </View>
      {card.rows.map((row, i) => (
        <View key={i} role="row" className="flex-row items-center border-b border-rule py-2">
          <Text role="rowheader" className="flex-[2] font-sans text-ink text-[15px]">
            {settingWords(row, pit, units).join(', ')}
          </Text>
          <Text role="cell" className="flex-1 text-right font-slab-semi text-ink text-[16px]">
            {say(row.settlesC[0]!)}
          </Text>
          <Text role="cell" className="flex-1 text-right font-slab-bold text-ink text-[16px]">
            {next.card
              ? say(next.card.rows[i]!.settlesC[0]!)
              : `${Math.round(100 * next.progress)} %`}
          </Text>
        </View>
      ))}
    </View>
  );
}
