export { main } from './main';
