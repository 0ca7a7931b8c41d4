import { CalcProblem } from '../src';
import { PLAIN, told } from '../words';

/** How a reckoning is refused, in words; "taken" where it is not. */
export function refusal(of: () => unknown): string {
  try {
    of();
  } catch (e) {
    if (e instanceof CalcProblem) return told(e.problem, PLAIN);
    throw e;
  }
  return 'taken';
}
