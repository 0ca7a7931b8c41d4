/** A need as it is asked about: the crop's years in every place where it has room, then the fewest metres, then rows for them. */
import type { NeedView } from '@fogata/contract';
import { addDays, cropOf, kindOf, type Crop } from '@fogata/core';
import { freeMetres, isoOf, needFor, spotsFor, strip, type NeedAnswer, type Rows } from '@fogata/core/relay';
import { asUsed, howOf, isPlanted, type How } from '@fogata/core/season';
import type { FarmData } from '../farm/store';
import type { Context } from '../context';
import { digest } from '../night/pool';
import { fits, groundOf, placesBy, questionOf } from '../season/views';
import { relayBeds, relayView } from './view';

export interface NeedAsked {
  from: string;
  to: string;
  kgPerWeek: number;
  how: How;
  risk: number;
}

const SECONDS = 5;
const MOST_HELD = 40;
const held = new Map<string, Promise<NeedAnswer>>();

function solved(key: string, run: () => Promise<NeedAnswer>): Promise<NeedAnswer> {
  const known = held.get(key);
  if (known) return known;
  const fresh = run();
  held.set(key, fresh);
  fresh.catch(() => held.delete(key));
  if (held.size > MOST_HELD) held.delete(held.keys().next().value!);
  return fresh;
}

/** Every planting's rows until they are clear: by its own day, else when it is over in the mean year. */
function endsOf(
  ctx: Context,
  data: FarmData,
  nowAtMs: number,
): { taken: Rows[] } | { progress: NeedView['progress'] } {
  const own = relayView(ctx.seasons, data, nowAtMs);
  if (own.progress.state === 'computing') return { progress: own.progress };
  const outlooks = new Map(own.outlooks.map((o) => [`${o.structureId} ${o.crop} ${o.how}`, o]));
  return {
    taken: own.plantings.map((p) => {
      const structureId = data.beds.find((b) => b.id === p.bedId)?.structureId;
      const crop = cropOf(p);
      const how = howOf(p, crop);
      const s = strip(p, crop, how, outlooks.get(`${structureId} ${kindOf(p)} ${how}`) ?? null);
      return { ...p, clearedOn: isoOf(s.endDay) };
    }),
  };
}

export async function needView(ctx: Context, crop: Crop, asked: NeedAsked): Promise<NeedView> {
  const { data, nowAtMs } = await ctx.standing(false);
  const { climate, key, today } = groundOf(data, nowAtMs);
  const places = asUsed(placesBy(data, climate)(crop)).filter((p) => fits(data, p, crop));
  const { answers, progress } = ctx.seasons.ask(
    places.map((p) => questionOf(data, p, crop, asked.how, key, true)),
  );
  const base = {
    crop: crop.id,
    name: crop.name,
    planted: isPlanted(crop, asked.how),
    from: asked.from,
    to: asked.to,
    kgPerWeek: asked.kgPerWeek,
    risk: asked.risk,
  };
  if (places.length === 0) return { ...base, answer: null, progress: { state: 'empty', done: 0, of: 0 } };
  if (progress.state !== 'ready') return { ...base, answer: null, progress };
  const beds = relayBeds(data);
  const stands = endsOf(ctx, data, nowAtMs);
  if ('progress' in stands) return { ...base, answer: null, progress: stands.progress };
  const offers = places.map((p, n) => ({
    structureId: p.structureId,
    place: p.name,
    cover: p.cover,
    how: asked.how,
    outlook: { mean: answers[n]!.mean, rows: answers[n]!.rows },
    // what is free by a month before, and stays so
    mostM: freeMetres(beds, stands.taken, p.structureId, addDays(asked.from, -30), asked.to),
  }));
  const answer = await solved(
    digest([key, today, crop, asked, places.map((p) => p.spec.stack), offers.map((o) => o.mostM)]),
    () =>
      needFor({ crop, today, ...asked, offers }, async (lp) => {
        const task = { lp, seconds: SECONDS };
        return (await ctx.options.pool.solve(task, AbortSignal.timeout(60_000))).values;
      }),
  );
  // each takes its rows before the next looks
  const taken: Rows[] = [...stands.taken];
  const sowings = answer.sowings.map((s) => {
    const found = spotsFor(beds, taken, s.structureId, s.metres, s.date, s.overOn);
    for (const x of found.spots) taken.push({ ...x, plantedOn: s.date, clearedOn: s.overOn });
    return { ...s, ...found };
  });
  return { ...base, answer: { ...answer, sowings }, progress };
}
