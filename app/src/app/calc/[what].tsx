import { useLocalSearchParams } from 'expo-router';
import { CalcScreen } from '../../screens/CalcScreen';

export default function CalcRoute() {
  const { what, bed } = useLocalSearchParams<{ what: string; bed?: string }>();
  return <CalcScreen what={what} bedId={bed ?? null} key={what} />;
}
