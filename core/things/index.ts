/** The farm's things and the case format, checked: one definition each, in Zod. For doors alone. */
export * from '../src/crops/seeds';
export * from '../src/farm/things';
export * from '../src/heat/caseShape';
