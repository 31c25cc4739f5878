export { LogScreen as default } from '../../src/screens';
