import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../src/ui/lazyComponent';

const CompareScreen = lazyComponent(async () => ({
  default: (await import('../../src/log/pages')).CompareScreen,
}));

export default function CompareRoute() {
  const { ids = '' } = useLocalSearchParams<{ ids: string }>();
  return <CompareScreen ids={ids.split(',').filter(Boolean)} />;
}
