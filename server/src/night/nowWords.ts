/** What Now says under its sentence: what the forecast gives, what would be hurt, what the work saves, what is in doubt. */
import {
  bandOf,
  clockText,
  countWord,
  cropOf,
  differenceText,
  doubtK,
  joined,
  moneyOf,
  moneyText,
  rangeText,
  shareOf,
  type Parted,
  type Style,
} from '@fogata/core';
import { AS_IS, asIsOutcome, partedWarnings, type NightPlan } from '@fogata/core/planning';
import type { SpotNowView } from '@fogata/contract';
import type { NightWeather } from './nowView';

export function toMoney(plan: NightPlan) {
  const beds = plan.beds.map((b) => ({ asItIs: b.loss[AS_IS]!, asPlanned: b.loss[b.chosen]! }));
  const minutes = plan.beds.reduce((s, b) => s + (b.minutes[b.chosen] ?? 0), 0);
  return { ...moneyOf(beds), minutes };
}

/** What would be hurt if nothing were done, in crops, the dearest first. */
function lossWords(plan: NightPlan): string[] {
  return plan.beds
    .filter((b) => b.loss[AS_IS]! - b.loss[b.chosen]! > 2)
    .sort((a, b) => b.loss[AS_IS]! - b.loss[b.chosen]! - (a.loss[AS_IS]! - a.loss[a.chosen]!))
    .slice(0, 3)
    .map((b) => {
      const row = bandOf(asIsOutcome(b).minLeafC, 0);
      const worst = b.atRisk.reduce((w, a) => (a.thresholds.harmC > w.thresholds.harmC ? a : w));
      const crop = cropOf(worst.planting);
      return `${crop.name} ${row.mid < worst.thresholds.deathC + 0.5 ? 'lost' : 'hurt'}`;
    });
}

/** "One person fewer: N4 and S1 otherwise, and about €40 more is lost." Or that one would do, or one more would help. */
function handsWords({ otherHands, beds }: NightPlan, amount: (x: number) => string): string | null {
  const names = (ids: readonly string[]) =>
    joined(beds.filter((b) => ids.includes(b.bed.id)).map((b) => b.bed.name));
  const { fewer, more } = otherHands ?? { fewer: null, more: null };
  if (fewer && fewer.money >= 1)
    return `One person fewer: ${names(fewer.bedIds)} otherwise or later, and about ${amount(fewer.money)} more is lost.`;
  if (more) return `One person more would save about ${amount(-more.money)}, on ${names(more.bedIds)}.`;
  return fewer ? 'One person fewer would do.' : null;
}

export function evidenceOf(plan: NightPlan, w: NightWeather, style: Style): string {
  const parts = [`Forecast ${rangeText(w.lowC.low, w.lowC.high, style.units.temperature)}.`];
  if (plan.phase === 'morning') {
    if (plan.window.sunriseAtMs) parts.push(`Sun up ${clockText(plan.window.sunriseAtMs, style)}.`);
    return parts.join(' ');
  }
  if (plan.leavesAtMs !== undefined)
    parts.push(`Nobody is here from ${clockText(plan.leavesAtMs, style)}: all of it before then.`);
  if (plan.window.sunsetAtMs && plan.nowAtMs < plan.window.sunsetAtMs)
    parts.push(`Sun down ${clockText(plan.window.sunsetAtMs, style)}.`);
  const money = toMoney(plan);
  const words = lossWords(plan);
  const amount = (x: number) => moneyText(x, style.currency);
  if (money.saved > 1) {
    if (words.length > 0) parts.push(`Left as it is: ${words.join(', ')}.`);
    parts.push(`The jobs save about ${amount(money.saved)}.`);
  }
  if (money.eitherWay >= 5)
    parts.push(
      `${amount(money.eitherWay)} or so is lost ${money.saved > 1 ? 'either way' : 'whatever is done'}.`,
    );
  if (money.minutes > 0) parts.push(`The work: ${Math.round(money.minutes)} min.`);
  const hands = handsWords(plan, amount);
  if (hands) parts.push(hands);
  return parts.join(' ');
}

/** What not knowing the days before costs, where it costs something. */
export function doubtWords(plan: NightPlan, style: Style): string | null {
  const guessed = shareOf(plan.worth, 'guessed');
  const issued = shareOf(plan.worth, 'issued');
  if (guessed < 0.05 && issued < 0.05) return null;
  const k = differenceText(doubtK(plan.worth), style.units.temperature).replace('+', '');
  const what =
    guessed >= 0.05
      ? 'The weather of the days before is not all known and is taken to have been alike'
      : 'The days before are known from forecasts only';
  return `${what}: the ground may be warmer or colder, and leaves with it by about ${k}. A lowest read outside each morning narrows that.`;
}

/** "Outside it was 1.4° colder than was said these three hours: the coming ones are moved by as much, and less the later." */
export function movedWords({ offK, hours }: Parted, style: Style): string {
  const k = differenceText(Math.abs(offK), style.units.temperature).replace('+', '');
  return `Outside it was ${k} ${offK < 0 ? 'colder' : 'milder'} than was said in the last ${countWord(hours)} hours: the coming ones are moved by as much, and less the later.`;
}

/** Thermometers under cover beside the model, those that part first. */
export function spotsOf(plan: NightPlan, style: Style): SpotNowView[] {
  const told = new Map(partedWarnings(plan, style).map((w) => [w.subject, `${w.title}. ${w.text}`]));
  return [...plan.spots]
    .flatMap(([structureId, { pairs }]): SpotNowView[] => {
      const name = plan.data.structures.find((s) => s.id === structureId)?.name;
      const last = pairs[0];
      if (name === undefined || !last) return [];
      return [{ structureId, name, ...last, parted: told.get(structureId) ?? null }];
    })
    .sort((a, b) => Number(b.parted !== null) - Number(a.parted !== null));
}
