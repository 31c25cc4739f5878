/** The server's parts, for tests and scripts. */
export { createApp, type AppOptions } from './app';
export { accessStore } from './access/accessStore';
export { closeDatabase, openDatabase } from './store/db';
export { cookStore } from './store/cooks';
export { loadDemo, storeWorld } from './demo/loadDemo';
export { Pools } from './workers/pools';
