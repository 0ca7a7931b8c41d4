/** Ways to begin a crop side by side, each a metre of row in its place on its day. */
import type { CompareView, WayAsked, WayView } from '@fogata/contract';
import type { Crop } from '@fogata/core';
import { isoOf, kgBetween, metreOf, minutesBetween, strip } from '@fogata/core/relay';
import { FAILURES, isPlanted } from '@fogata/core/season';
import type { FarmData } from '../farm/store';
import type { SeasonAnswer, SeasonBook } from '../season/book';
import { farmCrop, fits, groundOf, placesBy, questionOf } from '../season/views';
import { placeIn } from './view';

/** Before it is in its row it is raised; after it is over it is cleared. */
const RAISED_DAYS = 120;

function given(w: WayAsked, crop: Crop, a: SeasonAnswer): WayView['given'] {
  const s = strip(metreOf(crop, w.how, w.date), crop, w.how, { mean: a.mean, rows: a.rows });
  if (!s.odds || s.readyDay === null) return null;
  const { odds } = s;
  const failure = FAILURES.reduce((x, y) => (odds[y] > odds[x] ? y : x));
  const [from, to] = [s.startDay - RAISED_DAYS, s.endDay + 1];
  return {
    readyOn: isoOf(s.readyDay),
    overOn: isoOf(s.overDay ?? s.endDay),
    success: odds.success,
    failure,
    failureShare: odds[failure],
    kgPerM: crop.yieldKgPerM === null ? null : kgBetween(s, from, to) * odds.success,
    minutesPerM: minutesBetween(s, from, to),
    moneyPerM: crop.valuePerM * odds.success,
    daysInRow: s.endDay - s.startDay,
  };
}

export function compareView(
  book: SeasonBook,
  data: FarmData,
  nowAtMs: number,
  asked: readonly WayAsked[],
): CompareView {
  const { climate, key, today } = groundOf(data, nowAtMs);
  const every = placesBy(data, climate);
  const ways = asked.map((w) => {
    const crop = farmCrop(data, w.crop);
    const place = placeIn(every(crop), w.structureId);
    return { w, crop, place, fits: place !== null && fits(data, place, crop) };
  });
  const known = ways.filter((x) => x.fits);
  const { answers, progress } = book.ask(
    known.map((x) => questionOf(data, x.place!, x.crop, x.w.how, key, true)),
  );
  return {
    today,
    places: data.structures
      .filter((s) => data.beds.some((b) => b.structureId === s.id))
      .map((s) => ({ structureId: s.id, name: s.name })),
    ways: ways.map((x): WayView => {
      const a = answers[known.indexOf(x)] ?? null;
      const found = x.fits && a ? given(x.w, x.crop, a) : null;
      return {
        ...x.w,
        name: x.crop.name,
        planted: isPlanted(x.crop, x.w.how),
        place: x.place?.name ?? '',
        cover: x.place?.cover ?? null,
        given: found,
        why: !x.fits ? 'low' : a && !found ? 'never' : null,
      };
    }),
    progress: known.length === 0 ? { state: 'ready', done: 0, of: 0 } : progress,
  };
}
