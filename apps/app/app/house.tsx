export { HouseScreen as default } from '../src/screens';
