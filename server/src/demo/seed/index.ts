/**
 * Rescoldo, the invented farm: a high inland valley with clear cold nights. Names of cultivars are invented; sizes,
 * dates and prices are made up to be ordinary. It opens on a January afternoon before three nights of frost.
 */
export * from './covers';
export * from './crops';
export { DEMO_EPISODES, DEMO_FARM, DEMO_SEED, DEMO_START_MS } from './farm';
export * from './place';
export * from './lastYear';
export * from './records';
export * from './seeds';
