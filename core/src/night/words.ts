/**
 * The sentence that the first screen opens with, and the words of the sky. Segments carry a tone, so that the reader
 * sees cold and action at once; the text reads the same without it.
 */
import { said, type Said, type Told } from '../words/said';

export type Tone = 'plain' | 'frost' | 'ember' | 'ochre' | 'pine';
/** A stretch of a sentence with its tone; a `Segment` once it is in words. */
export interface Phrase {
  text: Said;
  tone: Tone;
}
export type Segment = Told<Phrase>;

const plain = (text: Said): Phrase => ({ text, tone: 'plain' });
const frost = (text: Said): Phrase => ({ text, tone: 'frost' });
const ember = (text: Said): Phrase => ({ text, tone: 'ember' });

/**
 * "clear and still", "overcast, windy".
 * @example skySaid(0, 0) // { say: 'sky.and.wind', values: { sky: 'clear', wind: 'still' } }
 */
export function skySaid(cloud: number, windMps: number): Said {
  return said('sky.and.wind', {
    sky: cloud < 0.25 ? 'clear' : cloud < 0.7 ? 'broken' : 'overcast',
    wind: windMps < 1.3 ? 'still' : windMps < 4 ? 'light' : 'windy',
  });
}

export interface ClosingFacts {
  lowC: number;
  lowAtMs: number;
  cloud: number;
  windMps: number;
  /** Beds that are to get a cover, and of these the ones that would then have a second layer over them. */
  bedsToCover: number;
  secondLayers: number;
  firstDueAtMs: number | null;
  /** Covers already put on for this night. */
  done: number;
  /** Houses still open. */
  toClose: number;
}

const cold = (c: number, text: Said): Phrase => (c < 0.5 ? frost(text) : plain(text));

/**
 * "−7 °C by 07:10, clear and still. A second layer on three beds, starting by 16:20."
 * @example closingSentence({ lowC: -1, lowAtMs: 0, cloud: 0, windMps: 0, bedsToCover: 0, secondLayers: 0, firstDueAtMs: null, done: 0, toClose: 0 }).at(-1).text // { say: 'closing.nothing' }
 */
export function closingSentence(f: ClosingFacts): Phrase[] {
  const { lowC, lowAtMs, bedsToCover: beds, firstDueAtMs: atMs } = f;
  const out: Phrase[] = [
    cold(lowC, said('closing.low', { lowC, lowAtMs })),
    plain(said('closing.sky', { sky: skySaid(f.cloud, f.windMps) })),
  ];
  const end = plain(said('closing.end'));
  if (beds > 0)
    return [
      ...out,
      ember(f.secondLayers === beds ? said('closing.second', { beds }) : said('closing.cover', { beds })),
      atMs === null ? end : plain(said('closing.starting', { atMs })),
    ];
  if (f.toClose > 0)
    return [
      ...out,
      ember(said('closing.shut')),
      atMs === null ? end : plain(said('closing.before', { atMs })),
    ];
  return [...out, plain(f.done > 0 ? said('closing.done') : said('closing.nothing'))];
}

/**
 * "−3 °C outside now, −7 °C by 07:10. Closest to harm: N5 at −0.4 °C."
 * @example nightSentence({ nowC: 2, lowC: -1, lowAtMs: 0, closest: null }).at(-1).text // { say: 'night.noCrop' }
 */
export function nightSentence(f: {
  nowC: number;
  lowC: number;
  lowAtMs: number;
  closest: { name: string; leafC: number; marginK: number } | null;
}): Phrase[] {
  const { nowC, lowC, lowAtMs } = f;
  const out: Phrase[] = [
    cold(nowC, said('night.outside', { nowC })),
    plain(said('night.then')),
    cold(lowC, said('night.low', { lowC, lowAtMs })),
  ];
  if (f.closest === null) return [...out, plain(said('night.noCrop'))];
  const { name: bed, leafC, marginK } = f.closest;
  if (marginK > 1.5) return [...out, plain(said('night.noHarm'))];
  return [...out, plain(said('night.closest')), frost(said('night.closest.bed', { bed, leafC }))];
}

/**
 * "N5 stays covered today. Leave the others be until 10:20. N2 froze for four hours."
 * @example morningSentence({ liftAtMs: null, keep: ['N5'], frozen: [], coversOn: true, known: true, lowC: -4, nowAtMs: 0 })[0].text // { say: 'morning.stays', values: { beds: ['N5'] } }
 */
export function morningSentence(f: {
  /** When the last cover may come off, or where nothing is covered the last leaf has thawed; Infinity for not by noon, null for none. */
  liftAtMs: number | null;
  /** Beds that stay covered through the morning. */
  keep: readonly string[];
  frozen: { name: string; hours: number }[];
  coversOn: boolean;
  /** Whether the weather of the night that was is known; where it is not, nothing is said of it. */
  known: boolean;
  /** Lowest of the night outside; null where nobody knows it. */
  lowC: number | null;
  nowAtMs: number;
}): Phrase[] {
  const out: Phrase[] = [];
  const { keep, liftAtMs: atMs } = f;
  const others = keep.length > 0;
  if (others) out.push(ember(said('morning.stays', { beds: keep })));
  if (atMs === null) {
    if (!f.coversOn) out.push(plain(f.known ? said('morning.nothing') : said('morning.unknown')));
  } else if (atMs === Infinity) {
    out.push(plain(said('morning.leaves')), ember(said('morning.frozen')), plain(said('morning.leave')));
  } else if (!f.coversOn) {
    out.push(plain(said('morning.touch')), ember(said('morning.at', { atMs })));
  } else if (atMs <= f.nowAtMs + 600_000) {
    out.push(ember(said('morning.lift', { others })));
  } else {
    out.push(plain(said('morning.until', { others })), ember(said('morning.at', { atMs })));
  }
  const worst = f.frozen[0];
  if (worst)
    out.push(
      plain(said('morning.froze', { bed: worst.name, hours: worst.hours, more: f.frozen.length - 1 })),
    );
  else if (f.lowC !== null) out.push(plain(said('morning.low', { lowC: f.lowC })));
  return out;
}
