import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../src/ui/lazyComponent';

const CookScreen = lazyComponent(async () => ({
  default: (await import('../../src/log/pages')).CookScreen,
}));

export default function CookRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CookScreen id={id} />;
}
