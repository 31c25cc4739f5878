export { LogScreen as default } from '../../src/log/LogScreen';
