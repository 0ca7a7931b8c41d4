/** Everything that crosses the API or a file: schemas, the types inferred from them, and the paths. */
export * from './ask';
export * from './farm';
export * from './farmFile';
export * from './jobTitle';
export * from './pages';
export * from './records';
export * from './expected';
export * from './simulationCase';
export * from './views';
export * from './weather';
