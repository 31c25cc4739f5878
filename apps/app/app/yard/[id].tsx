import { useLocalSearchParams } from 'expo-router';
import { PitScreen } from '../../src/screens';

export default function PitRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PitScreen id={id} />;
}
