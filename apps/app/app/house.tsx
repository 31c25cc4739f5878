export { DevicesScreen as default } from '../src/screens';
