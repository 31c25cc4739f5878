/** `ostrin bench --plans`: plans against rules of thumb and against no plan, in the same simulated pits. */
import { METHODS, type MethodName, type MethodOutcome } from '../plans/methods';
import { measure, type Measured, type Pooled } from '../plans/table';

const ratio = (a: number, b: number): number => Number((a / b).toFixed(2));

/** What is asked of plans, with what was measured. */
function askedOf({ all, families }: Measured) {
  const steady = Object.entries(families).filter(([, f]) => f.rules.rmsK < 3);
  return {
    rmsAgainstRules: { asked: 'at most 0.5', got: ratio(all.plan.rmsK, all.rules.rmsK) },
    rmsAgainstGoodHand: { asked: 'reported', got: ratio(all.plan.rmsK, all.tended.rmsK) },
    outOfBandAgainstRules: {
      asked: 'at most 0.5',
      got: ratio(all.plan.outOfBandMinPerCook, all.rules.outOfBandMinPerCook),
    },
    familiesWorseWhereRulesHold: {
      asked: 'none',
      got: steady.filter(([, f]) => f.plan.rmsK > f.rules.rmsK).map(([name]) => name),
    },
    loadedOverNeeded: { asked: '1.05 to 1.30', got: all.plan.loadedOverNeeded },
    ranOut: { asked: 'at most 2 of 60', got: all.plan.ranOut },
    readyInWindow: {
      asked: 'at least 0.9',
      got: all.plan.inWindowFraction,
      rules: all.rules.inWindowFraction,
    },
  };
}

/** Runs the sixty of a seed, the published ones when none is named. */
export function benchPlans(seed?: number) {
  const measured = measure(seed);
  return { ...measured, asked: askedOf(measured) };
}

const percent = (fraction: number): number => Math.round(100 * fraction);
const line = (cells: readonly unknown[]): string => `| ${cells.join(' | ')} |`;

const HEAD = [
  'Family',
  'Way',
  'RMS off target, C',
  'Out of band, %',
  'RMS, out of band since meat on',
  'min a cook',
  'Loaded / needed',
  'Ran out',
  'In window, %',
  'Late, %',
  'Visits',
];

function pooledLine(family: string, way: MethodName, p: Pooled): string {
  return line([
    family,
    way,
    p.rmsK,
    percent(p.outOfBandFraction),
    `${p.sinceMeatOnRmsK}, ${percent(p.sinceMeatOnOutFraction)} %`,
    p.outOfBandMinPerCook,
    p.loadedOverNeeded,
    p.ranOut,
    percent(p.inWindowFraction),
    percent(p.lateFraction),
    p.visits,
  ]);
}

const wentWords = (w: MethodOutcome): string =>
  [
    w.rmsK.toFixed(1),
    `${w.loadedKg.toFixed(1)}/${w.neededKg.toFixed(1)}`,
    ...(w.ranOut ? ['ran out'] : []),
    `${Math.round(w.lateMin)}${w.inWindow ? '' : ' x'}`,
  ].join(', ');

/** The tables of docs/plans.md: pooled, and every case by plan and by rules. */
export function plansTables({ all, families, rows }: Measured): string {
  const pools: [string, Record<MethodName, Pooled>][] = [
    ['**all 60**', all],
    ...Object.entries(families),
  ];
  return [
    line(HEAD),
    line(HEAD.map(() => '---')),
    ...pools.flatMap(([name, ways]) => METHODS.map((way) => pooledLine(name, way, ways[way]))),
    '',
    line(['Case', 'Plan', 'Rules']),
    line(['---', '---', '---']),
    ...rows.map((r) => line([r.words, wentWords(r.went.plan), wentWords(r.went.rules)])),
    '',
  ].join('\n');
}
