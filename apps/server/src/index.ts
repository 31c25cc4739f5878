/** The server's parts, for tests and scripts. */
export { createApp } from './app';
export { closeDatabase, openDatabase } from './store/db';
export { cookStore } from './store/cooks';
export { loadDemo } from './demo/loadDemo';
export { Pools } from './workers/pools';
