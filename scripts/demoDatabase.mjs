/**
 * The demo world as a database that is ready: playing its cooks takes a processor most of twenty seconds, so it is done
 * once for a state of the sources, and once a day, since its cooks are dated from today.
 */
import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { buildNode, nodeDigest, root, run } from './setup.mjs';

const folder = path.join(root, '.cache/demo');

/** The ready database; made where there is none of these sources and this day. */
export function demoDatabase() {
  buildNode();
  const day = new Date().toISOString().slice(0, 10);
  const file = path.join(folder, `${day}-${nodeDigest().slice(0, 16)}.sqlite`);
  if (existsSync(file)) return file;
  mkdirSync(folder, { recursive: true });
  // Runs that go on at the same time may still copy one of today.
  for (const old of readdirSync(folder)) {
    if (!old.startsWith(day)) rmSync(path.join(folder, old));
  }
  const part = `${file}.${process.pid}`;
  run(process.execPath, ['apps/server/dist/writeDemo.js', part], { quiet: true });
  rmSync(`${part}-lock`, { force: true });
  renameSync(part, file);
  return file;
}

/** A copy of it at `file`: whoever opens that may write into it. */
export const copyDemoDatabase = (file) => copyFileSync(demoDatabase(), file);
