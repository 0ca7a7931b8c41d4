/** A season's question, worked out in a thread. Contract: places are fitted once and held, eight at most. */
import { cropById } from '@fogata/core';
import { answer, placeOf, type PlaceYears } from '@fogata/core/season';
import type { SeasonAnswer, SeasonTask } from './book';

const places = new Map<string, PlaceYears>();
const MOST_PLACES = 8;

export function seasonOf({ spec, frost, years, seed, risk, crops }: SeasonTask): SeasonAnswer[] {
  const key = JSON.stringify([spec, frost, years, seed]);
  const place = places.get(key) ?? placeOf(spec, years, seed, frost);
  places.delete(key);
  places.set(key, place);
  if (places.size > MOST_PLACES) places.delete(places.keys().next().value!);
  return crops.map(({ id, how }) => ({
    frosts: place.frosts,
    ...answer(place, cropById(id), how, null, risk),
  }));
}
