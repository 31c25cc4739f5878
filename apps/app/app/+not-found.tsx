export { NotFoundScreen as default } from '../src/ui/NotFoundScreen';
