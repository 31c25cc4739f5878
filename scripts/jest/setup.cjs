/** Property tests draw the same cases each run (FC_SEED for others), and stop at the first that fails. */
require('reflect-metadata');
const fc = require('fast-check');

fc.configureGlobal({ seed: Number(process.env.FC_SEED ?? 20261123), endOnFailure: true });
