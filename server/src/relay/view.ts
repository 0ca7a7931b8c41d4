/** The board as the screen reads it: rows and their directions, plantings, and what each crop does in its place. */
import { cellsInAll, type RelayOutlook, type RelayView } from '@fogata/contract';
import {
  bedCentres,
  cropOf,
  kindOf,
  layoutOf,
  onFarm,
  pathsOf,
  type Placed,
  type Planting,
} from '@fogata/core';
import type { RelayBed } from '@fogata/core/relay';
import { asUsed, howOf, type SeasonPlace, frostShare } from '@fogata/core/season';
import type { FarmData } from '../farm/store';
import type { SeasonAnswer, SeasonBook } from '../season/book';
import { groundOf, placesBy, questionOf } from '../season/views';

function middleOf(at: Placed | undefined, c: { alongM: number; acrossM: number } | undefined) {
  const [xM, yM] = at && c ? onFarm(at, c.alongM, c.acrossM) : [0, 0];
  return { xM, yM };
}

export function relayBeds(data: FarmData): RelayBed[] {
  const layout = layoutOf(data.structures);
  return data.structures.flatMap((s) => {
    const own = data.beds.filter((b) => b.structureId === s.id);
    const centres = bedCentres(s, own);
    const paths = pathsOf(s, own);
    return own.map((b): RelayBed => ({
      id: b.id,
      name: b.name,
      structureId: s.id,
      place: s.name,
      rows: b.rows,
      lengthM: b.lengthM,
      widthM: b.widthM,
      turnDeg: layout.get(s.id)?.turnDeg ?? 90,
      acrossM: centres.get(b.id)?.acrossM ?? 0,
      headroomM: s.kind === 'open' ? null : s.heightM,
      ...middleOf(layout.get(s.id), centres.get(b.id)),
      paths: paths.get(b.id) ?? [true, true],
      bench: b.on === 'bench',
      mixOn: b.mixOn ?? null,
    }));
  });
}

const round = (x: number, digits: number) => Number(x.toFixed(digits));

export const outlookOf = (
  structureId: string,
  crop: string,
  how: RelayOutlook['how'],
  a: SeasonAnswer,
): RelayOutlook => ({
  structureId,
  crop,
  how,
  mean: { growthDd: a.mean.growthDd.map((x) => round(x, 2)), riseDd: a.mean.riseDd.map((x) => round(x, 2)) },
  rows: a.rows,
});

/** Where a crop stands in a structure, as the farm would use it. */
export const placeIn = (places: readonly SeasonPlace[], structureId: string): SeasonPlace | null =>
  asUsed(places).find((p) => p.structureId === structureId) ?? null;

/** Years that the board reaches back and ahead of today. */
const BACK_DAYS = 4 * 366;

export function relayView(book: SeasonBook, data: FarmData, nowAtMs: number): RelayView {
  const { climate, key, today } = groundOf(data, nowAtMs);
  const every = placesBy(data, climate);
  const since = new Date(Date.parse(today) - BACK_DAYS * 86_400_000).toISOString().slice(0, 10);
  const plantings = data.plantings.filter((p) => p.clearedOn === null || p.clearedOn >= since);
  const wanted = new Map<
    string,
    { structureId: string; kind: string; planting: Planting; how: RelayOutlook['how']; place: SeasonPlace }
  >();
  for (const p of plantings) {
    const structureId = data.beds.find((b) => b.id === p.bedId)?.structureId;
    if (!structureId) continue;
    const crop = cropOf(p);
    const how = howOf(p, crop);
    const place = placeIn(every(crop), structureId);
    const kind = kindOf(p);
    if (place) wanted.set(`${structureId} ${kind} ${how}`, { structureId, kind, planting: p, how, place });
  }
  const list = [...wanted.values()];
  const { answers, progress } = book.ask(
    list.map((w) => questionOf(data, w.place, cropOf(w.planting), w.how, key, true, w.planting.own)),
  );
  const { demand, risk, accepted } = data.farm.relay;
  return {
    today,
    latitude: data.farm.latitude,
    beds: relayBeds(data),
    plantings,
    outlooks: list.flatMap((w, n) => {
      const a = answers[n];
      return a ? [outlookOf(w.structureId, w.kind, w.how, a)] : [];
    }),
    demand,
    cells: cellsInAll(data.farm),
    nursery: data.farm.nursery,
    risk,
    accepted,
    frost: Array.from({ length: 53 }, (_, w) => frostShare(climate, Math.min(364, w * 7 + 3))),
    progress: list.length === 0 ? { state: 'ready', done: 0, of: 0 } : progress,
  };
}
