import { useLocalSearchParams } from 'expo-router';
import { PlantingScreen } from '../../screens/PlantingScreen';

export default function Planting() {
  const { id, bed } = useLocalSearchParams<{ id: string; bed?: string }>();
  return <PlantingScreen id={id} bedId={bed ?? null} key={id} />;
}
