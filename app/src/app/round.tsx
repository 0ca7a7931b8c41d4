import { later } from '../data/later';

export default later(() => import('../screens/others').then((screen) => screen.RoundScreen));
