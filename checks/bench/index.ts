/** `ostrin bench`: each measure is loaded when it is asked for. */

export interface BenchOptions {
  /** As JSON instead of tables, where there are tables. */
  json?: boolean;
  plans?: boolean;
  server?: boolean;
  log?: boolean;
  tend?: boolean;
  learn?: boolean;
  now?: boolean;
  paper?: boolean;
  /** How many cooks. */
  cooks?: number;
  seed?: number;
}

/** What `ostrin bench` prints, without its last line's end; `now` is a clock, ms. */
export async function benchmark(
  { json, plans, server, log, tend, learn, now: order, paper, cooks, seed }: BenchOptions,
  now: () => number,
): Promise<string> {
  const printed = <T>(measured: T, tables: (of: T) => string): string =>
    json ? JSON.stringify(measured) : tables(measured).trimEnd();
  if (tend) {
    const { benchTend, tendTables } = await import('./benchTend');
    return printed(await benchTend(seed, cooks), tendTables);
  }
  if (order) {
    const { benchNow, nowTables } = await import('./benchNow');
    return printed(await benchNow(seed, cooks), nowTables);
  }
  if (paper) {
    const { benchPaper, paperTables } = await import('./benchPaper');
    return printed(await benchPaper(seed, cooks), paperTables);
  }
  if (learn) {
    const { benchLearn, learnTables } = await import('./benchLearn');
    return printed(await benchLearn(now, seed), learnTables);
  }
  if (log) return JSON.stringify(await (await import('./benchLog')).benchLog());
  if (server) return JSON.stringify(await (await import('./benchServer')).benchServer(seed));
  if (plans) {
    const { benchPlans, plansTables } = await import('./benchPlans');
    return printed(benchPlans(seed), plansTables);
  }
  return JSON.stringify(await (await import('./bench')).bench(now));
}
