import { useLocalSearchParams } from 'expo-router';
import { SetupScreen } from '../../screens/SetupScreen';

export default function Setup() {
  const { what, structure } = useLocalSearchParams<{ what: string; structure?: string }>();
  return (
    <SetupScreen
      what={what === 'bed' ? 'bed' : what === 'cover' ? 'cover' : 'structure'}
      structureId={structure ?? null}
    />
  );
}
