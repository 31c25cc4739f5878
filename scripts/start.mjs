/** `npm start`: the same as `npm run demo`, without the demo world. Options behind `--` are the server's. */
import { serve } from './serve.mjs';

serve();
