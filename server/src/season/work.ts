/** A season's question, worked out in a thread. Contract: places are held with their years, eight at most. */
import { cropById, withFigures } from '@fogata/core';
import { answer, placeOf, type PlaceYears } from '@fogata/core/season';
import type { SeasonAnswer, SeasonTask } from './book';

const places = new Map<string, PlaceYears>();
const MOST_PLACES = 8;

export function seasonOf({
  place: name,
  spec,
  model,
  frost,
  years,
  seed,
  risk,
  stands,
  crops,
}: SeasonTask): SeasonAnswer[] {
  const place = places.get(name) ?? placeOf(spec, years, seed, frost, model);
  places.delete(name);
  places.set(name, place);
  if (places.size > MOST_PLACES) places.delete(places.keys().next().value!);
  return crops.map(({ id, how, own }) => ({
    frosts: place.frosts,
    ...answer(place, withFigures(cropById(id), own), how, null, risk, stands),
  }));
}
