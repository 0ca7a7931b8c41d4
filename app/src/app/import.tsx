export { ImportScreen as default } from '../screens/ImportScreen';
