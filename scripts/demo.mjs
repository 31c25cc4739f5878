/**
 * `npm run demo`: installs, builds, loads the demo world into a yard that nobody has used, and starts the one server.
 * Options behind `--` are the server's: `npm run demo -- --home` opens it to the home network.
 */
import { serve } from './serve.mjs';

serve({ OSTRIN_DEMO: '1' });
