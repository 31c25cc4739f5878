export { ForeignScreen as default } from '../../src/screens';
