/**
 * What went wrong while nobody waits for it goes to standard error. Contract: one line that says what, then why as it came; `whole`
 * adds where in the code, for what nobody foresaw.
 */
import { faults } from '@fogata/words/en/told/faults';

type Fault = keyof typeof faults;

const line = (what: Fault, why: string) => void process.stderr.write(`${faults[what]}: ${why}\n`);
const whyOf = (error: unknown) => (error instanceof Error ? error.message : String(error));

export const fault = (what: Fault, error: unknown): void => line(what, whyOf(error));
export const wholeFault = (what: Fault, error: unknown): void =>
  line(what, error instanceof Error ? (error.stack ?? error.message) : String(error));
