export { KitScreen as default } from '../screens/KitScreen';
