/** The board: beds and what goes through their rows, with what a crop does in a place, so that a strip can be moved without asking. */
import type { Planting } from '@fogata/core';
import type { Outlook, Proposal, RelayBed } from '@fogata/core/relay';
import type { RelaySettings } from '../farm';
import type { PlanProgress } from './night';

export interface RelayOutlook extends Outlook {
  structureId: string;
  crop: string;
  how: 'sow' | 'transplant';
}

export interface RelayView extends Pick<RelaySettings, 'demand' | 'cells' | 'risk' | 'accepted'> {
  today: string;
  latitude: number;
  beds: RelayBed[];
  plantings: Planting[];
  outlooks: RelayOutlook[];
  /** Share of nights with frost outside, by weeks from the first of January. */
  frost: number[];
  progress: PlanProgress;
}

/** A planting that would fill a gap. */
export type FillProposal = Proposal;

export interface FillView {
  state: 'none' | 'looking' | 'solving' | 'ready' | 'failed' | 'stopped';
  message: string | null;
  /** Places whose years are gone through. */
  done: number;
  of: number;
  aim: 'value' | 'supply' | 'variety';
  money: number | null;
  /** What no plan is over, and what the rule of the longest waiting crop brings. */
  boundMoney: number | null;
  simpleMoney: number | null;
  proposals: FillProposal[];
}

/** What may come next in rows that fall free. */
export interface NextChoice {
  crop: string;
  name: string;
  how: 'sow' | 'transplant';
  /** Said as planted, else as sown. */
  planted: boolean;
  plantedOn: string;
  readyOn: string;
  clearedOn: string;
  success: number;
  /** Null of what is not weighed. */
  kg: number | null;
  worth: number;
}

export interface NextView {
  from: string;
  choices: NextChoice[];
  progress: PlanProgress;
}
