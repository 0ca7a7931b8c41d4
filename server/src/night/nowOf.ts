/** Now as it is asked for: what stands, what was worked out, the morning's round, the storm. One answer for the API and the shell. */
import type { NowView } from '@fogata/contract';
import { standingOf } from '@fogata/core';
import type { Context, Moment } from '../context';
import { actorsOf } from '../farm/log';
import { findNight } from '../farm/store';
import { isForecast } from '../sources/farmWeather';
import { nowView } from './nowView';
import { roundOf } from './report';
import { stormView } from './storm';

export async function nowOf(ctx: Context, moment?: Moment): Promise<NowView> {
  const m = moment ?? (await ctx.moment());
  const { progress, plan, partial, first } = await ctx.planner.ask(m.data, m.weather, m.nowAtMs);
  const kept = await findNight(ctx.db, m.clock.window.night);
  const rounds =
    m.clock.phase === 'morning'
      ? await roundOf(await ctx.spotInputs(m, m.clock.window.night, false), kept?.data ?? null)
      : [];
  const coming = m.weather.coming(m.clock.window, m.nowAtMs, m.nowAtMs);
  const parted = isForecast(coming) ? coming.parted : null;
  const view = nowView(m.clock, progress, plan ?? first, rounds, partial, parted);
  const acts = [
    ...view.jobs.flatMap((j) => j.recordIds),
    ...rounds.flatMap((r) => r.reading?.recordId ?? []),
  ];
  return {
    ...view,
    who: await actorsOf(ctx.db, acts),
    leftOn: m.clock.phase === 'morning' ? ctx.ahead.leftOn(m.clock.window.night) : [],
    standing: standingOf(m.state, m.clock.window.fromAtMs, m.clock.window.night),
    storm: stormView(m.data, m.state, m.weather, m.clock.window, m.nowAtMs),
  };
}
