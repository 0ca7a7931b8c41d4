import { useLocalSearchParams } from 'expo-router';
import { StructureScreen } from '../../screens/StructureScreen';

export default function StructureRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <StructureScreen id={id} key={id} />;
}
