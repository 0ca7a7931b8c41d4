export { BedsScreen as default } from '../screens/BedsScreen';
