import { PlanScreen } from '../screens/PlanScreen';

export default function PlanRoute() {
  return <PlanScreen />;
}
