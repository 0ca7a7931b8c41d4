import { useLocalSearchParams } from 'expo-router';
import { later } from '../../data/later';

const PlaceScreen = later(() => import('../../screens/others').then((screen) => screen.PlaceScreen));

export default function Place() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PlaceScreen bedId={id} key={id} />;
}
