/** What a form's schema expects, in the farm's words. Contract: `options` goes to the schema's resolver, `told` shows a message of it. */
import { expectedOf } from '@fogata/contract';
import { wantIn, type Said } from '@fogata/core';
import { expects as words } from '@fogata/words/en/screens/data';
import { useFormat } from './format';

type Issue = Parameters<typeof expectedOf>[0];

export function useExpects() {
  const { say } = useFormat();
  const sentence = (what: Said) => words.expected(say(what));
  return {
    /** For rules that say of themselves what they expect. */
    options: {
      error: (issue: object) => sentence(expectedOf({ message: '', path: [], ...issue } as unknown as Issue)),
    },
    /** What a rule's own sentence is, or somebody else's words as they are. */
    told: (message: string | undefined): string | undefined => {
      const own = message === undefined ? null : wantIn(message);
      return own ? sentence(own) : message;
    },
  };
}
