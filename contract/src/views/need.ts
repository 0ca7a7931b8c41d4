/** Backwards from a need: so much a week, from one day to another. */
import type { Mend, NeedAnswer, NeedSowing, Spot } from '@fogata/core/relay';
import type { PlanProgress } from './night';

export interface NeedSowingView extends NeedSowing {
  /** Rows that are free for it; fewer than its metres where there is no room. */
  spots: Spot[];
  leftM: number;
}

export interface NeedView {
  crop: string;
  name: string;
  planted: boolean;
  from: string;
  to: string;
  kgPerWeek: number;
  risk: number;
  answer: (Omit<NeedAnswer, 'sowings'> & { sowings: NeedSowingView[] }) | null;
  progress: PlanProgress;
}

/** A patchy stand, and what each answer to it is worth. */
export interface MendView {
  plantingId: string;
  name: string;
  stands: number;
  /** When its row is needed. */
  clearedOn: string | null;
  answers: Mend[];
  progress: PlanProgress;
}
