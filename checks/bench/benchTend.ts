/** `ostrin bench --tend`: how well a fire and its meat are known from their readings, in true cooks. */
import { poolTend, type Measured } from '../tend/measure';
import { inShares } from './inShares';

/** The seed and the number of cooks where none is named. */
const USUAL = { seed: 20270515, cooks: 100 };

/** Measures the cooks of a seed. */
async function measureAll(seed: number, cooks: number): Promise<Measured[]> {
  const found: Measured[] = [];
  await inShares('./tend.worker.js', { seed, cooks }, (m: Measured) => found.push(m));
  // In one order, whichever worker was quicker.
  return found.sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true }));
}

/** All figures, pooled and by family, under the names of the open format, with what is asked of each. */
export async function benchTend(seed = USUAL.seed, cooks = USUAL.cooks) {
  const all = await measureAll(seed, cooks);
  const pooled = poolTend(all);
  const families = [...new Set(all.map((m) => m.family))];
  return {
    ostrin: 'bench-tend/1',
    seed,
    ...pooled,
    families: Object.fromEntries(
      families.map((f) => [f, poolTend(all.filter((m) => m.family === f))]),
    ),
    asked: {
      ahead30MaeC: { asked: 'at most 4', got: pooled.ahead30.maeC },
      ahead30ByHandMaeC: { asked: 'at most 6', got: pooled.ahead30.byHandMaeC },
      ahead30BetterFraction: { asked: 'at least 0.4', got: pooled.ahead30.betterFraction },
      fuelLeftErrorFraction: { asked: 'at most 0.15', got: pooled.fuelLeftErrorFraction },
      doneErrorFraction: { asked: 'at most 0.05', got: pooled.doneErrorFraction },
      coverageFraction: { asked: '0.73 to 0.87', got: pooled.coverageFraction },
      namedFirstFraction: { asked: 'at least 0.85', got: pooled.diagnosis.namedFirstFraction },
      falseAlarmsPer20h: { asked: 'at most 1', got: pooled.diagnosis.falseAlarmsPer20h },
      inBandByAdvice: { asked: 'at least 0.92', got: pooled.inBandFraction.advice },
      updateCpuMs: { asked: 'under 1000', got: pooled.updateCpuMs.most },
    },
  };
}

type BenchTend = Awaited<ReturnType<typeof benchTend>>;

/** The tables of docs/tending.md. */
export function tendTables({ families, asked, ...all }: BenchTend): string {
  const line = (cells: readonly unknown[]): string => `| ${cells.join(' | ')} |`;
  const head = [
    'Family',
    'Cooks',
    'In 30 min, C',
    'Holding, C',
    'Trend, C',
    'Better, %',
    'By hand, C',
    'Fuel left, %',
    'Done, %',
    'Inside, %',
  ];
  const percent = (f: number): string => (Number.isNaN(f) ? '-' : (100 * f).toFixed(0));
  const tenth = (f: number): string => (Number.isNaN(f) ? '-' : (100 * f).toFixed(1));
  const row = (
    name: string,
    p: Omit<BenchTend, 'families' | 'asked' | 'ostrin' | 'seed'>,
  ): string =>
    line([
      name,
      p.cooks,
      p.ahead30.maeC,
      p.ahead30.holdC,
      p.ahead30.trendC,
      percent(p.ahead30.betterFraction),
      p.ahead30.byHandMaeC,
      tenth(p.fuelLeftErrorFraction),
      tenth(p.doneErrorFraction),
      percent(p.coverageFraction),
    ]);
  return [
    line(head),
    line(head.map(() => '---')),
    row('**all**', all),
    ...Object.entries(families).map(([name, p]) => row(name, p)),
    '',
    ...Object.entries(asked).map(([what, a]) => `${what}: asked ${a.asked}, got ${a.got}`),
    '',
  ].join('\n');
}
