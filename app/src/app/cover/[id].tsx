import { useLocalSearchParams } from 'expo-router';
import { CoverScreen } from '../../screens/CoverScreen';

export default function CoverRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CoverScreen id={id} key={id} />;
}
