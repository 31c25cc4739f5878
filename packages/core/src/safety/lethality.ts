/**
 * Salmonella reduction at the coldest point of an intact red-meat cut: the published table, straight
 * between its entries on a logarithmic scale and a little slower, so that it is never credited faster.
 */

/** Minutes for 6.5 log in beef at a temperature, C (USDA FSIS Appendix A, from memory). */
const APPENDIX_A: readonly (readonly [number, number])[] = [
  [54.4, 112],
  [57.2, 36],
  [60, 12],
  [62.8, 4],
  [65.6, 67 / 60],
  [68.3, 22 / 60],
];
/** Safe within so long counts as safe by its temperature alone, min. */
const ALONE_MIN = 4;
/** The coolest that an intact piece is safe at by its temperature alone, C. */
export const INTACT_SAFE_C = APPENDIX_A.find(([, minutes]) => minutes <= ALONE_MIN)![0];
/** Log reductions that the table's minutes stand for. */
export const SAFE_LOG_REDUCTION = 6.5;
/** Credited this much slower than the table. */
const SLOWER = 1.04;

/** Log10 reductions per minute at `c` C; nothing below the table, no faster than its end above it. */
export function logReductionsPerMin(c: number): number {
  const first = APPENDIX_A[0]!;
  if (c < first[0]) return 0;
  let minutes = APPENDIX_A.at(-1)![1];
  for (let i = 1; i < APPENDIX_A.length; i++) {
    const [c1, m1] = APPENDIX_A[i]!;
    if (c > c1) continue;
    const [c0, m0] = APPENDIX_A[i - 1]!;
    minutes = m0 * Math.pow(m1 / m0, (c - c0) / (c1 - c0));
    break;
  }
  return SAFE_LOG_REDUCTION / (SLOWER * minutes);
}

/** Safe at once at the centre, C: poultry and minced meat (USDA FSIS safe minimum temperatures, from memory). */
export const SAFE_C = { poultry: 73.9, minced: 71.1 } as const;
