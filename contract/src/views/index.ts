/** What the screens read: answers, made by the server from core; what is said in them by id with values (`told/` is the same in words). */
export * from './ahead';
export * from './ask';
export * from './night';
export * from './place';
export * from './log';
export * from './farm';
export * from './day';
export * from './weather';
export * from './relay';
export * from './scenario';
export * from './season';
export * from './messages';
export * from './seeds';
export * from './need';
export * from './compare';
export * from './shade';
export * from './water';
