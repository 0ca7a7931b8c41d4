/** Beds, strips and a place in which every day is alike, for what rules and gaps are held to by hand. */
import { cropById, type Planting } from '../src';
import {
  strip,
  UNPLACED,
  type FillAsk,
  type Outlook,
  type RelayBed,
  type RelayYear,
  type Strip,
} from '../relay';
import { usualHow, type How } from '../season';

/** Every day adds so many degree days to growth and to coming up; all years alike but for `spread` days about the first picking. */
export function evenOutlook(
  readyDays: number,
  more: { success?: number; spread?: number; overDays?: number | null } = {},
): Outlook {
  const { success = 0.95, spread = 5, overDays = null } = more;
  return {
    mean: { growthDd: new Array<number>(73).fill(10), riseDd: new Array<number>(73).fill(10) },
    rows: Array.from({ length: 73 }, (_, n) => ({
      day: n * 5,
      ready: { early: readyDays - spread, middle: readyDays, late: readyDays + spread },
      lostToCold: 1 - success,
      notReady: 0,
      notClear: 0,
      bolted: 0,
      cooked: 0,
      success,
      overDays,
      upDays: 8,
      mildew: 0,
    })),
  };
}

export const aBedOf = (id: string, more: Partial<RelayBed> = {}): RelayBed => ({
  id,
  name: id,
  structureId: 'house',
  place: 'House',
  rows: 4,
  lengthM: 10,
  widthM: 1.2,
  ...UNPLACED,
  turnDeg: 90,
  headroomM: null,
  ...more,
});

let count = 0;
export function aStrip(
  bed: RelayBed,
  crop: string,
  rows: [number, number],
  days: [string, string | null],
  outlook: Outlook | null,
  more: Partial<Planting> & { how?: How } = {},
): Strip {
  count += 1;
  const c = cropById(crop);
  const how = more.how ?? usualHow(c);
  const planting: Planting = {
    id: `${crop}-${count}`,
    bedId: bed.id,
    crop,
    cultivar: '',
    fromRow: rows[0],
    toRow: rows[1],
    lengthM: bed.lengthM,
    plantedOn: days[0],
    clearedOn: days[1],
    aim: c.aim,
    note: '',
    planned: true,
    ...more,
  };
  return strip(planting, c, how, outlook);
}

export const aYear = (beds: RelayBed[], strips: Strip[], more: Partial<RelayYear> = {}): RelayYear => ({
  latitude: 45,
  today: Math.round(Date.parse('2027-01-01') / 86_400_000),
  beds,
  strips,
  demand: [],
  cells: null,
  risk: 0.2,
  ...more,
});

export const anAsk = (
  beds: RelayBed[],
  crops: string[],
  readyDays: number,
  more: Partial<FillAsk> = {},
): FillAsk => ({
  fromDay: Math.round(Date.parse('2027-02-01') / 86_400_000),
  weeks: 12,
  beds,
  strips: [],
  crops: crops.map((id) => {
    const crop = cropById(id);
    return { crop, how: usualHow(crop), valuePerM: crop.valuePerM, mostM: null };
  }),
  outlook: () => evenOutlook(readyDays, { overDays: readyDays + 21 }),
  demand: [],
  cells: null,
  minutesPerWeek: null,
  hourlyRate: 15,
  risk: 0.2,
  aim: 'value',
  sellsKg: 10,
  refused: new Set(),
  ...more,
});
