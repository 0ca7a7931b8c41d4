import { useLocalSearchParams } from 'expo-router';
import { later } from '../../data/later';

const PlantingScreen = later(() => import('../../screens/others').then((screen) => screen.PlantingScreen));

export default function Planting() {
  const { id, bed } = useLocalSearchParams<{ id: string; bed?: string }>();
  return <PlantingScreen id={id} bedId={bed ?? null} key={id} />;
}
