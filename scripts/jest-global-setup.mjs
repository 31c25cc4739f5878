/** Before any test: the server's workers run as built, so they are built from these very sources. */
import { buildNode } from './setup.mjs';

export default () => buildNode();
