/** `ostrin bench --paper`: what a reader who does only what is printed makes of the plans, in true pits. */
import { mean } from '@ostrin/core/internals';
import type { ReadCook } from '../paper/readCook';
import { inShares } from './inShares';

const USUAL = { seed: 20270515, cooks: 100 };
/** What is asked of each family: share in the band by the paper. */
const ASKED: Readonly<Record<string, number>> = {
  kettle: 0.8,
  bullet: 0.8,
  kamado: 0.8,
  offset: 0.7,
  hopper: 0.98,
};

const round = (v: number): number => Number(v.toFixed(3));
const meanOf = (rows: readonly ReadCook[], of: (r: ReadCook) => number | null): number =>
  round(mean(rows.flatMap((r) => of(r) ?? [])));

const sharesOf = (rows: readonly ReadCook[]) => ({
  paper: meanOf(rows, (r) => r.paper),
  jobsOnly: meanOf(rows, (r) => r.jobsOnly),
  rules: meanOf(rows, (r) => r.rules),
});

/** All figures under the names of the open format. */
export async function benchPaper(seed = USUAL.seed, cooks = USUAL.cooks) {
  const rows: ReadCook[] = [];
  await inShares('./paper.worker.js', { seed, cooks }, (row: ReadCook) => rows.push(row));
  rows.sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true }));
  const families = [...new Set(rows.map((r) => r.family))];
  const of = (family: string): ReadCook[] => rows.filter((r) => r.family === family);
  return {
    ostrin: 'bench-paper/1',
    seed,
    cooks: rows.length,
    inBandFraction: sharesOf(rows),
    runaways: rows.filter((r) => r.ranAway).length,
    ranOut: rows.filter((r) => r.ranOut).length,
    visitsPerH: meanOf(rows, (r) => r.visitsPerH),
    plannedVisitsPerH: meanOf(rows, (r) => r.plannedVisitsPerH),
    byFamily: Object.fromEntries(
      families.map((f) => [
        f,
        {
          ...sharesOf(of(f)),
          promised: of(f).some((r) => r.promised !== null)
            ? meanOf(of(f), (r) => r.promised)
            : null,
          runaways: of(f).filter((r) => r.ranAway).length,
          ranOut: of(f).filter((r) => r.ranOut).length,
          visitsPerH: meanOf(of(f), (r) => r.visitsPerH),
          asked: ASKED[f] ?? null,
        },
      ]),
    ),
    worst: [...rows]
      .sort((a, b) => a.paper - b.paper)
      .slice(0, 8)
      .map(({ id, paper, ranAway, ranOut }) => ({ id, paper: round(paper), ranAway, ranOut })),
  };
}

type BenchPaper = Awaited<ReturnType<typeof benchPaper>>;

/** What was found, as tables. */
export function paperTables(b: BenchPaper): string {
  const line = (cells: readonly unknown[]): string => `| ${cells.join(' | ')} |`;
  const percent = (v: number | null): string => (v === null ? '-' : `${Math.round(100 * v)} %`);
  const head = [
    'Family',
    'Paper',
    'Asked',
    'Promised',
    'Jobs only',
    'Rules of thumb',
    'Ran away',
    'Ran out',
    'Visits an hour',
  ];
  return [
    `${b.cooks} cooks, seed ${b.seed}`,
    '',
    line(head),
    line(head.map(() => '---')),
    ...Object.entries(b.byFamily).map(([f, r]) =>
      line([
        f,
        percent(r.paper),
        percent(r.asked),
        percent(r.promised),
        percent(r.jobsOnly),
        percent(r.rules),
        r.runaways,
        r.ranOut,
        r.visitsPerH,
      ]),
    ),
    line([
      '**all**',
      percent(b.inBandFraction.paper),
      '80 %',
      '',
      percent(b.inBandFraction.jobsOnly),
      percent(b.inBandFraction.rules),
      b.runaways,
      b.ranOut,
      b.visitsPerH,
    ]),
    '',
    `The plans say ${b.plannedVisitsPerH} visits an hour, looks included.`,
    '',
  ].join('\n');
}
