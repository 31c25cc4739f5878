/** `ostrin simulate|plan|facts|bench`: one JSON document on standard output, problems on standard error. */
import { problemLine, readRequest, readScenario, type Checked } from '@ostrin/contract';
import { epochOf, simulate } from '@ostrin/core';
import { planDocument, wordResult } from '@ostrin/wording';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { movableParameters, rowsWithParametersMoved } from '../../../checks/movedParameters';
import { runFacts, factsTable } from '../../../checks/run';
import { syntheticRows } from '../../../checks/syntheticCooks';
import { bench } from './bench';
import { benchPlans, plansTables } from './benchPlans';

const USAGE = `Usage: ostrin simulate <scenario.json | ->
       ostrin plan <request.json | -> [--now 2027-05-14T09:00]   (asked then, in the request's time zone; else now)
       ostrin facts [--json]
       ostrin facts --moved   (the pit's rows with each parameter moved by a tenth; minutes)
       ostrin facts --twins   (windows and readings against synthetic cooks; minutes)
       ostrin bench --json
       ostrin bench --plans [--json] [--seed 7]   (plans against rules of thumb, in sixty simulated cooks; a minute or two)`;

/** Likely cooks behind a plan. */
const MEMBERS = 60;

/** Bad input: said line by line, exit status 2. */
class BadInput extends Error {}

function readJson(file: string | undefined): unknown {
  if (!file) throw new BadInput(USAGE);
  const where = file === '-' ? 0 : path.resolve(process.env.OSTRIN_CWD ?? process.cwd(), file);
  let text: string;
  try {
    text = readFileSync(where, 'utf8');
  } catch {
    throw new BadInput(`${file}: cannot be read`);
  }
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    throw new BadInput(`${file}: is not JSON: ${(error as Error).message}`);
  }
}

function must<T>(checked: Checked<T>): T {
  if (!checked.ok) throw new BadInput(checked.problems.map(problemLine).join('\n'));
  return checked.value;
}

/** What stands behind an option; undefined where it is not told. */
function told(rest: readonly string[], option: string): string | undefined {
  const at = rest.indexOf(option);
  return at < 0 ? undefined : (rest[at + 1] ?? '');
}

/** When a plan is asked for: as told behind `--now`, else by this machine's clock. Epoch ms. */
function askedMs(rest: readonly string[], zone: string): number {
  const now = told(rest, '--now');
  if (now === undefined) return Date.now();
  const ms = epochOf(now, zone);
  if (Number.isNaN(ms)) throw new BadInput('--now: must be a time like 2027-05-14T09:00');
  return ms;
}

/** The seed behind `--seed`; none when it is not told. */
function seedOf(rest: readonly string[]): number | undefined {
  const seed = told(rest, '--seed');
  if (seed === undefined) return undefined;
  if (seed === '' || !Number.isInteger(Number(seed))) {
    throw new BadInput('--seed: must be a whole number');
  }
  return Number(seed);
}

const print = (value: unknown): void => {
  process.stdout.write(`${JSON.stringify(value)}\n`);
};

/** Runs one command; returns the exit status. */
export async function main(
  argv: readonly string[],
  now: () => number = () => performance.now(),
): Promise<number> {
  const [command, ...rest] = argv;
  try {
    switch (command) {
      case 'simulate': {
        const scenario = must(readScenario(readJson(rest[0])));
        const began = now();
        const result = simulate(scenario);
        print({ ...wordResult(result), computeMs: Math.round(now() - began) });
        return 0;
      }
      case 'plan': {
        const request = must(readRequest(readJson(rest[0])));
        print(planDocument(request, { nowMs: askedMs(rest, request.timeZone), members: MEMBERS }));
        return 0;
      }
      case 'facts': {
        if (rest.includes('--moved')) {
          print({ moved: rowsWithParametersMoved(movableParameters()) });
          return 0;
        }
        const rows = rest.includes('--twins') ? syntheticRows() : runFacts();
        if (rest.includes('--json')) print({ rows });
        else process.stdout.write(factsTable(rows));
        return 0;
      }
      case 'bench':
        if (!rest.includes('--plans')) print(await bench(now));
        else {
          const measured = benchPlans(seedOf(rest));
          if (rest.includes('--json')) print(measured);
          else process.stdout.write(plansTables(measured));
        }
        return 0;
      default:
        throw new BadInput(command ? `${command}: no such command\n${USAGE}` : USAGE);
    }
  } catch (error) {
    if (error instanceof BadInput) {
      process.stderr.write(`${error.message}\n`);
      return 2;
    }
    process.stderr.write(`A fault of ours: ${(error as Error).stack ?? String(error)}\n`);
    return 1;
  }
}

if (process.argv[1] && import.meta.url.endsWith(path.basename(process.argv[1]))) {
  void main(process.argv.slice(2)).then((status) => {
    process.exitCode = status;
  });
}
