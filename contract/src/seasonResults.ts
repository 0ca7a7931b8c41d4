/** The open formats' answers. Contract: `windowsResult` and `hardinessResult` are pure but for the file of days, which the caller reads. */
import { en } from '@fogata/core/words';
import type { Said } from '@fogata/core';
import { acclimate, atHardness, cropById, FRESH, injury, leafDeathC, type Hardness } from '@fogata/core';
import {
  answer,
  dayOfYear,
  isPlanted,
  monthDayOf,
  placeOf,
  usualVenting,
  withFrostDates,
  type Want,
} from '@fogata/core/season';
import { climateAsked } from './climateAsked';
import type { HardinessRequest, WindowsRequest } from './windows';
import { missesWords, reasonWords } from './windowsWords';

const dateOf = (day: number | null) => (day === null ? null : monthDayOf(day));
const round = (x: number, places = 2) => Math.round(x * 10 ** places) / 10 ** places;

export function windowsResult(
  r: WindowsRequest,
  read: (path: string) => string | null,
): { result: object } | { problem: Said } {
  const crop = cropById(r.crop);
  const base = climateAsked(r, read);
  if ('problem' in base) return base;
  const { climate, missed } = withFrostDates(base, r.frost ?? {});
  const { deepC: _deep, surfaceC: _surface, ...ground } = r.ground ?? {};
  const venting = r.venting ?? usualVenting(crop);
  const place = placeOf(
    { site: climate.site, climate, stack: r.stack, ground, venting },
    r.years,
    r.seed,
    r.frost,
  );
  const day = (md: string) => dayOfYear(`2001-${md}`);
  const want: Want = !r.want
    ? null
    : 'clearBy' in r.want
      ? { clearBy: day(r.want.clearBy) }
      : { from: day(r.want.from), to: day(r.want.to) };
  const { windows, rows } = answer(place, crop, r.how, want, r.risk);
  return {
    result: {
      format: 'fogata-windows-result/1',
      crop: crop.id,
      venting,
      frost: { lastSpring: dateOf(place.frosts.lastSpring), firstAutumn: dateOf(place.frosts.firstAutumn) },
      notes: missed.map((f) => en['windows.missed']({ field: `frost.${f}` })),
      schools: windows.map((w) => ({
        school: w.school,
        season: w.season,
        earliest: dateOf(w.earliest),
        best: dateOf(w.best),
        latest: dateOf(w.latest),
        reasons: w.reasons.map((x) => ({
          edge: x.edge,
          why: reasonWords(x, isPlanted(crop, r.how) ? 'transplant' : 'sow'),
        })),
        misses: missesWords(w.school),
      })),
      dates: rows.map(({ day: d, ready, upDays: _up, overDays: _over, mildew: _mildew, ...shares }) => ({
        date: monthDayOf(d),
        ready: {
          early: ready.early === null ? null : monthDayOf(d + ready.early),
          middle: ready.middle === null ? null : monthDayOf(d + ready.middle),
          late: ready.late === null ? null : monthDayOf(d + ready.late),
        },
        ...shares,
      })),
    },
  };
}

export function hardinessResult(r: HardinessRequest): object {
  const crop = cropById(r.crop);
  let state: Hardness = r.start === undefined ? FRESH : { h: r.start, degreeDays: 300 };
  const days = r.days.map((d) => {
    // the night is met as hard as the days before have left it
    const { h } = state;
    const hurt = injury(crop, h, {
      leafMinC: d.minC,
      ...(d.hours === undefined ? {} : { hours: d.hours }),
      ...(d.soilMinC === undefined ? {} : { soilMinC: d.soilMinC }),
    });
    state = acclimate(state, d.meanC, crop);
    return {
      ...(d.date ? { date: d.date } : {}),
      meanC: d.meanC,
      minC: d.minC,
      hardening: round(state.h, 4),
      damageC: round(atHardness(crop.damageC, state.h)),
      leafDeathC: round(atHardness(leafDeathC(crop), state.h)),
      deathC: round(atHardness(crop.deathC, state.h)),
      rootDeathC: round(atHardness(crop.rootC, state.h)),
      plantsLost: round(hurt.plants, 4),
      leavesLost: round(hurt.leaves, 4),
      flowersLost: round(hurt.flowers, 4),
      daysLost: round(hurt.daysLost),
    };
  });
  return { format: 'fogata-hardiness-result/1', crop: crop.id, days };
}
