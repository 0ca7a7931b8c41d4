import { useLocalSearchParams } from 'expo-router';
import { BedScreen } from '../../screens/BedScreen';

export default function BedRoute() {
  const { id, structure } = useLocalSearchParams<{ id: string; structure?: string }>();
  return <BedScreen id={id} structureId={structure ?? null} key={`${id}${structure ?? ''}`} />;
}
