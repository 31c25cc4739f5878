/** `ostrin bench --now`: the order on the card, held against written rules in true cooks tended by nothing else. */
import { mean } from '@ostrin/core/internals';
import type { Followed } from '../now/followed';
import { VIOLATIONS } from '../now/rules';
import { inShares } from './inShares';

/** What one cook came to, followed and in the other ways. */
interface Row {
  now: Followed;
  /** Share in the band by the plan's own jobs, and by rules of thumb, 0 to 1. */
  planOnly: number;
  rules: number;
}

const USUAL = { seed: 20270515, cooks: 100 };
/** Examples that are printed. */
const MOST_EXAMPLES = 40;

const round = (v: number): number => Number(v.toFixed(3));
/** Mean share in the band of the cooks that were followed exactly, or with habits; null without such a cook. */
function followedOf(rows: readonly Row[], exactly: boolean): number | null {
  const shares = rows.flatMap(({ now }) => (now.exactly === exactly ? (now.inBand ?? []) : []));
  return shares.length === 0 ? null : round(mean(shares));
}
const inBandOf = (rows: readonly Row[]) => ({
  now: followedOf(rows, true),
  withHabits: followedOf(rows, false),
  paper: round(mean(rows.map((r) => r.planOnly))),
  rules: round(mean(rows.map((r) => r.rules))),
});

/** All figures under the names of the open format; `paper` goes by the plan's jobs alone. */
export async function benchNow(seed = USUAL.seed, cooks = USUAL.cooks) {
  const rows: Row[] = [];
  await inShares('./now.worker.js', { seed, cooks }, (row: Row) => rows.push(row));
  rows.sort((a, b) => a.now.id.localeCompare(b.now.id, 'en', { numeric: true }));
  const count = (kind: (typeof VIOLATIONS)[number]): number =>
    rows.reduce((sum, r) => sum + (r.now.violations[kind] ?? 0), 0);
  const families = [...new Set(rows.map((r) => r.now.family))];
  return {
    ostrin: 'bench-now/1',
    seed,
    cooks: rows.length,
    moments: rows.reduce((sum, r) => sum + r.now.moments, 0),
    violations: Object.fromEntries(VIOLATIONS.map((v) => [v, count(v)])),
    inBandFraction: inBandOf(rows),
    visitsPerH: round(mean(rows.map((r) => r.now.visitsPerH))),
    byFamily: Object.fromEntries(
      families.map((f) => [f, inBandOf(rows.filter((r) => r.now.family === f))]),
    ),
    examples: rows.flatMap((r) => r.now.examples).slice(0, MOST_EXAMPLES),
  };
}

type BenchNow = Awaited<ReturnType<typeof benchNow>>;

/** What was found, as tables. */
export function nowTables(b: BenchNow): string {
  const line = (cells: readonly unknown[]): string => `| ${cells.join(' | ')} |`;
  const table = (head: readonly string[], rows: readonly (readonly unknown[])[]): string[] => [
    line(head),
    line(head.map(() => '---')),
    ...rows.map(line),
  ];
  return [
    `${b.cooks} cooks, ${b.moments} moments, seed ${b.seed}, ${b.visitsPerH} visits an hour`,
    '',
    ...table(['Violation', 'Times'], Object.entries(b.violations)),
    '',
    ...table(
      ['In the band, %', 'By the order', 'With habits', 'By the plan alone', 'By rules of thumb'],
      Object.entries({ all: b.inBandFraction, ...b.byFamily }).map(([name, f]) => [
        name,
        ...[f.now, f.withHabits, f.paper, f.rules].map((share) =>
          share === null ? '-' : (100 * share).toFixed(0),
        ),
      ]),
    ),
    '',
    ...b.examples.map((e) => `- ${e}`),
    '',
  ].join('\n');
}
