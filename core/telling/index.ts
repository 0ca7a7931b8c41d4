/** Times and units told: the little of core that every screen needs before its first word. */
export * from '../src/formats/units';
export * from '../src/time/farmTime';
export type { FarmSite } from '../src/farm/types';
export * from '../src/log/apply';
export * from '../src/log/standing';
