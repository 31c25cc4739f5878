export { HouseScreen as default } from '../src/house/HouseScreen';
