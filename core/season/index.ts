/** Seasons: climates, plausible years, days under covers, growth and windows, for who answers by the year: the server and scripts. */
export * from '../src/climate/climate';
export * from '../src/climate/dailyCsv';
export * from '../src/climate/frost';
export * from '../src/climate/hours';
export * from '../src/climate/nearTown';
export { makesButtons } from '../src/growth/course';
export * from '../src/growth/mildew';
export * from '../src/climate/record';
export * from '../src/climate/stationFile';
export {
  daysUnder,
  VENTING,
  type Reduced,
  type Under,
  type UnderSpec,
  type Venting,
} from '../src/climate/underCover';
export { errorOf, fitUnder, type ReducedError } from '../src/climate/underFit';
export * from '../src/climate/table';
export * from '../src/climate/years';
export * from '../src/windows/bolting';
export { LIBRARY_COLUMNS, libraryCsv } from '../src/crops/libraryCsv';
export * from '../src/growth/counters';
export * from '../src/growth/course';
export * from '../src/growth/thermal';
export * from '../src/windows/dates';
export * from '../src/windows/farm';
export * from '../src/windows/request';
export * from '../src/windows/schools';
export * from '../src/windows/steps';
