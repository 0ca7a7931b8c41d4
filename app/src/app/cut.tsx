import { CutScreen } from '../screens/CutScreen';

export default function CutRoute() {
  return <CutScreen />;
}
