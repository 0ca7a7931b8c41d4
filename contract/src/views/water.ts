/** Water: what each bed lacks, when it wants some, whether it may have it. */
import type { Lack } from '@fogata/core';

export interface WaterRow {
  bedId: string;
  name: string;
  place: string;
  crops: string[];
  kind: 'bed' | 'seedbed' | 'pots';
  /** What it lacks of full, at what lack it wants water, what it holds, mm; null of pots. */
  lacksMm: number | null;
  wantsMm: number | null;
  holdsMm: number | null;
  /** Used today, mm. */
  usedMm: number;
  /** The day on which it wants water; null where not within the forecast. */
  on: string | null;
  /** The first day that it may have it, for the frost; null where none of those known. */
  may: string | null;
  mm: number;
  litres: number;
  /** Of the drip lines; null where the farm has none. */
  minutes: number | null;
  /** Pots: so often a day. */
  times: number;
  /** When it was last watered or felt; null where nobody said. */
  since: string | null;
}

export interface WaterView {
  today: string;
  rows: WaterRow[];
  /** No forecast reaches far: only today is known. */
  lack: Lack | null;
  /** Days that are known ahead. */
  aheadDays: number;
}
