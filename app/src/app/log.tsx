export { LogScreen as default } from '../screens/LogScreen';
