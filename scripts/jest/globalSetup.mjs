/** Before any test: the server's workers and the core run as built, so they are built from these very sources. */
import process from 'node:process';
import { bundleCore } from '../bundleCore.mjs';
import { demoDatabase } from '../demoDatabase.mjs';
import { buildNode } from '../setup.mjs';

export default async () => {
  buildNode();
  await bundleCore();
  // Test files of a run read it from their environment.
  process.env.OSTRIN_READY_DEMO = demoDatabase();
};
