/**
 * Rows that came free before their time, used. Contract: `refills` gives what may stand in a lost or early planting's rows until the next: spares from its
 * own trays while they are young enough, the same again, or what brings most there of the crops whose odds are known; each with its worth.
 */
import { CROPS } from '../crops/crops';
import type { Planting } from '../farm/types';
import { SPARES } from './supply';
import { isoOf, takenBy, type Strip } from './year';
import type { Remake } from './goneWrong';

export type RefillKind = 'spares' | 'again' | 'other';

/** How new plantings are named, and which crops may be thought of. */
export interface Refilling {
  newId: () => string;
  crops: readonly string[];
}

export interface Refill {
  kind: RefillKind;
  planting: Planting;
  worth: number;
}

/** Spares left in their cells are of use for so long after the others were planted, days. */
const SPARE_DAYS = 21;
/** What is begun where nothing follows may take so long. */
const ALONE_DAYS = 150;
/** Less than this, in the farm's money, is not worth a thought. */
const LEAST = 1;

const worthUntil = (s: Strip, endDay: number): number =>
  s.crop.valuePerM *
  s.planting.lengthM *
  (s.planting.toRow - s.planting.fromRow + 1) *
  takenBy({ ...s, endDay }, endDay) *
  (s.odds?.success ?? 0);

/**
 * What may stand in a row that came free before its time, each with its worth; nothing that is worth next to nothing.
 * @example refills(aStrip(aBedOf('a'), 'radish', [1, 4], ['2027-03-01', '2027-05-01'], evenOutlook(30)), 20_920, null, 20_880, { crops: [], newId: () => 'n' }, (p) => aStrip(aBedOf('a'), p.crop, [1, 4], [p.plantedOn, p.clearedOn], evenOutlook(30))).map((r) => r.kind) // ['again']
 */
export function refills(
  s: Strip,
  freeDay: number,
  nextDay: number | null,
  today: number,
  how: Refilling,
  remake: Remake,
): Refill[] {
  const untilDay = nextDay ?? freeDay + ALONE_DAYS;
  if (untilDay - freeDay < 1) return [];
  const { done: _done, own: _own, how: _how, picked: _picked, forSeed: _seed, ...like } = s.planting;
  const begun = (crop: string, more: Partial<Planting> = {}): Planting => ({
    ...like,
    crop,
    cultivar: crop === s.planting.crop ? s.planting.cultivar : '',
    id: '',
    plantedOn: isoOf(freeDay),
    clearedOn: isoOf(untilDay),
    planned: true,
    ...more,
  });
  const priced = (kind: RefillKind, planting: Planting): Refill => ({
    kind,
    planting,
    worth: worthUntil(remake(planting), untilDay),
  });
  const out: Refill[] = [];
  if (s.how === 'transplant' && today - s.startDay <= SPARE_DAYS && s.startDay <= today) {
    const share = SPARES - 1;
    const rows = s.planting.toRow - s.planting.fromRow + 1;
    const lengthM = Math.round(Math.min(s.planting.lengthM, s.planting.lengthM * rows * share) * 10) / 10;
    if (lengthM >= 0.1)
      out.push(
        priced(
          'spares',
          begun(s.planting.crop, { how: s.how, toRow: s.planting.fromRow, lengthM, ...own(s.planting) }),
        ),
      );
  }
  out.push(priced('again', begun(s.planting.crop, { how: s.how, ...own(s.planting) })));
  const others = how.crops
    .filter((id) => id !== s.planting.crop && CROPS.some((c) => c.id === id && c.habit !== 'none'))
    .map((id) => priced('other', begun(id, { aim: CROPS.find((c) => c.id === id)!.aim })))
    .sort((a, b) => b.worth - a.worth);
  if (others[0]) out.push(others[0]);
  return out
    .filter((r) => r.worth >= LEAST)
    .map((r) => ({ ...r, planting: { ...r.planting, id: how.newId() } }));
}

/** What the same crop takes over; another crop has none of it. */
const own = (p: Planting): Partial<Planting> => ({
  ...(p.own ? { own: p.own } : {}),
  ...(p.picked ? { picked: p.picked } : {}),
  ...(p.forSeed ? { forSeed: p.forSeed } : {}),
});
