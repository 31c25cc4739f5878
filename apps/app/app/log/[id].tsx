import { useLocalSearchParams } from 'expo-router';
import { CookScreen } from '../../src/log/CookScreen';

export default function CookRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CookScreen id={id} />;
}
