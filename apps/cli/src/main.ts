/** `ostrin simulate|plan|facts|bench`: one JSON document on standard output, problems on standard error. */
import type { BenchOptions } from '@ostrin/checks/bench';
import type { FactsOptions } from '@ostrin/checks/facts';
import { problemLine, readRequest, readScenario, type Checked } from '@ostrin/contract';
import { epochOf } from '@ostrin/core/quantity';
import { simulate } from '@ostrin/core/engine';
import { planDocument, wordResult } from '@ostrin/wording/documents';
import { Command, CommanderError, InvalidArgumentError, Option } from 'commander';
import { readFileSync } from 'node:fs';
import path from 'node:path';

/** Likely cooks behind a plan. */
const MEMBERS = 60;

/** Bad input: said line by line, exit status 2. */
class BadInput extends Error {}

function readJson(file: string): unknown {
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

/** When a plan is asked for: as told behind `--now`, else by this machine's clock. Epoch ms. */
function askedMs(now: string | undefined, zone: string): number {
  if (now === undefined) return Date.now();
  const ms = epochOf(now, zone);
  if (Number.isNaN(ms)) throw new BadInput('--now: must be a time like 2027-05-14T09:00');
  return ms;
}

/** A whole number behind an option. */
function wholeNumber(text: string): number {
  if (text === '' || !Number.isInteger(Number(text))) {
    throw new InvalidArgumentError('must be a whole number');
  }
  return Number(text);
}

const say = (text: string): void => {
  process.stdout.write(`${text}\n`);
};
const print = (value: unknown): void => say(JSON.stringify(value));

type Now = () => number;

/** `ostrin bench` with what it can measure. */
function addBench(program: Command, now: Now): void {
  program
    .command('bench')
    .description('time the engine, or measure plans or the server')
    .option('--json', 'as JSON; timings have no other form')
    .option('--plans', 'plans against rules of thumb, in sixty simulated cooks; takes minutes')
    .addOption(
      new Option(
        '--server',
        'the server under kills, bad requests and many watchers; takes minutes',
      ).conflicts('plans'),
    )
    .addOption(
      new Option(
        '--tend',
        'the estimate of a fire from its readings, in true cooks; takes minutes',
      ).conflicts(['plans', 'server']),
    )
    .addOption(
      new Option(
        '--learn',
        'how much better pits are known after their logged cooks; takes minutes',
      ).conflicts(['plans', 'server', 'tend']),
    )
    .addOption(
      new Option(
        '--log',
        'a log of five hundred cooks: its list, one cook, a comparison, its room; takes a minute',
      ).conflicts(['plans', 'server', 'tend', 'learn']),
    )
    .addOption(
      new Option(
        '--now',
        'the order on the card, held against written rules in true cooks; takes minutes',
      ).conflicts(['plans', 'server', 'tend', 'learn', 'log']),
    )
    .addOption(
      new Option(
        '--paper',
        'what a reader who does only what is printed makes of the plans, in true cooks; takes minutes',
      ).conflicts(['plans', 'server', 'tend', 'learn', 'log', 'now']),
    )
    .option('--cooks <number>', 'how many of those cooks; 100 when left out', wholeNumber)
    .option('--seed <number>', 'the seed of those cooks or requests', wholeNumber)
    .action(async (asked: BenchOptions) => {
      const { benchmark } = await import('@ostrin/checks/bench');
      say(await benchmark(asked, now));
    });
}

/** The command line: its commands, their options and their help. */
function commandLine(now: Now): Command {
  const program = new Command('ostrin')
    .description(
      'Plans, simulates and checks cooks over live fire. Answers are JSON on standard output.',
    )
    .exitOverride()
    .showHelpAfterError()
    .configureOutput({ outputError: (text, write) => write(text) });
  program
    .command('simulate')
    .description('simulate a cook')
    .argument('<scenario>', 'a scenario document (JSON), or - for standard input')
    .action((file: string) => {
      const scenario = must(readScenario(readJson(file)));
      const began = now();
      const result = simulate(scenario);
      print({ ...wordResult(result), computeMs: Math.round(now() - began) });
    });
  program
    .command('plan')
    .description('plan a meal backwards from its serving time')
    .argument('<request>', 'a request document (JSON), or - for standard input')
    .option('--now <time>', "when it is asked, like 2027-05-14T09:00 in the request's time zone")
    .action((file: string, { now: asked }: { now?: string }) => {
      const request = must(readRequest(readJson(file)));
      print(planDocument(request, { nowMs: askedMs(asked, request.timeZone), members: MEMBERS }));
    });
  program
    .command('facts')
    .description('check the engine against the outside world')
    .option('--json', 'as JSON instead of a table')
    .addOption(
      new Option(
        '--moved',
        "the pit's rows with each parameter moved by a tenth; takes minutes",
      ).conflicts('twins'),
    )
    .option('--twins', 'windows and readings against synthetic cooks; takes minutes')
    .action(async (asked: FactsOptions) => {
      // What only checks and benchmarks need is loaded when they are asked for.
      const { facts } = await import('@ostrin/checks/facts');
      say(facts(asked));
    });
  addBench(program, now);
  return program;
}

/** Runs one command; returns the exit status: 0 done, 1 a fault of ours, 2 bad input. */
export async function main(
  argv: readonly string[],
  now: Now = () => performance.now(),
): Promise<number> {
  try {
    await commandLine(now).parseAsync([...argv], { from: 'user' });
    return 0;
  } catch (error) {
    if (error instanceof CommanderError) return error.exitCode === 0 ? 0 : 2;
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
