export { NowhereScreen as default } from '../src/ui/NowhereScreen';
