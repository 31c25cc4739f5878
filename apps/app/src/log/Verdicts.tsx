/** How each piece was, one touch for each thing that is judged. */
import { cutOf } from '@ostrin/core/catalogue';
import type { JudgedOf, PieceVerdict } from '@ostrin/core/log';
import { PIECE_VERDICTS } from '@ostrin/core/afterwards';
import { capital } from '@ostrin/wording';
import { JUDGED_NAMES, PIECE_VERDICT_NAMES } from '@ostrin/wording/afterwards';
import { Text, View } from 'react-native';
import type { CookView } from '../api/queries';
import { pieceName } from '../store/names';
import { Choice } from '../ui/Choice';
import { Heading, Subhead } from '../ui/Title';
import type { CookLog } from './useCookLog';

const OF = Object.keys(PIECE_VERDICTS) as JudgedOf[];

export function Verdicts({ cook, of }: { cook: CookView; of: CookLog }) {
  const { meats } = cook.plan.request;
  return (
    <View className="px-5 gap-3 max-w-[720px]" testID="verdicts">
      <Heading>How was it?</Heading>
      {meats.map((meat, i) => (
        <View key={meat.id} className="gap-2">
          {meats.length > 1 ? (
            <Subhead>{`${pieceName(cook.plan, i)}, ${cutOf(meat.cut).name}`}</Subhead>
          ) : null}
          {OF.map((judged) => (
            <Judged
              key={judged}
              name={JUDGED_NAMES[judged]}
              piece={capital(pieceName(cook.plan, i))}
              verdicts={PIECE_VERDICTS[judged]}
              value={of.after.verdicts[meat.id]?.[judged] ?? null}
              onChange={(verdict) => void of.write({ kind: 'verdict', meat: meat.id, verdict })}
            />
          ))}
        </View>
      ))}
    </View>
  );
}

function Judged(p: {
  name: string;
  piece: string;
  verdicts: readonly PieceVerdict[];
  value: PieceVerdict | null;
  onChange: (verdict: PieceVerdict) => void;
}) {
  return (
    <View>
      <Text className="font-sans text-soot text-[14px]">{p.name}</Text>
      <Choice<PieceVerdict | ''>
        label={`${p.name}: ${p.piece}`}
        columns={p.verdicts.length}
        options={p.verdicts.map((value) => ({ value, label: PIECE_VERDICT_NAMES[value] }))}
        value={p.value ?? ''}
        onChange={(value) => value && p.onChange(value)}
      />
    </View>
  );
}
