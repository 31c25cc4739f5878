/** Before any test: the server's workers and the core run as built, so they are built from these very sources. */
import { bundleCore } from './bundleCore.mjs';
import { buildNode } from './setup.mjs';

export default async () => {
  buildNode();
  await bundleCore();
};
