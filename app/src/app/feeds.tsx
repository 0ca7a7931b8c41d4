export { FeedsScreen as default } from '../screens/FeedsScreen';
