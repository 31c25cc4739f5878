export { InstrumentsScreen as default } from '../src/screens';
