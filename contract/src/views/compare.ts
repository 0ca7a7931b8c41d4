/** Ways to begin side by side: what each gives, how surely, with how much work. */
import type { PlanProgress } from './night';
import type { SeasonRow } from './season';

export interface WayAsked {
  crop: string;
  how: 'sow' | 'transplant';
  structureId: string;
  date: string;
}

export interface WayView extends WayAsked {
  name: string;
  planted: boolean;
  place: string;
  cover: string | null;
  /** Null where it does not fit there, or where too few years come to a picking. */
  given: {
    readyOn: string;
    overOn: string;
    success: number;
    /** What it is mostly where it fails. */
    failure: SeasonRow['afterIs'];
    failureShare: number;
    /** Of a metre of row, times the share of years in which it comes off; null of what is not weighed. */
    kgPerM: number | null;
    minutesPerM: number;
    moneyPerM: number;
    /** From the day it takes its row to the day it leaves it. */
    daysInRow: number;
  } | null;
  why: 'low' | 'never' | null;
}

export interface CompareView {
  today: string;
  places: { structureId: string; name: string }[];
  ways: WayView[];
  progress: PlanProgress;
}
