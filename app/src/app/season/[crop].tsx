import { useLocalSearchParams } from 'expo-router';
import { SeasonCropScreen } from '../../screens/SeasonCropScreen';

export default function SeasonCropRoute() {
  const { crop } = useLocalSearchParams<{ crop: string }>();
  return <SeasonCropScreen crop={crop} key={crop} />;
}
