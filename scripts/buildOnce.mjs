/** Builds the web export where it is not built from these very sources yet. */
import { buildWeb } from './setup.mjs';

buildWeb();
