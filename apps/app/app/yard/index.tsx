export { YardScreen as default } from '../../src/screens';
