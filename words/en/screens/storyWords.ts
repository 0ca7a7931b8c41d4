/** A planting's story in words: what it opens with, and its steps. */
import type { StoryView } from '@fogata/contract/told';
import type { Segment, StepId } from '@fogata/core';
import type { Format } from '@fogata/core/words';
import { failureWords, ofHundred, upper } from './seasonWords';

const STEP: Record<StepId, { did: string; will: string }> = {
  sow: { did: 'sown', will: 'to be sown' },
  prick: { did: 'pricked out', will: 'to be pricked out' },
  harden: { did: 'set out to harden', will: 'to be hardened off from' },
  plant: { did: 'planted', will: 'to be planted' },
  gaps: { did: 'gaps looked for', will: 'look for gaps' },
  pick: { did: 'first picked', will: 'first picking, about' },
  clear: { did: 'cleared', will: 'to be cleared' },
};
export function stepWords(s: StoryView['steps'][number], planted: boolean): string {
  // what is no seed is planted where it grows, though its step is that of sowing
  const first = s.id === 'sow' && planted ? STEP.plant : STEP[s.id];
  return upper(first[s.done ? 'did' : 'will']);
}

/** "In 32 of 100 years it runs to flower before its first picking. Sown on 4 March it is 5." */
export function boltWords(v: StoryView, day: (date: string) => string): string | null {
  if (!v.bolts) return null;
  const how = failureWords('bolted', v.planting.crop);
  const said = `In ${ofHundred(v.bolts.share)} it ${how} before its first picking.`;
  if (v.bolts.better)
    return `${said} ${v.planted ? 'Planted' : 'Sown'} on ${day(v.bolts.better.date)} in ${Math.round(100 * v.bolts.better.share)}.`;
  return v.stands
    ? `${said} Even days help: air it before it is warm, cover no more than it needs, and pick it young.`
    : said;
}

export const hardWord = (h: number): string =>
  h > 0.85 ? 'hardened' : h > 0.45 ? 'half hardened' : 'hardly hardened';

/** The night in which the leaves came nearest to harm, or deepest into it. */
export const closestOf = (nights: StoryView['nights']) =>
  nights.reduce<StoryView['nights'][number] | null>(
    (a, b) => (a === null || b.leafC - b.harmC < a.leafC - a.harmC ? b : a),
    null,
  );

export function storySentence(v: StoryView, format: Format, day: (date: string) => string): Segment[] {
  const plain = (text: string): Segment => ({ text, tone: 'plain' });
  const what = upper(`${v.cropName}${v.planting.cultivar === '' ? '' : ` ${v.planting.cultivar}`}`);
  const where = `${what} in ${v.bed.name}`;
  if (v.daysIn < 0)
    return [plain(`${where}: `), { text: `planned for ${day(v.planting.plantedOn)}.`, tone: 'pine' }];
  if (!v.stands && v.planting.clearedOn !== null)
    return [plain(`${where}: cleared on ${day(v.planting.clearedOn)}.`)];
  const since = `${where}, ${v.daysIn} days in the ground, ${hardWord(v.hardening ?? 0)}. `;
  const near = closestOf(v.nights);
  if (near === null) return [plain(since), plain('No night of it is reckoned yet.')];
  const margin = near.leafC - near.harmC;
  return [
    plain(since),
    margin < 0
      ? {
          text: `In the night of ${day(near.night)} its leaves fell ${format.diff(-margin).replace('+', '')} below what harms it.`,
          tone: 'frost',
        }
      : {
          text: `The nearest it came to harm was ${format.diff(margin).replace('+', '')} over it, on ${day(near.night)}.`,
          tone: 'pine',
        },
  ];
}
