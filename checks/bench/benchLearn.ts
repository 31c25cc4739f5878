/** `ostrin bench --learn`: how much better a pit is known after its logged cooks, in sixty pits off their presets. */
import { poolLearn, type LearnMeasured } from '../learn/measure';
import { inShares } from './inShares';

/** The seed where none is named. */
const USUAL_SEED = 20270515;

/** All figures, pooled and by family, under the names of the open format, with what is asked of each. */
export async function benchLearn(now: () => number, seed = USUAL_SEED) {
  const began = now();
  const all: LearnMeasured[] = [];
  await inShares('./learn.worker.js', { seed }, (m: LearnMeasured) => all.push(m));
  // In one order, whichever worker was quicker.
  all.sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true }));
  const pooled = poolLearn(all);
  const families = [...new Set(all.map((m) => m.family))];
  const { settleErrorC } = pooled;
  return {
    ostrin: 'bench-learn/1',
    seed,
    ...pooled,
    families: Object.fromEntries(
      families.map((f) => [f, poolLearn(all.filter((m) => m.family === f))]),
    ),
    seconds: Math.round((now() - began) / 1000),
    asked: {
      settleErrorC: {
        asked: 'after three at most half of before',
        got: Number((settleErrorC.after3 / settleErrorC.before).toFixed(2)),
      },
      coverageFraction: { asked: '0.73 to 0.87', got: pooled.coverageFraction },
      worseShareFraction: { asked: '0', got: pooled.worseShareFraction },
      onTimeFraction: { asked: 'more than before', got: pooled.onTimeFraction },
      learnSeconds: { asked: 'under 10 for five cooks', got: pooled.learnMs / 1000 },
    },
  };
}

type BenchLearn = Awaited<ReturnType<typeof benchLearn>>;

const HEAD = [
  'Family',
  'Pits',
  'Before, C',
  'After 1',
  'After 3',
  'After 5',
  'Worst before, C',
  'Worst after 3',
  'Inside, %',
  'Worse, %',
  'RMS off target before, C',
  'After 3',
  'On time before, %',
  'After 3',
];

/** The tables of docs/learning.md. */
export function learnTables({ families, asked, seconds, ...all }: BenchLearn): string {
  const line = (cells: readonly unknown[]): string => `| ${cells.join(' | ')} |`;
  const percent = (f: number): string => (100 * f).toFixed(0);
  const row = (name: string, p: ReturnType<typeof poolLearn>): string =>
    line([
      name,
      p.pits,
      p.settleErrorC.before,
      p.settleErrorC.after1,
      p.settleErrorC.after3,
      p.settleErrorC.after5,
      p.settleWorstC.before,
      p.settleWorstC.after3,
      percent(p.coverageFraction),
      percent(p.worseShareFraction),
      p.rmsOffTargetC.before,
      p.rmsOffTargetC.after3,
      percent(p.onTimeFraction.before),
      percent(p.onTimeFraction.after3),
    ]);
  return [
    line(HEAD),
    line(HEAD.map(() => '---')),
    row('**all**', all),
    ...Object.entries(families).map(([name, p]) => row(name, p)),
    '',
    ...Object.entries(asked).map(
      ([what, a]) => `${what}: asked ${a.asked}, got ${JSON.stringify(a.got)}`,
    ),
    `${seconds} s`,
    '',
  ].join('\n');
}
