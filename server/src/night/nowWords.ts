/** What Now says under its sentence: what the forecast gives, what would be hurt, what the work saves, what is in doubt. */
import { bandOf, cropOf, doubtK, moneyOf, shareOf, type Parted, said, type Said } from '@fogata/core';
import { AS_IS, asIsOutcome, partedWarnings, type NightPlan } from '@fogata/core/planning';
import type { SpotNowView } from '@fogata/contract';
import type { NightWeather } from './nowView';

export function toMoney(plan: NightPlan) {
  const beds = plan.beds.map((b) => ({ asItIs: b.loss[AS_IS]!, asPlanned: b.loss[b.chosen]! }));
  const minutes = plan.beds.reduce((s, b) => s + (b.minutes[b.chosen] ?? 0), 0);
  return { ...moneyOf(beds), minutes };
}

/** What would be hurt if nothing were done, in crops, the dearest first. */
function lossesSaid(plan: NightPlan): Said[] {
  return plan.beds
    .filter((b) => b.loss[AS_IS]! - b.loss[b.chosen]! > 2)
    .sort((a, b) => b.loss[AS_IS]! - b.loss[b.chosen]! - (a.loss[AS_IS]! - a.loss[a.chosen]!))
    .slice(0, 3)
    .map((b) => {
      const row = bandOf(asIsOutcome(b).minLeafC, 0);
      const worst = b.atRisk.reduce((w, a) => (a.thresholds.harmC > w.thresholds.harmC ? a : w));
      const crop = cropOf(worst.planting);
      return said('evidence.loss', { crop: crop.name, lost: row.mid < worst.thresholds.deathC + 0.5 });
    });
}

/** "One person fewer: N4 and S1 otherwise, and about €40 more is lost." Or that one would do, or one more would help. */
function handsSaid({ otherHands, beds }: NightPlan): Said | null {
  const named = (ids: readonly string[]) => beds.filter((b) => ids.includes(b.bed.id)).map((b) => b.bed.name);
  const { fewer, more } = otherHands ?? { fewer: null, more: null };
  if (fewer && fewer.money >= 1)
    return said('hands.fewer', { beds: named(fewer.bedIds), money: fewer.money });
  if (more) return said('hands.more', { beds: named(more.bedIds), money: -more.money });
  return fewer ? said('hands.enough') : null;
}

export function evidenceOf(plan: NightPlan, w: NightWeather): Said {
  const parts = [said('evidence.forecast', { lowC: w.lowC.low, highC: w.lowC.high })];
  const { sunriseAtMs, sunsetAtMs } = plan.window;
  if (plan.phase === 'morning') {
    if (sunriseAtMs) parts.push(said('evidence.sunUp', { atMs: sunriseAtMs }));
    return said('evidence.all', { parts });
  }
  if (plan.leavesAtMs !== undefined) parts.push(said('evidence.nobody', { atMs: plan.leavesAtMs }));
  if (sunsetAtMs && plan.nowAtMs < sunsetAtMs) parts.push(said('evidence.sunDown', { atMs: sunsetAtMs }));
  const money = toMoney(plan);
  const losses = lossesSaid(plan);
  if (money.saved > 1) {
    if (losses.length > 0) parts.push(said('evidence.left', { losses }));
    parts.push(said('evidence.saves', { money: money.saved }));
  }
  if (money.eitherWay >= 5)
    parts.push(said('evidence.eitherWay', { money: money.eitherWay, saved: money.saved > 1 }));
  if (money.minutes > 0) parts.push(said('evidence.work', { minutes: money.minutes }));
  const hands = handsSaid(plan);
  if (hands) parts.push(hands);
  return said('evidence.all', { parts });
}

/** What not knowing the days before costs, where it costs something. */
export function doubtSaid(plan: NightPlan): Said | null {
  const guessed = shareOf(plan.worth, 'guessed');
  const issued = shareOf(plan.worth, 'issued');
  if (guessed < 0.05 && issued < 0.05) return null;
  const k = doubtK(plan.worth);
  return guessed >= 0.05 ? said('doubt.guessed', { k }) : said('doubt.issued', { k });
}

/** "Outside it was 1.4° colder than was said these three hours: the coming ones are moved by as much, and less the later." */
export const movedSaid = ({ offK, hours }: Parted): Said => said('moved.by', { offK, hours });

/** Thermometers under cover beside the model, those that part first. */
export function spotsOf(plan: NightPlan): SpotNowView[] {
  const parted = new Map(
    partedWarnings(plan).map(({ subject, title, text }) => [subject, said('warn.both', { title, text })]),
  );
  return [...plan.spots]
    .flatMap(([structureId, { pairs }]): SpotNowView[] => {
      const name = plan.data.structures.find((s) => s.id === structureId)?.name;
      const last = pairs[0];
      if (name === undefined || !last) return [];
      return [{ structureId, name, ...last, parted: parted.get(structureId) ?? null }];
    })
    .sort((a, b) => Number(b.parted !== null) - Number(a.parted !== null));
}
