import { useLocalSearchParams } from 'expo-router';
import { PlaceScreen } from '../../screens/PlaceScreen';

export default function Place() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PlaceScreen bedId={id} key={id} />;
}
