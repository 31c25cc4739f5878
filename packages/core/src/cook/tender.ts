import type { PitState } from '../pit/state';
import type { Action, Scenario } from './scenario';
export interface Tender { targetC: number }
export const createTender = (_s: Scenario, targetC: number): Tender => ({ targetC });
export function tendPit(_t: Tender, _p: PitState, _m: number): Action[] { return []; }
