/** Now as it is asked for: what stands, what was worked out, the morning's round, the storm. One answer for the API and the shell. */
import type { NowView } from '@fogata/contract';
import { standingOf } from '@fogata/core';
import type { Context } from '../context';
import { findNight } from '../farm/store';
import { isForecast } from '../sources/farmWeather';
import { nowView } from './nowView';
import { roundOf } from './report';
import { stormView } from './storm';

export async function nowOf(ctx: Context): Promise<NowView> {
  const m = await ctx.moment();
  const { progress, plan, partial } = await ctx.planner.ask(m.data, m.weather, m.nowMs);
  const kept = await findNight(ctx.db, m.clock.window.night);
  const rounds =
    m.clock.phase === 'morning'
      ? await roundOf(await ctx.spotInputs(m, m.clock.window.night, false), kept?.data ?? null)
      : [];
  const coming = m.weather.coming(m.clock.window, m.nowMs, m.nowMs);
  const parted = isForecast(coming) ? coming.parted : null;
  return {
    ...nowView(m.clock, progress, plan, rounds, m.style, partial, parted),
    leftOn: m.clock.phase === 'morning' ? ctx.ahead.leftOn(m.clock.window.night) : [],
    standing: standingOf(m.state, m.clock.window.fromMs),
    storm: stormView(m.data, m.state, m.weather, m.clock.window, m.nowMs, m.style),
  };
}
