import { FilesScreen } from '../screens/FilesScreen';

export default function FilesRoute() {
  return <FilesScreen />;
}
