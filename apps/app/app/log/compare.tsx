import { useLocalSearchParams } from 'expo-router';
import { CompareScreen } from '../../src/screens';

export default function CompareRoute() {
  const { ids = '' } = useLocalSearchParams<{ ids?: string }>();
  return <CompareScreen ids={ids.split(',').filter(Boolean)} />;
}
