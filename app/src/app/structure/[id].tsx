import { useLocalSearchParams } from 'expo-router';
import { later } from '../../data/later';

const StructureScreen = later(() => import('../../screens/others').then((screen) => screen.StructureScreen));

export default function StructureRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <StructureScreen id={id} key={id} />;
}
