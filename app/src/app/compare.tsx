import { useLocalSearchParams } from 'expo-router';
import { later } from '../data/later';

const CompareScreen = later(() => import('../screens/others').then((screen) => screen.CompareScreen));

export default function Compare() {
  const { ways } = useLocalSearchParams<{ ways?: string }>();
  return <CompareScreen ways={ways ?? ''} />;
}
