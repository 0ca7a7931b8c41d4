/** What may come next in rows that fall free: two or three crops that come off, the one that earns most for its weeks first. */
import type { NextChoice, NextView } from '@fogata/contract';
import { cropById } from '@fogata/core';
import { courseOf, dayOf, isoOf } from '@fogata/core/relay';
import { dayOfYear, isPlanted, rowAt, usualHow } from '@fogata/core/season';
import type { FarmData } from '../farm/store';
import type { SeasonBook } from '../season/book';
import { cropsOf, fits, groundOf, placesBy, questionOf } from '../season/views';
import { placeIn } from './view';

const CHOICES = 3;
/** Starts within so many days after the rows are free are looked at. */
const WITHIN_DAYS = 35;

export function nextView(
  book: SeasonBook,
  data: FarmData,
  nowAtMs: number,
  asked: { bed: string; from: string; fromRow: number; toRow: number },
): NextView {
  const { climate, key } = groundOf(data, nowAtMs);
  const bed = data.beds.find((b) => b.id === asked.bed)!;
  const every = placesBy(data, climate);
  const { never, risk } = data.farm.relay;
  const wanted = cropsOf(data)
    .filter((c) => !never.includes(c.id) && c.habit !== 'none')
    .flatMap((crop) => {
      const place = placeIn(every(crop), bed.structureId);
      return place && fits(data, place, crop) ? [{ crop, place, how: usualHow(crop) }] : [];
    });
  const { answers, progress } = book.ask(
    wanted.map((w) => questionOf(data, w.place, w.crop, w.how, key, true)),
  );
  const metres = (asked.toRow - asked.fromRow + 1) * bed.lengthM;
  // kin of what the bed carried in the last years wait
  const since = isoOf(dayOf(asked.from) - 3 * 365);
  const record = data.plantings
    .filter((p) => p.bedId === bed.id && p.plantedOn >= since)
    .map((p) => cropById(p.crop));
  const choices = wanted.flatMap(({ crop, how }, n): NextChoice[] => {
    const a = answers[n];
    if (!a) return [];
    const kin = record.some(
      (o) => o.family === crop.family && crop.yearsAway > 1 && o.shares.some((d) => crop.shares.includes(d)),
    );
    if (kin) return [];
    for (let wait = 0; wait <= WITHIN_DAYS; wait += 7) {
      const startDay = dayOf(asked.from) + wait;
      const odds = rowAt(a.rows, dayOfYear(isoOf(startDay)));
      if (odds.success < 1 - risk || odds.ready.middle === null) continue;
      const c = courseOf(crop, how, startDay, a.mean, {
        readyDays: odds.ready.middle,
        overDays: odds.overDays,
      });
      if (c.readyDay === null || c.overDay === null) return [];
      const clearDay = Math.min(
        c.overDay,
        crop.habit === 'whole' || crop.habit === 'roots' ? c.readyDay + 21 : c.overDay,
      );
      return [
        {
          crop: crop.id,
          name: crop.name,
          how,
          planted: isPlanted(crop, how),
          plantedOn: isoOf(startDay),
          readyOn: isoOf(c.readyDay),
          clearedOn: isoOf(clearDay),
          success: odds.success,
          kg: crop.yieldKgPerM === null ? null : crop.yieldKgPerM * metres * odds.success,
          worth: crop.valuePerM * metres * odds.success,
        },
      ];
    }
    return [];
  });
  const perWeek = (c: NextChoice) => c.worth / Math.max(3, (dayOf(c.clearedOn) - dayOf(asked.from)) / 7);
  choices.sort((a, b) => perWeek(b) - perWeek(a));
  return { from: asked.from, choices: choices.slice(0, CHOICES), progress };
}
