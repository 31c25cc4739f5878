export { TendScreen as default } from '../src/tend/TendScreen';
