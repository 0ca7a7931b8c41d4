import { useLocalSearchParams } from 'expo-router';
import { later } from '../../data/later';

const CultivarScreen = later(() => import('../../screens/others').then((screen) => screen.CultivarScreen));

export default function Cultivar() {
  const { crop, name } = useLocalSearchParams<{ crop: string; name?: string }>();
  return <CultivarScreen crop={crop} name={name ?? ''} key={`${crop} ${name ?? ''}`} />;
}
