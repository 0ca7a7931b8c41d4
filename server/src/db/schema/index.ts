/** The tables, by topic. Instants are epoch milliseconds as bigint, dates ISO text, quantities SI. */
export * from './things';
export * from './seeds';
export * from './scenarios';
export * from './log';
export * from './weather';
export * from './nights';
export * from './messages';
export * from './climate';
export * from './meta';
