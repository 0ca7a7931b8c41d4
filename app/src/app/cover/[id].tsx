import { useLocalSearchParams } from 'expo-router';
import { later } from '../../data/later';

const CoverScreen = later(() => import('../../screens/others').then((screen) => screen.CoverScreen));

export default function CoverRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CoverScreen id={id} key={id} />;
}
