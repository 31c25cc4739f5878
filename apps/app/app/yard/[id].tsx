import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../src/ui/lazyComponent';

const PitScreen = lazyComponent(async () => ({
  default: (await import('../../src/yard/pages')).PitScreen,
}));

export default function PitRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PitScreen id={id} />;
}
