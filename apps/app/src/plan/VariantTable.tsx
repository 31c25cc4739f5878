/** The variants of a plan, worked out: a table on a wide screen, cards on a phone. */
import type { Plan } from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import { type PlanVariant, capital, massWords, spanOfTime } from '@ostrin/wording';
import { Text, View } from 'react-native';
import { usePits } from '../api/queries';
import { draftOf } from '../store/request';
import { usePlanDraft } from '../store/planDraft';
import { Button } from '../ui/Button';
import { useLayout } from '../ui/layout';
import { clockAndDay, clockOf } from '../ui/words';
import { Paragraph, SmallText } from '../ui/Text';

interface Props {
  plan: Plan;
  rows: readonly PlanVariant[];
  units: Units;
}

export function VariantTable({ plan, rows, units }: Props) {
  const { wide } = useLayout();
  const columns = columnsOf(rows);
  return (
    <>
      {wide ? <TableHead columns={columns} /> : null}
      {rows.map((row) =>
        wide ? (
          <TableRow key={row.id} row={row} units={units} columns={columns} />
        ) : (
          <VariantCard key={row.id} row={row} units={units} />
        ),
      )}
      <SmallText>
        {`Late: with the coals in at its own time. ${wide ? 'Lit then' : 'Lit with this plan'}: with the coals in at ${clockOf(plan.lightAt)} anyway.`}
      </SmallText>
    </>
  );
}

/** Makes a variant the plan on the page; null for the plan itself. */
function useAdoptVariant(row: PlanVariant): (() => void) | null {
  const change = usePlanDraft((s) => s.change);
  const yard = usePits().data ?? [];
  if (row.id === 'as-planned' || row.problem) return null;
  return () => change(draftOf(row.request, yard));
}

const inHundred = (fraction: number): string => `${Math.round(100 * fraction)} in 100`;

/** Bark in words: 1 is set. */
const barkWords = (bark: number | null): string =>
  bark === null ? '–' : bark < 0.7 ? 'soft' : bark < 1.1 ? 'set' : bark < 1.6 ? 'firm' : 'hard';
/** How tender it is when it comes off: 1 probes tender. */
const tenderWords = (tenderness: number | null): string =>
  tenderness === null
    ? '–'
    : tenderness < 0.6
      ? 'firm'
      : tenderness < 0.9
        ? 'nearly'
        : tenderness < 1.25
          ? 'tender'
          : 'very';

function VariantCard({ row, units }: { row: PlanVariant; units: Units }) {
  const take = useAdoptVariant(row);
  return (
    <View className="border-b border-rule pb-2 gap-1" testID={`variant-${row.id}`}>
      <Text className="font-sans-bold text-ink text-[16px]">{capital(row.inWords)}</Text>
      {row.problem ? (
        <Paragraph>{row.problem}</Paragraph>
      ) : (
        <>
          <Paragraph>{`Coals in ${clockAndDay(row.lightAt)}, ready ${clockOf(row.ready[0])}–${clockOf(row.ready[1])}, cooks ${spanOfTime(row.cookMin)}.`}</Paragraph>
          <SmallText>
            {[
              `${massWords(row.fuelKg, units)} for fuel`,
              row.cost === null ? '' : `fuel for ${row.cost.toFixed(2)}`,
              row.plateCost === null ? '' : `a plate ${row.plateCost.toFixed(2)}`,
              `${row.visits} visits`,
              `free for up to ${spanOfTime(row.longestFreeMin)}`,
              row.inBandFraction === null ? '' : `in its band ${inHundred(row.inBandFraction)}`,
              row.bark === null ? '' : `bark ${barkWords(row.bark)}`,
              row.tenderness === null ? '' : `tender: ${tenderWords(row.tenderness)}`,
              `late ${inHundred(row.chanceLateFraction)}`,
              `lit with this plan: ${inHundred(row.lateIfLitAsPlannedFraction)}`,
            ]
              .filter(Boolean)
              .join(' · ')}
          </SmallText>
        </>
      )}
      {take ? <Button label={`Plan it ${row.inWords}`} onPress={take} /> : null}
    </View>
  );
}

/** Columns of the table: what is said, how wide, px. */
const COLUMNS: readonly {
  head: string;
  width: number;
  of: (r: PlanVariant, u: Units) => string;
  /** Shown only where a row has it; always when left out. */
  known?: (r: PlanVariant) => boolean;
}[] = [
  { head: 'Coals in', width: 96, of: (r) => clockAndDay(r.lightAt) },
  { head: 'Ready', width: 120, of: (r) => `${clockOf(r.ready[0])}–${clockOf(r.ready[1])}` },
  { head: 'Fuel', width: 84, of: (r, u) => massWords(r.fuelKg, u) },
  {
    head: 'Fuel cost',
    width: 76,
    of: (r) => r.cost?.toFixed(2) ?? '–',
    known: (r) => r.cost !== null,
  },
  {
    head: 'A plate',
    width: 68,
    of: (r) => r.plateCost?.toFixed(2) ?? '–',
    known: (r) => r.plateCost !== null,
  },
  { head: 'Visits', width: 60, of: (r) => String(r.visits) },
  { head: 'Free', width: 80, of: (r) => spanOfTime(r.longestFreeMin) },
  {
    head: 'In band',
    width: 72,
    of: (r) => (r.inBandFraction === null ? '–' : `${Math.round(100 * r.inBandFraction)} %`),
  },
  { head: 'Bark', width: 60, of: (r) => barkWords(r.bark) },
  { head: 'Tender', width: 72, of: (r) => tenderWords(r.tenderness) },
  { head: 'Late', width: 60, of: (r) => `${Math.round(100 * r.chanceLateFraction)} %` },
  {
    head: 'Lit then',
    width: 76,
    of: (r) => `${Math.round(100 * r.lateIfLitAsPlannedFraction)} %`,
  },
];

type Column = (typeof COLUMNS)[number];
const columnsOf = (rows: readonly PlanVariant[]): Column[] =>
  COLUMNS.filter(({ known }) => !known || rows.some(known));

const TableHead = ({ columns }: { columns: readonly Column[] }) => (
  <View className="flex-row border-b border-edge pb-1">
    <Text className="font-sans-semi text-soot text-[14px] flex-1">Plan</Text>
    {columns.map((c) => (
      <Text
        key={c.head}
        className="font-sans-semi text-soot text-[14px] shrink-0"
        style={{ width: c.width }}
      >
        {c.head}
      </Text>
    ))}
    <View className="w-[96px]" />
  </View>
);

interface RowProps {
  row: PlanVariant;
  units: Units;
  columns: readonly Column[];
}

function TableRow({ row, units, columns }: RowProps) {
  const take = useAdoptVariant(row);
  return (
    <View
      className="flex-row items-center border-b border-rule min-h-[48px]"
      testID={`variant-${row.id}`}
    >
      <Text className="font-sans-semi text-ink text-[14px] flex-1 pr-2">
        {capital(row.inWords)}
      </Text>
      {row.problem ? (
        <Text className="font-sans text-ink text-[14px] flex-[4]">{row.problem}</Text>
      ) : (
        columns.map((c) => (
          <Text
            key={c.head}
            className="font-sans text-ink text-[14px] shrink-0"
            style={{ width: c.width, fontVariant: ['tabular-nums'] }}
          >
            {c.of(row, units)}
          </Text>
        ))
      )}
      <View className="w-[96px]">
        {take ? (
          <Button label="Take" accessibilityLabel={`Plan it ${row.inWords}`} onPress={take} />
        ) : null}
      </View>
    </View>
  );
}
