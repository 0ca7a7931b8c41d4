/** `fogata-fill-result/1`: a request worked out and said. Contract: pure but for the file of days, the clock and the solver, which are the caller's. */
import type { Said } from '@fogata/core';
import { cropById, type Crop } from '@fogata/core';
import {
  dayOf,
  fillGaps,
  isoOf,
  strip,
  supply,
  UNPLACED,
  WEEK,
  type FillAsk,
  type FillOptions,
  type Outlook,
  type Proposal,
  type RelayBed,
  type SparseSolver,
  type Strip,
} from '@fogata/core/relay';
import {
  answer,
  placeOf,
  usualHow,
  usualVenting,
  withFrostDates,
  type How,
  type PlaceYears,
} from '@fogata/core/season';
import { climateAsked } from './climateAsked';
import type { FillRequest } from './fillRequest';

const round = (x: number, places = 2) => Math.round(x * 10 ** places) / 10 ** places;

/** Outlooks by place, crop and way, worked out as they are asked for. */
function outlooks(r: FillRequest, base: Parameters<typeof withFrostDates>[0]) {
  const { climate } = withFrostDates(base, r.frost ?? {});
  const years = new Map<string, PlaceYears>();
  const known = new Map<string, Outlook>();
  return (placeId: string, crop: Crop, how: How): Outlook => {
    const place = r.places.find((p) => p.id === placeId)!;
    const venting = place.venting ?? usualVenting(crop);
    const { deepC: _deep, surfaceC: _surface, ...ground } = place.ground ?? {};
    const key = `${placeId} ${venting}`;
    let of = years.get(key);
    if (!of) {
      of = placeOf(
        { site: climate.site, climate, stack: place.stack, ground, venting },
        r.years,
        r.seed,
        r.frost,
      );
      years.set(key, of);
    }
    const name = `${key} ${crop.id} ${how}`;
    const found = known.get(name) ?? answer(of, crop, how, null, r.risk, true);
    known.set(name, found);
    return found;
  };
}

export function fillAskOf(
  r: FillRequest,
  read: (path: string) => string | null,
): { ask: FillAsk } | { problem: Said } {
  const base = climateAsked(r, read);
  if ('problem' in base) return base;
  const outlookAt = outlooks(r, base);
  const placeOfBed = new Map(r.beds.map((b) => [b.id, b.place]));
  const headroom = new Map(r.places.map((p) => [p.id, p.headroomM ?? null]));
  const beds = r.beds.map((b): RelayBed => ({
    id: b.id,
    name: b.id,
    structureId: b.place,
    place: b.place,
    rows: b.rows,
    lengthM: b.lengthM,
    widthM: b.widthM ?? b.rows * 0.25,
    ...UNPLACED,
    headroomM: headroom.get(b.place)!,
  }));
  const outlook = (bed: RelayBed, crop: Crop, how: How) => outlookAt(placeOfBed.get(bed.id)!, crop, how);
  const strips = r.plantings.map((p, n): Strip => {
    const crop = cropById(p.crop);
    const how = p.how ?? usualHow(crop);
    const bed = beds.find((b) => b.id === p.bed)!;
    const planting = {
      id: p.id ?? `standing-${n + 1}`,
      bedId: p.bed,
      crop: p.crop,
      cultivar: '',
      fromRow: p.fromRow,
      toRow: p.toRow,
      lengthM: bed.lengthM,
      plantedOn: p.plantedOn,
      clearedOn: p.clearedOn ?? null,
      aim: crop.aim,
      note: '',
    };
    return strip(planting, crop, how, outlook(bed, crop, how));
  });
  return {
    ask: {
      fromDay: dayOf(r.from),
      weeks: r.weeks,
      beds,
      strips,
      crops: r.crops.map((c) => {
        const asked = typeof c === 'string' ? { id: c } : c;
        const crop = cropById(asked.id);
        return {
          crop,
          how: asked.how ?? usualHow(crop),
          valuePerM: asked.valuePerM ?? crop.valuePerM,
          mostM: asked.mostM ?? null,
        };
      }),
      outlook,
      demand: r.demand.map((d) => ({ ...d, crop: d.crop ?? null })),
      cells: r.cells,
      minutesPerWeek: r.hoursPerWeek === null ? null : r.hoursPerWeek * 60,
      hourlyRate: r.hourlyRate,
      risk: r.risk,
      aim: r.aim,
      sellsKg: r.sellsKg,
      refused: new Set(r.refused.map((x) => `${x.crop} ${x.bed}`)),
    },
  };
}

/** A proposal as a strip, for what the whole year then gives. */
export function stripOfProposal(ask: FillAsk, p: Proposal, n: number): Strip {
  const crop = cropById(p.crop);
  const bed = ask.beds.find((b) => b.id === p.bedId)!;
  const planting = {
    id: `proposed-${n + 1}`,
    bedId: p.bedId,
    crop: p.crop,
    cultivar: '',
    fromRow: p.fromRow,
    toRow: p.toRow,
    lengthM: p.lengthM,
    plantedOn: p.plantedOn,
    clearedOn: p.clearedOn,
    aim: crop.aim,
    note: '',
    how: p.how,
    planned: true,
  };
  return strip(planting, crop, p.how, ask.outlook(bed, crop, p.how));
}

const proposalOut = (p: Proposal) => ({
  bed: p.bedId,
  crop: p.crop,
  how: p.how,
  fromRow: p.fromRow,
  toRow: p.toRow,
  lengthM: p.lengthM,
  traysOn: p.traysOn,
  plantedOn: p.plantedOn,
  readyOn: p.readyOn,
  clearedOn: p.clearedOn,
  kg: round(p.kg),
  cells: p.cells,
  hours: round(p.minutes / 60),
  success: round(p.success, 3),
  worth: round(p.worth),
  fills: { kg: round(p.fills.kg), from: p.fills.from, to: p.fills.to },
  idleWeeks: p.idleWeeks,
  instead: p.instead ? { crop: p.instead.crop, less: round(p.instead.less) } : null,
});

export function fillResult(
  r: FillRequest,
  read: (path: string) => string | null,
  solver: SparseSolver,
  options: Pick<FillOptions, 'nowAtMs' | 'onProgress' | 'stopped'>,
): { result: object } | { problem: Said } {
  const made = fillAskOf(r, read);
  if ('problem' in made) return made;
  const { ask } = made;
  const f = fillGaps(ask, solver, { ...options, seconds: r.seconds, gap: r.gap });
  const strips = [...ask.strips, ...f.proposals.map((p, n) => stripOfProposal(ask, p, n))];
  const year = {
    latitude: r.site.latitude,
    today: ask.fromDay,
    beds: ask.beds,
    demand: ask.demand,
    cells: ask.cells,
    risk: ask.risk,
  };
  const before = supply({ ...year, strips: ask.strips }, ask.fromDay, ask.weeks);
  const after = supply({ ...year, strips }, ask.fromDay, ask.weeks);
  return {
    result: {
      format: 'fogata-fill-result/1',
      proven: f.gap <= r.gap + 1e-9,
      gap: round(f.gap, 4),
      worth: round(f.money),
      bound: Number.isFinite(f.boundMoney) ? round(f.boundMoney) : null,
      longestWaitingFirst: round(f.simpleMoney),
      candidates: f.candidates,
      plantings: f.proposals
        .map(proposalOut)
        .sort(
          (a, b) =>
            a.plantedOn.localeCompare(b.plantedOn) || a.bed.localeCompare(b.bed) || a.fromRow - b.fromRow,
        ),
      weeks: after.map((w, n) => ({
        from: isoOf(ask.fromDay + n * WEEK),
        kg: round(w.kg),
        lowKg: round(w.lowKg),
        highKg: round(w.highKg),
        asked: round(w.demandKg),
        short: round(w.shortKg),
        shortBefore: round(before[n]!.shortKg),
        hours: round(w.minutes / 60),
        cells: w.cells,
      })),
    },
  };
}
