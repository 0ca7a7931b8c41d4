import { SiteScreen } from '../screens/SiteScreen';

export default function SiteRoute() {
  return <SiteScreen />;
}
