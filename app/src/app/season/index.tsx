import { SeasonScreen } from '../../screens/SeasonScreen';

export default function SeasonRoute() {
  return <SeasonScreen />;
}
