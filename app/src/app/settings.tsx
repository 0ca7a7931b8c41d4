export { SettingsScreen as default } from '../screens/SettingsScreen';
