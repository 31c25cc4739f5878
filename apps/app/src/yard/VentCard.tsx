/** The vent card: settings against temperature on four kinds of day, in the pit's own units; prints on one page. */
import { fromC, type Units } from '@ostrin/core/quantity';
import { presetOf, ventScales } from '@ostrin/core/catalogue';
import type { CardRow, VentCard as Card } from '@ostrin/core/engine';
import { DAY_NAMES, ventName, windWords } from '@ostrin/wording';
import type { PitRecord } from '@ostrin/contract/types';
import { scaleLinear } from 'd3-scale';
import { View, Text } from 'react-native';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import { Halo } from '../strip/Halo';
import { useSettings } from '../store/settings';
import { useTheme } from '../ui/theme';
import { temperatureTicks } from '../strip/Strip';

const ROW = 46;
const TOP = 30;
const LABEL = 116;

/** What a row's setting is called. */
export function settingWords(row: CardRow, pit: PitRecord, units: Units): [string, string] {
  if (row.targetC !== null)
    return [`${Math.round(fromC(row.targetC, units.temperature))}°`, 'set point'];
  const { travelMm, ventNotation } = presetOf(pit.preset);
  const scales = ventScales(pit, ventNotation);
  return [
    `in ${ventName(row.intakeFraction, scales.intake, travelMm.intake)}`,
    `out ${ventName(row.exhaustFraction, scales.exhaust, travelMm.exhaust)}`,
  ];
}

/** An arrow's head at `x`, pointing the way the wind takes the pit. */
const head = (x: number, y: number, from: number): string => {
  const d = x >= from ? -1 : 1;
  return `M ${x + d * 9} ${y - 6} L ${x} ${y} L ${x + d * 9} ${y + 6}`;
};

export function VentCardChart({ card, pit, width }: { card: Card; pit: PitRecord; width: number }) {
  const theme = useTheme();
  const units = useSettings((s) => s.units);
  const all = card.rows.flatMap((r) => r.settlesC);
  const range = [
    Math.floor(Math.min(...all) / 10) * 10,
    Math.ceil(Math.max(...all) / 10) * 10,
  ] as const;
  const x = scaleLinear()
    .domain([...range])
    .range([LABEL + 14, width - 22]);
  const height = TOP + card.rows.length * ROW + 6;
  return (
    <Svg
      width={width}
      height={height}
      role="img"
      aria-label="Vent settings against the temperature the pit settles at; the same figures are in the table below"
    >
      <Rect
        x={LABEL}
        y={TOP}
        width={width - LABEL - 4}
        height={card.rows.length * ROW}
        fill={theme.sheet}
      />
      {temperatureTicks(range, units, width > 500 ? 8 : 3).map((c) => (
        <G key={c}>
          <Line x1={x(c)} x2={x(c)} y1={TOP} y2={height - 6} stroke={theme.rule} strokeWidth={1} />
          <Halo x={x(c)} y={TOP - 9} anchor="middle" colour={theme.soot} halo={theme.paper}>
            {`${Math.round(fromC(c, units.temperature))}°`}
          </Halo>
        </G>
      ))}
      {card.rows.map((row, i) => {
        const y = TOP + i * ROW;
        const [first, second] = settingWords(row, pit, units);
        const [stillWarm, windyWarm, stillCold, windyCold] = row.settlesC as [
          number,
          number,
          number,
          number,
        ];
        return (
          <G key={i}>
            <Line x1={0} x2={width} y1={y + ROW} y2={y + ROW} stroke={theme.rule} strokeWidth={1} />
            <Halo
              x={2}
              y={y + 20}
              size={15}
              anchor="start"
              colour={theme.ink}
              halo={theme.paper}
              bold
            >
              {first}
            </Halo>
            <Halo x={2} y={y + 38} size={14} anchor="start" colour={theme.soot} halo={theme.paper}>
              {second}
            </Halo>
            <Arrow from={x(stillWarm)} to={x(windyWarm)} y={y + 15} width={4} colour={theme.pit} />
            <Arrow from={x(stillCold)} to={x(windyCold)} y={y + 32} width={2} colour={theme.ink} />
          </G>
        );
      })}
    </Svg>
  );
}

/** From where a still day leaves the pit to where wind takes it. */
function Arrow(p: { from: number; to: number; y: number; width: number; colour: string }) {
  return (
    <G>
      <Line x1={p.from} x2={p.to} y1={p.y} y2={p.y} stroke={p.colour} strokeWidth={p.width} />
      <Rect x={p.from - 4} y={p.y - 5} width={8} height={10} fill={p.colour} />
      {Math.abs(p.to - p.from) > 9 ? (
        <Path d={head(p.to, p.y, p.from)} fill="none" stroke={p.colour} strokeWidth={2.5} />
      ) : null}
    </G>
  );
}

/** How to read the chart, in words. */
export function CardLegend({ card }: { card: Card }) {
  const units = useSettings((s) => s.units);
  const air = (c: number): string => `${Math.round(fromC(c, units.temperature))}°`;
  const [warm, , cold] = card.days;
  return (
    <View className="gap-1">
      <Text className="font-sans text-ink text-[16px] leading-[22px]">
        {`Thick line: a warm day, ${air(warm!.airC)}. Thin line: a cold day, ${air(cold!.airC)}. The block is still air, the arrow's head a strong wind of ${windWords(card.days[1]!.windMps, units)}.`}
      </Text>
      {card.feed ? (
        <Text className="font-sans text-ink text-[16px] leading-[22px]">
          {`On seasoned splits of ${card.feed.massKg.toFixed(2)} kg, one every ${card.feed.intervalMin} minutes. More wood or less moves the whole card.`}
        </Text>
      ) : null}
    </View>
  );
}

/** The same as figures, for those who would rather read, and for the printer. */
export function CardTable({ card, pit }: { card: Card; pit: PitRecord }) {
  const units = useSettings((s) => s.units);
  const say = (c: number): string => `${Math.round(fromC(c, units.temperature))}°`;
  return (
    <View role="table" aria-label="Vent card in figures" className="border-t border-rule">
      <View role="row" className="flex-row border-b border-edge py-2">
        <Text role="columnheader" className="flex-[1.6] font-sans-semi text-ink text-[14px]">
          Setting
        </Text>
        {card.days.map((d) => (
          <Text
            key={d.id}
            role="columnheader"
            className="flex-1 text-right font-sans-semi text-ink text-[14px] leading-[17px]"
          >
            {DAY_NAMES[d.id].replace(' and ', '\n')}
          </Text>
        ))}
      </View>
      {card.rows.map((row, i) => (
        <View key={i} role="row" className="flex-row items-center border-b border-rule py-2">
          <Text role="rowheader" className="flex-[1.6] font-sans text-ink text-[15px]">
            {settingWords(row, pit, units).join(', ')}
          </Text>
          {row.settlesC.map((c, k) => (
            <Text
              key={k}
              role="cell"
              className="flex-1 text-right font-slab-semi text-ink text-[16px]"
            >
              {say(c)}
            </Text>
          ))}
        </View>
      ))}
    </View>
  );
}
