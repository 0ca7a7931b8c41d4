/** Why a window ends where it does, as a sentence of core's words: the same in the open format and on the screen. */
import type { Reason, SchoolId } from '@fogata/core/season';
import { en, type Said } from '@fogata/core/words';

/** Its values are those of the reason, and whether the crop is sown or planted. */
export const reasonSaid = (r: Reason, how: 'sow' | 'transplant'): Said => ({
  say: `window.${r.id}`,
  values: { ...r.values, done: how === 'sow' ? 'sown' : 'planted' },
});

export const reasonWords = (r: Reason, how: 'sow' | 'transplant'): string =>
  en[`window.${r.id}`]({ ...r.values, done: how === 'sow' ? 'sown' : 'planted' });

export const missesWords = (school: SchoolId): string => en[`misses.${school}`]();
