/** One cook of each family of `ostrin bench --paper`, by a reader who does only what is printed. */
import { mean } from '@ostrin/core/internals';
import { readCook } from './paper/readCook';
import { tendCases } from './tend/measure';

it('holds true pits by the printed rule where the jobs alone do not, and no fire goes out or runs away', () => {
  const read = tendCases(7, 5).slice(0, 5).map(readCook);
  expect(new Set(read.map((r) => r.family)).size).toBe(5);
  expect(mean(read.map((r) => r.paper))).toBeGreaterThan(mean(read.map((r) => r.jobsOnly)) + 0.1);
  expect(read.filter((r) => r.ranAway || r.ranOut)).toEqual([]);
  for (const r of read) expect(r.visitsPerH).toBeLessThanOrEqual(r.plannedVisitsPerH);
});
