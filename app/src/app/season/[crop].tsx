import { useLocalSearchParams } from 'expo-router';
import { later } from '../../data/later';

const SeasonCropScreen = later(() =>
  import('../../screens/others').then((screen) => screen.SeasonCropScreen),
);

export default function SeasonCropRoute() {
  const { crop } = useLocalSearchParams<{ crop: string }>();
  return <SeasonCropScreen crop={crop} key={crop} />;
}
