/** `npm run -s ostrin -- …`: the command line. Set-up speaks on standard error only. */
import process from 'node:process';
import { pathToFileURL } from 'node:url';
import { buildNode, cliMain, install } from './setup.mjs';

install(true);
buildNode();
process.env.OSTRIN_CWD = process.env.INIT_CWD ?? process.cwd();
const { main } = await import(pathToFileURL(cliMain).href);
process.exitCode = await main(process.argv.slice(2));
