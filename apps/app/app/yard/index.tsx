export { YardScreen as default } from '../../src/yard/YardScreen';
