export { StartScreen as default } from '../screens/StartScreen';
