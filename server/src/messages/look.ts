/**
 * Looks for what is worth a message and sends it once. Contract: `lookOut(ctx, sink)` gives what it sent; of what may not go out in
 * the quiet hours it keeps nothing, so that it goes out afterwards where it still holds. `startLookout` does so every five minutes, one
 * of several servers; the return stops it.
 */
import type { Message, MessagesView } from '@fogata/contract';
import { cropOf, HOUR_MS, localDate, said, standingIn } from '@fogata/core';
import {
  coldWarnings,
  forecastWarning,
  heatWarnings,
  hotWarnings,
  jobsOf,
  mayGo,
  partedWarnings,
  silentWarnings,
  type Basis,
  type HeatRow,
  type NightPlan,
  type Spot,
  type Warning,
} from '@fogata/core/planning';
import { told, type Told } from '@fogata/core/words';
import { desc, gte, lt, lte, and, sql } from 'drizzle-orm';
import { fault } from '../fault';
import type { Context, Moment } from '../context';
import { dayView } from '../day/view';
import { alone, type Locks } from '../db/locks';
import type { Db } from '../db/open';
import { messages, temperatures } from '../db/schema';
import { readMeta, writeMeta } from '../farm/store';
import { nightWeather } from '../night/nowView';
import { OUTSIDE } from '../night/spots';
import type { MessageSink } from './sink';

/** By the farm's clock, which the demo moves. */
const EVERY_MS = 5 * 60_000;
const TICK_MS = 10_000;
const DAY_MS = 24 * HOUR_MS;
const SHOWN_MS = 3 * DAY_MS;
const KEPT_MS = 60 * DAY_MS;
const BASIS = 'messagesBasis';
/** A thermometer that speaks less often than so many times in two days is not expected to. */
const SPEAKS = 4;

/** Thermometers that have been sending: the newest of each, and its usual pause before that. */
async function spotsOf(m: Moment, db: Db): Promise<Spot[]> {
  const rows = await db
    .select({
      id: temperatures.spot,
      lastAtMs: sql<number>`max(${temperatures.atMs})`,
      firstAtMs: sql<number>`min(${temperatures.atMs})`,
      n: sql<number>`count(*)::int`,
    })
    .from(temperatures)
    .where(gte(temperatures.atMs, m.nowAtMs - 3 * DAY_MS))
    .groupBy(temperatures.spot);
  return rows.flatMap((r) => {
    const name = r.id === OUTSIDE ? said('spot.outside') : m.data.structures.find((s) => s.id === r.id)?.name;
    if (name === undefined || r.n < SPEAKS) return [];
    return [
      {
        id: r.id,
        name,
        lastAtMs: Number(r.lastAtMs),
        usualMs: (Number(r.lastAtMs) - Number(r.firstAtMs)) / (r.n - 1),
      },
    ];
  });
}

/** The forecast against what the plan went by: that is what it was when something was last done, or when it was first known. */
async function forecastTurned(
  m: Moment,
  plan: NightPlan,
  db: Db,
): Promise<{ warning: Warning | null; basis: Basis }> {
  const { night } = plan.window;
  const lowC = nightWeather(plan).lowC.mid;
  const text = await readMeta(db, BASIS);
  const kept = text ? (JSON.parse(text) as Basis & { done: number }) : null;
  const done = m.state.standing.filter(
    (r) => r.record.atMs >= plan.window.fromAtMs && r.record.kind !== 'reading',
  ).length;
  const now = { night, lowC, done };
  const held = kept?.night === night && kept.done === done ? kept : now;
  const warning = forecastWarning(held, night, lowC);
  const basis = warning || held === now ? now : held;
  if (JSON.stringify(basis) !== text) await writeMeta(db, BASIS, JSON.stringify(basis));
  return { warning, basis };
}

/** A temperature that is older is no longer how it is. */
const FRESH_MS = HOUR_MS / 2;

/** Structures whose thermometer has just spoken, with what spoils first of all that stands in them. */
async function heatRows(m: Moment, db: Db): Promise<HeatRow[]> {
  const rows = await db
    .select()
    .from(temperatures)
    .where(and(gte(temperatures.atMs, m.nowAtMs - FRESH_MS), lte(temperatures.atMs, m.nowAtMs)))
    .orderBy(desc(temperatures.atMs));
  const { structures, beds, plantings, farm } = m.data;
  const today = localDate(m.nowAtMs, farm.timeZone);
  return structures.flatMap((s) => {
    const last = rows.find((r) => r.spot === s.id);
    const crops = beds
      .filter((b) => b.structureId === s.id)
      .flatMap((b) => standingIn(b.id, plantings, today).map(cropOf))
      .sort((a, b) => a.spoilC - b.spoilC);
    const first = crops[0];
    if (!last || !first) return [];
    const { name, spoilC: limitC } = first;
    return [{ structureId: s.id, name: s.name, crop: name, limitC, airC: last.c, atMs: last.atMs }];
  });
}

async function warningsNow(ctx: Context, m: Moment): Promise<Warning[]> {
  const measured = [
    ...heatWarnings(await heatRows(m, ctx.db)),
    ...silentWarnings(await spotsOf(m, ctx.db), m.nowAtMs),
  ];
  const { plan } = await ctx.planner.ask(m.data, m.weather, m.nowAtMs);
  if (!plan) return measured;
  const always = [...measured, ...partedWarnings(plan)];
  if (plan.phase === 'morning') {
    const day = await dayView(ctx);
    const rows = day.structures.map((s) => ({
      structureId: s.structureId,
      name: s.name,
      open: s.open,
      crop: s.crop,
      limitC: s.limitC,
      leftC: s.leftC.mid,
      next: s.steps[0] ?? null,
    }));
    return [...hotWarnings(rows, localDate(m.nowAtMs, m.data.farm.timeZone), m.nowAtMs), ...always];
  }
  const { warning } = await forecastTurned(m, plan, ctx.db);
  return [...coldWarnings(plan, jobsOf(plan)), ...(warning ? [warning] : []), ...always];
}

const messageOf = (w: Told<Warning>, atMs: number): Message => ({
  format: 'fogata-message/1',
  ...w,
  at: new Date(atMs).toISOString(),
});

export async function lookOut(ctx: Context, sink: MessageSink): Promise<Message[]> {
  const m = await ctx.moment();
  const settings = m.data.farm.messages;
  const { db } = ctx;
  if (!settings.on) return [];
  const sent: Message[] = [];
  for (const w of told(await warningsNow(ctx, m), m.style)) {
    if (!mayGo(w, m.nowAtMs, m.data.farm.timeZone, settings)) continue;
    // whoever has written its key sends it; what the sink does not take may be told again
    const fresh = await db
      .insert(messages)
      .values({ ...w, atMs: m.nowAtMs })
      .onConflictDoNothing()
      .returning({ key: messages.key });
    if (fresh.length === 0) continue;
    const message = messageOf(w, m.nowAtMs);
    try {
      await sink.send(message);
      sent.push(message);
    } catch (error) {
      await db.delete(messages).where(sql`${messages.key} = ${w.key}`);
      fault('message', error);
    }
  }
  await db.delete(messages).where(lt(messages.atMs, m.nowAtMs - KEPT_MS));
  return sent;
}

export async function messagesView(ctx: Context): Promise<MessagesView> {
  const nowAtMs = ctx.options.clock.nowAtMs();
  const rows = await ctx.db
    .select()
    .from(messages)
    .where(gte(messages.atMs, nowAtMs - SHOWN_MS))
    .orderBy(desc(messages.atMs))
    .limit(50);
  // a clock that was set back has not seen what is to come
  const past = rows.filter((r) => r.atMs <= nowAtMs);
  return { nowAtMs, messages: past.map(({ atMs, ...w }) => messageOf(w, atMs)) };
}

export function startLookout(ctx: Context, locks: Locks, sink: MessageSink): () => void {
  const nowAtMs = () => ctx.options.clock.nowAtMs();
  let lookedAtMs = -Infinity;
  const look = async () => {
    if (Math.abs(nowAtMs() - lookedAtMs) < EVERY_MS) return;
    const atMs = nowAtMs();
    await alone(locks, 'messages', () => lookOut(ctx, sink));
    // of a night that was still being worked out most is not known yet: look again soon
    const m = await ctx.moment();
    const { progress } = await ctx.planner.ask(m.data, m.weather, m.nowAtMs);
    if (progress.state !== 'computing') lookedAtMs = atMs;
  };
  const timer = setInterval(() => void look().catch((e: unknown) => fault('lookout', e)), TICK_MS);
  return () => clearInterval(timer);
}
