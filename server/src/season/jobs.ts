/** The weeks' list: what is to be done with each planting, from the day it goes into the ground and what the years leave it. */
import type { SeasonJob } from '@fogata/contract';
import { cropOf, type Crop, type Planting } from '@fogata/core';
import {
  dayOfYear,
  FAILURES,
  howOf,
  isPlanted,
  openSteps,
  rowAt,
  stepsOf,
  type DateRow,
  type How,
} from '@fogata/core/season';
import type { FarmData } from '../farm/store';

/** How far ahead the list looks, days. */
const AHEAD_DAYS = 27;

export interface Asked {
  planting: Planting;
  crop: Crop;
  how: How;
  structureId: string;
}

/** Plantings whose steps may be open: not cleared, and in a bed that is there. */
export function plantingsAsked(data: FarmData, today: string): Asked[] {
  return data.plantings.flatMap((planting): Asked[] => {
    const bed = data.beds.find((b) => b.id === planting.bedId);
    if (!bed || (planting.clearedOn !== null && planting.clearedOn < today && !planting.planned)) return [];
    const crop = cropOf(planting);
    return [{ planting, crop, how: howOf(planting, crop), structureId: bed.structureId }];
  });
}

export function jobsOf(
  data: FarmData,
  asked: Asked,
  rows: readonly DateRow[] | null,
  today: string,
  aheadDays = AHEAD_DAYS,
): SeasonJob[] {
  const { planting: p, crop, how } = asked;
  const at = (date: string) => (rows ? rowAt(rows, dayOfYear(date)) : null);
  const row = at(p.plantedOn);
  const steps = stepsOf(p, crop, { upDays: row?.upDays ?? null, readyDays: row?.ready.middle ?? null });
  const bed = data.beds.find((b) => b.id === p.bedId)!;
  const rowCount = p.toRow - p.fromRow + 1;
  return openSteps(p, steps, today, aheadDays).map((s): SeasonJob => {
    const now = at(today);
    const ground = s.id === 'plant' || (s.id === 'sow' && how === 'sow');
    return {
      plantingId: p.id,
      step: s.id,
      date: s.date,
      mayMove: s.mayMove,
      crop: crop.id,
      name: crop.name,
      cultivar: p.cultivar,
      bedId: bed.id,
      bed: bed.name,
      place: data.structures.find((x) => x.id === bed.structureId)?.name ?? '',
      rows: rowCount,
      metres: rowCount * p.lengthM,
      planted: isPlanted(crop, how),
      chance:
        ground && row && now
          ? {
              then: row.success,
              today: now.success,
              todayIs: FAILURES.reduce((a, b) => (now[b] > now[a] ? b : a)),
            }
          : null,
    };
  });
}
