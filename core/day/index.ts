/** A day planned: when what is opened, and what lies at night; for who has a moment to reckon, not for a phone's first screen. */
export { dayTasks, workOutDay, type DayAnswer, type DayTask } from '../src/day/desk';
export * from '../src/day/limits';
export { asOpened, canOpen, isSheet, openingPlan } from '../src/day/opening';
export * from '../src/day/away';
export { hotDaysOf, HOT_DAYS_END, POTS_HOT_C } from '../src/day/hotDays';
export * from '../src/day/shadeWeeks';
export { remediesFor, wetBulbC, type Remedies } from '../src/day/remedies';
