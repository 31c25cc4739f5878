/**
 * The pages that are fetched after the first one stands. They are named here, and not in their routes: a route is looked at
 * when it is first visited, and its page would be fetched only then.
 */
import { lazyComponent } from './ui/lazyComponent';

const log = () => import('./log/pages');
const yard = () => import('./yard/pages');

export const LogScreen = lazyComponent(async () => ({ default: (await log()).LogScreen }));
export const CookScreen = lazyComponent(async () => ({ default: (await log()).CookScreen }));
export const CompareScreen = lazyComponent(async () => ({ default: (await log()).CompareScreen }));
export const ForeignScreen = lazyComponent(async () => ({ default: (await log()).ForeignScreen }));
export const YardScreen = lazyComponent(async () => ({ default: (await yard()).YardScreen }));
export const PitScreen = lazyComponent(async () => ({ default: (await yard()).PitScreen }));
export const DevicesScreen = lazyComponent(async () => ({
  default: (await import('./devices/DevicesScreen')).DevicesScreen,
}));
export const InstrumentsScreen = lazyComponent(async () => ({
  default: (await import('./instruments/InstrumentsScreen')).InstrumentsScreen,
}));
