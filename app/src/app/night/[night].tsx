import { useLocalSearchParams } from 'expo-router';
import { NightScreen } from '../../screens/NightScreen';

export default function Night() {
  const { night } = useLocalSearchParams<{ night: string }>();
  return <NightScreen night={night} key={night} />;
}
