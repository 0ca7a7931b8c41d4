/**
 * The sentence that the first screen opens with, and the words of the sky. Segments carry a tone, so that the reader
 * sees cold and action at once; the text reads the same without it.
 */
import { countWord, moneyText, rangeText, temperatureText, type UnitChoice } from '../formats/units';
import { clockText, type ClockStyle } from '../time/farmTime';

export type Tone = 'plain' | 'frost' | 'ember' | 'ochre' | 'pine';
export interface Segment {
  text: string;
  tone: Tone;
}

export interface Style extends ClockStyle {
  units: UnitChoice;
  currency: string;
}

const plain = (text: string): Segment => ({ text, tone: 'plain' });
const frost = (text: string): Segment => ({ text, tone: 'frost' });
const ember = (text: string): Segment => ({ text, tone: 'ember' });

/**
 * "clear and still", "overcast, windy".
 * @example skyWords(0, 0) // 'clear and still'
 */
export function skyWords(cloud: number, windMps: number): string {
  const sky = cloud < 0.25 ? 'clear' : cloud < 0.7 ? 'broken cloud' : 'overcast';
  const wind = windMps < 1.3 ? 'still' : windMps < 4 ? 'a light wind' : 'windy';
  return wind === 'still' && sky === 'clear' ? 'clear and still' : `${sky}, ${wind}`;
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

const cold = (c: number, text: string): Segment => (c < 0.5 ? frost(text) : plain(text));

/** "−7 °C by 07:10, clear and still. A second layer on three beds, starting by 16:20." */
export function closingSentence(f: ClosingFacts, style: Style): Segment[] {
  const low = `${temperatureText(f.lowC, style.units.temperature, 0)} by ${clockText(f.lowAtMs, style)}`;
  const out: Segment[] = [cold(f.lowC, low), plain(`, ${skyWords(f.cloud, f.windMps)}. `)];
  const beds = (n: number) => `${countWord(n)} bed${n === 1 ? '' : 's'}`;
  if (f.bedsToCover > 0) {
    const what =
      f.secondLayers === f.bedsToCover
        ? `A second layer on ${beds(f.bedsToCover)}`
        : `Cover ${beds(f.bedsToCover)}`;
    out.push(ember(what));
    out.push(plain(f.firstDueAtMs === null ? '.' : `, starting by ${clockText(f.firstDueAtMs, style)}.`));
  } else if (f.toClose > 0) {
    out.push(
      ember('Close up'),
      plain(f.firstDueAtMs === null ? '.' : ` before ${clockText(f.firstDueAtMs, style)}.`),
    );
  } else {
    out.push(f.done > 0 ? plain('All that the plan asked for is on.') : plain('Nothing needs a cover.'));
  }
  return out;
}

/** "−3 °C outside now, −7 °C by 07:10. Closest to harm: N5 at −0.4 °C." */
export function nightSentence(
  f: {
    nowC: number;
    lowC: number;
    lowAtMs: number;
    closest: { name: string; leafC: number; marginK: number } | null;
  },
  style: Style,
): Segment[] {
  const t = (c: number, d = 0) => temperatureText(c, style.units.temperature, d);
  const out: Segment[] = [
    cold(f.nowC, `${t(f.nowC)} outside now`),
    plain(', '),
    cold(f.lowC, `${t(f.lowC)} by ${clockText(f.lowAtMs, style)}. `),
  ];
  if (f.closest === null) return [...out, plain('No crop stands in the cold.')];
  if (f.closest.marginK > 1.5) return [...out, plain('Nothing is close to harm.')];
  return [...out, plain('Closest to harm: '), frost(`${f.closest.name} at ${t(f.closest.leafC, 1)}.`)];
}

/** "N5 stays covered today. Leave the others be until 10:20. N2 froze for four hours." */
export function morningSentence(
  f: {
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
  },
  style: Style,
): Segment[] {
  const out: Segment[] = [];
  const { keep } = f;
  if (keep.length > 0) {
    const names = keep.length < 2 ? keep[0]! : `${keep.slice(0, -1).join(', ')} and ${keep.at(-1)}`;
    out.push(ember(`${names} ${keep.length > 1 ? 'stay' : 'stays'} covered this morning. `));
  }
  if (f.liftAtMs === null) {
    if (!f.coversOn)
      out.push(
        plain(
          f.known
            ? 'Nothing is frozen and nothing is covered. '
            : 'Nothing is covered. What the night did is not known here: look before you touch a leaf. ',
        ),
      );
  } else if (f.liftAtMs === Infinity) {
    out.push(plain('Leaves stay '), ember('frozen all morning'), plain(': leave them be. '));
  } else if (!f.coversOn) {
    out.push(plain('Do not touch frozen leaves before '), ember(`${clockText(f.liftAtMs, style)}. `));
  } else if (f.liftAtMs <= f.nowAtMs + 600_000) {
    out.push(ember(keep.length > 0 ? 'Lift the others when it suits. ' : 'Lift when it suits. '));
  } else {
    out.push(
      plain(keep.length > 0 ? 'Leave the others on until ' : 'Leave them be until '),
      ember(`${clockText(f.liftAtMs, style)}. `),
    );
  }
  const worst = f.frozen[0];
  if (worst) {
    const hours = Math.max(1, Math.round(worst.hours));
    const more = f.frozen.length - 1;
    const rest = more > 0 ? `, and so did ${countWord(more)} other bed${more === 1 ? '' : 's'}` : '';
    out.push(plain(`${worst.name} froze for ${countWord(hours)} hour${hours === 1 ? '' : 's'}${rest}.`));
  } else if (f.lowC !== null) {
    out.push(plain(`The night's low outside: ${temperatureText(f.lowC, style.units.temperature, 0)}.`));
  }
  return out;
}

export { moneyText, rangeText };
