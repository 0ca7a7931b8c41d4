export { NowScreen as default } from '../screens/NowScreen';
