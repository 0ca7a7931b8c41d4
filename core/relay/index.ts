/** The relay: a farm's year by rows, what plantings have against each other, what it gives by the week, and gaps filled. */
export * from '../src/relay/check';
export * from '../src/relay/course';
export * from '../src/relay/handOver';
export * from '../src/relay/quarrel';
export * from '../src/relay/shade';
export * from '../src/relay/supply';
export * from '../src/relay/year';
export * from '../src/relay/fill';
export * from '../src/relay/fillPlan';
export * from '../src/relay/fillProblem';
export * from '../src/relay/fillSimple';
export { market, worth, type Market } from '../src/relay/fillWorth';
export * from '../src/relay/solve';
export * from '../src/relay/fillGaps';
export * from '../src/relay/demandCsv';
export * from '../src/relay/again';
export * from '../src/relay/need';
export * from '../src/relay/spots';
