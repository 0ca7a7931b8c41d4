/** What a planting has to be expected of: when it is up and ready, whether it runs to flower, by the years of its place. */
import type { PlanProgress, StoryView } from '@fogata/contract';
import { addDays, type Planting } from '@fogata/core';
import { boltingOf, dayOfYear, rowAt, type Expected } from '@fogata/core/season';
import type { FarmData } from '../farm/store';
import type { SeasonBook } from './book';
import { groundOf, ownPlaces, placesBy, questionOf } from './views';

/** When one planting is up and ready, by the years of its place; null until they are gone through. */
export function expectedOf(
  book: SeasonBook,
  data: FarmData,
  nowAtMs: number,
  planting: Planting,
): Expected & { progress: PlanProgress; bolts: StoryView['bolts'] } {
  const { climate, key, today } = groundOf(data, nowAtMs);
  const { inPlace } = ownPlaces({ ...data, plantings: [planting] }, today, placesBy(data, climate));
  const { answers, progress } = book.ask(
    inPlace.map((x) => questionOf(data, x.place, x.crop, x.how, key, false, x.planting.own)),
  );
  const day = dayOfYear(planting.plantedOn);
  const row = answers[0] && rowAt(answers[0].rows, day);
  const bolting = answers[0] ? boltingOf(answers[0].rows, day) : null;
  // what stands cannot be begun on another day
  const better = bolting?.better && planting.planned === true ? bolting.better : null;
  return {
    upDays: row?.upDays ?? null,
    readyDays: row?.ready.middle ?? null,
    progress,
    bolts: bolting && {
      share: bolting.share,
      better: better && { date: addDays(planting.plantedOn, better.days), share: better.share },
    },
  };
}
