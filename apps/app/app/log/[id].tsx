import { useLocalSearchParams } from 'expo-router';
import { CookScreen } from '../../src/screens';

export default function CookRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CookScreen id={id} />;
}
