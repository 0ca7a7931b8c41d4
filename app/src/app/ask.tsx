export { AskScreen as default } from '../screens/AskScreen';
