import { lazyComponent } from '../../src/ui/lazyComponent';

export default lazyComponent(async () => ({
  default: (await import('../../src/yard/pages')).YardScreen,
}));
