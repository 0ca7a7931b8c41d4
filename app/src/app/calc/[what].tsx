import { useLocalSearchParams } from 'expo-router';
import { later } from '../../data/later';

const CalcScreen = later(() => import('../../screens/others').then((screen) => screen.CalcScreen));

export default function CalcRoute() {
  const { what, bed } = useLocalSearchParams<{ what: string; bed?: string }>();
  return <CalcScreen what={what} bedId={bed ?? null} key={what} />;
}
