/** Looks for cooks by words, pit, cut, fire and verdict, and in another order. */
import { cutOf } from '@ostrin/core/catalogue';
import type { CookSummary } from '@ostrin/contract/types';
import { capital, countWords } from '@ostrin/wording';
import { fireKindWords } from '@ostrin/wording/afterwards';
import { TextInput, View } from 'react-native';
import { TitledChoice } from '../ui/Choice';
import { Fold } from '../ui/Fold';
import { cutsOf, fireKey, type CookWish, type VerdictWish } from './findCooks';

const SORTS = [
  { value: 'newest', label: 'Newest first' },
  { value: 'oldest', label: 'Oldest first' },
  { value: 'longest', label: 'Longest first' },
  { value: 'best-held', label: 'Best held first' },
] as const;

const VERDICTS: readonly { value: VerdictWish; label: string }[] = [
  { value: '', label: 'Every verdict' },
  { value: 'as-wished', label: 'As wanted' },
  { value: 'not-as-wished', label: 'Not as wanted' },
  { value: 'none', label: 'None yet' },
];

interface Props {
  cooks: readonly CookSummary[];
  wish: CookWish;
  found: number;
  onWish: (wish: CookWish) => void;
}

export function SearchCooks({ cooks, wish, found, onWish }: Props) {
  const one = <K extends keyof CookWish>(key: K, value: CookWish[K]): void =>
    onWish({ ...wish, [key]: value });
  const narrowed = [wish.pitName, wish.cut && cutOf(wish.cut).name, wish.fire && 'one fire'].filter(
    Boolean,
  );
  const sort = SORTS.find((s) => s.value === wish.sort)!.label.toLowerCase();
  return (
    <View className="gap-2">
      <TextInput
        aria-label="Search the log"
        placeholder="Search: name, cut or pit"
        inputMode="search"
        value={wish.words}
        maxLength={60}
        onChangeText={(words) => one('words', words)}
        className="min-h-[52px] rounded-lg border border-edge bg-sheet px-4 font-sans text-[17px] text-ink"
      />
      <Fold
        label={[countWords(found, 'cook', 'cooks'), ...narrowed, sort].join(', ')}
        testID="log-filter"
      >
        <View className="gap-3 pb-2">
          <OneOf
            name="Pit"
            every="Every pit"
            values={cooks.map((c) => c.pitName)}
            value={wish.pitName}
            onChange={(v) => one('pitName', v)}
          />
          <OneOf
            name="Cut"
            every="Every cut"
            values={cooks.flatMap(cutsOf)}
            words={(id) => capital(cutOf(id).name)}
            value={wish.cut}
            onChange={(v) => one('cut', v)}
          />
          <OneOf
            name="Fire"
            every="Every fire"
            values={cooks.map(fireKey).filter(Boolean)}
            words={(key) => capital(fireWords(key, cooks))}
            value={wish.fire}
            onChange={(v) => one('fire', v)}
          />
          <TitledChoice
            label="Verdict"
            columns={2}
            options={VERDICTS}
            value={wish.verdict}
            onChange={(v) => one('verdict', v)}
          />
          <TitledChoice
            label="Order"
            columns={2}
            options={SORTS}
            value={wish.sort}
            onChange={(v) => one('sort', v)}
          />
        </View>
      </Fold>
    </View>
  );
}

const fireWords = (key: string, cooks: readonly CookSummary[]): string =>
  fireKindWords(cooks.find((c) => fireKey(c) === key)!.glance!.fire);

/** A choice among what the log holds; nothing where it holds but one. */
function OneOf(p: {
  name: string;
  every: string;
  values: readonly string[];
  words?: (value: string) => string;
  value: string;
  onChange: (value: string) => void;
}) {
  const { words = (v: string) => v } = p;
  const values = [...new Set(p.values)].sort((a, b) => words(a).localeCompare(words(b)));
  if (values.length < 2) return null;
  return (
    <TitledChoice
      label={p.name}
      columns={2}
      options={[
        { value: '', label: p.every },
        ...values.map((value) => ({ value, label: words(value) })),
      ]}
      value={p.value}
      onChange={p.onChange}
    />
  );
}
