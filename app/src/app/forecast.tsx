export { ForecastScreen as default } from '../screens/ForecastScreen';
