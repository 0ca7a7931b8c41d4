import { useLocalSearchParams } from 'expo-router';
import { later } from '../../data/later';

const BedScreen = later(() => import('../../screens/others').then((screen) => screen.BedScreen));

export default function BedRoute() {
  const { id, structure } = useLocalSearchParams<{ id: string; structure?: string }>();
  return <BedScreen id={id} structureId={structure ?? null} key={`${id}${structure ?? ''}`} />;
}
