import { useLocalSearchParams } from 'expo-router';
import { later } from '../../data/later';

const StoryScreen = later(() => import('../../screens/others').then((screen) => screen.StoryScreen));

export default function StoryRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <StoryScreen id={id} key={id} />;
}
