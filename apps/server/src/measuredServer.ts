/**
 * The server as `ostrin bench --server` starts it: on a scratch database, watching its cooks as it does where somebody
 * outside hears of them, with a clock that can be set forward over the channel to its parent, as a machine's is that slept.
 */
import pino from 'pino';
import { createApp } from './app';
import { openDatabase } from './store/db';
import { Pools } from './workers/pools';

let aheadMs = 0;
process.on('message', (message: { aheadMs: number }) => {
  aheadMs = message.aheadMs;
});

const file = process.env.OSTRIN_DB!;
const db = await openDatabase(file);
const pools = new Pools((error) => {
  throw error;
});
const logger = pino({ level: 'silent' });
const now = (): number => Date.now() + aheadMs;
const { app, clocks, watch } = createApp({ db, file, logger, pools, now });
await clocks.start();
watch.start();
app.listen(Number(process.env.PORT), '127.0.0.1', () => process.send?.('ready'));
