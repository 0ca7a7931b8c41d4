/** The first screen: the sentence it opens with, what stands under it, what is lacking. */
import { countWord, counted } from './counts';
import type { Telling } from '@fogata/core/words';

const sky = { clear: 'clear', broken: 'broken cloud', overcast: 'overcast' };
const wind = { still: 'still', light: 'a light wind', windy: 'windy' };
const phase = { tonight: 'tonight', morning: 'this morning and what comes' };

export const now = {
  'sky.and.wind': (v: { sky: keyof typeof sky; wind: keyof typeof wind }) =>
    v.sky === 'clear' && v.wind === 'still' ? 'clear and still' : `${sky[v.sky]}, ${wind[v.wind]}`,

  'closing.low': (v: { lowC: number; lowAtMs: number }, f: Telling) =>
    `${f.t(v.lowC, 0)} by ${f.time(v.lowAtMs)}`,
  'closing.sky': (v: { sky: string }) => `, ${v.sky}. `,
  'closing.cover': (v: { beds: number }) => `Cover ${counted(v.beds, 'bed')}`,
  'closing.second': (v: { beds: number }) => `A second layer on ${counted(v.beds, 'bed')}`,
  'closing.starting': (v: { atMs: number }, f: Telling) => `, starting by ${f.time(v.atMs)}.`,
  'closing.shut': () => 'Close up',
  'closing.before': (v: { atMs: number }, f: Telling) => ` before ${f.time(v.atMs)}.`,
  'closing.end': () => '.',
  'closing.done': () => 'All that the plan asked for is on.',
  'closing.nothing': () => 'Nothing needs a cover.',

  'night.outside': (v: { nowC: number }, f: Telling) => `${f.t(v.nowC, 0)} outside now`,
  'night.then': () => ', ',
  'night.low': (v: { lowC: number; lowAtMs: number }, f: Telling) =>
    `${f.t(v.lowC, 0)} by ${f.time(v.lowAtMs)}. `,
  'night.noCrop': () => 'No crop stands in the cold.',
  'night.noHarm': () => 'Nothing is close to harm.',
  'night.closest': () => 'Closest to harm: ',
  'night.closest.bed': (v: { bed: string; leafC: number }, f: Telling) => `${v.bed} at ${f.t(v.leafC, 1)}.`,

  'morning.stays': (v: { beds: readonly string[] }, f: Telling) =>
    `${f.and(v.beds)} ${v.beds.length > 1 ? 'stay' : 'stays'} covered this morning. `,
  'morning.nothing': () => 'Nothing is frozen and nothing is covered. ',
  'morning.unknown': () =>
    'Nothing is covered. What the night did is not known here: look before you touch a leaf. ',
  'morning.leaves': () => 'Leaves stay ',
  'morning.frozen': () => 'frozen all morning',
  'morning.leave': () => ': leave them be. ',
  'morning.touch': () => 'Do not touch frozen leaves before ',
  'morning.at': (v: { atMs: number }, f: Telling) => `${f.time(v.atMs)}. `,
  'morning.lift': (v: { others: boolean }) =>
    v.others ? 'Lift the others when it suits. ' : 'Lift when it suits. ',
  'morning.until': (v: { others: boolean }) =>
    v.others ? 'Leave the others on until ' : 'Leave them be until ',
  'morning.froze': (v: { bed: string; hours: number; more: number }) => {
    const hours = Math.max(1, Math.round(v.hours));
    const rest = v.more > 0 ? `, and so did ${counted(v.more, 'other bed')}` : '';
    return `${v.bed} froze for ${counted(hours, 'hour')}${rest}.`;
  },
  'morning.low': (v: { lowC: number }, f: Telling) => `The night's low outside: ${f.t(v.lowC, 0)}.`,

  'now.empty': () =>
    'Nothing stands in a bed yet. Add a structure, a bed and a planting, and the night can be worked out.',
  'now.computing': () => 'Working out the night…',
  'lack.tell': () => 'Tell it what yours says.',
  'lack.none': (v: { of: keyof typeof phase }) => `There is no forecast for ${phase[v.of]}. `,
  'lack.morning': (v: { fromAtMs: number }, f: Telling) =>
    `No forecast says anything of this morning; tonight’s begins ${f.time(v.fromAtMs)}.`,
  'lack.typed': () => 'The forecast that was typed',
  'lack.named': (v: { name: string }) => `The forecast “${v.name}”`,
  'lack.past': (v: { forecast: string; toAtMs: number }, f: Telling) =>
    `${v.forecast} ended ${f.day(v.toAtMs)} ${f.time(v.toAtMs)}. `,
  'lack.short': (v: { forecast: string; toAtMs: number }, f: Telling) =>
    `${v.forecast} ends ${f.day(v.toAtMs)} ${f.time(v.toAtMs)}, before the night does. `,
  'lack.late': (v: { forecast: string; fromAtMs: number }, f: Telling) =>
    `${v.forecast} begins only ${f.day(v.fromAtMs)} ${f.time(v.fromAtMs)}. `,

  'evidence.all': (v: { parts: readonly string[] }) => v.parts.join(' '),
  'evidence.forecast': (v: { lowC: number; highC: number }, f: Telling) =>
    `Forecast ${f.range(v.lowC, v.highC)}.`,
  'evidence.sunUp': (v: { atMs: number }, f: Telling) => `Sun up ${f.time(v.atMs)}.`,
  'evidence.nobody': (v: { atMs: number }, f: Telling) =>
    `Nobody is here from ${f.time(v.atMs)}: all of it before then.`,
  'evidence.sunDown': (v: { atMs: number }, f: Telling) => `Sun down ${f.time(v.atMs)}.`,
  'evidence.left': (v: { losses: readonly string[] }) => `Left as it is: ${v.losses.join(', ')}.`,
  'evidence.loss': (v: { crop: string; lost: boolean }) => `${v.crop} ${v.lost ? 'lost' : 'hurt'}`,
  'evidence.saves': (v: { money: number }, f: Telling) => `The jobs save about ${f.money(v.money)}.`,
  'evidence.eitherWay': (v: { money: number; saved: boolean }, f: Telling) =>
    `${f.money(v.money)} or so is lost ${v.saved ? 'either way' : 'whatever is done'}.`,
  'evidence.work': (v: { minutes: number }) => `The work: ${Math.round(v.minutes)} min.`,
  'hands.fewer': (v: { beds: readonly string[]; money: number }, f: Telling) =>
    `One person fewer: ${f.and(v.beds)} otherwise or later, and about ${f.money(v.money)} more is lost.`,
  'hands.more': (v: { beds: readonly string[]; money: number }, f: Telling) =>
    `One person more would save about ${f.money(v.money)}, on ${f.and(v.beds)}.`,
  'hands.enough': () => 'One person fewer would do.',

  'doubt.guessed': (v: { k: number }, f: Telling) =>
    `The weather of the days before is not all known and is taken to have been alike: ${doubt(v.k, f)}`,
  'doubt.issued': (v: { k: number }, f: Telling) =>
    `The days before are known from forecasts only: ${doubt(v.k, f)}`,
  'moved.by': (v: { offK: number; hours: number }, f: Telling) =>
    `Outside it was ${f.apart(v.offK)} ${v.offK < 0 ? 'colder' : 'milder'} than was said in the last ${countWord(v.hours)} hours: the coming ones are moved by as much, and less the later.`,

  'risk.bed': (
    v: { bed: string; crop: string; harmTenths: number; sure: boolean; money: number },
    f: Telling,
  ) =>
    `${v.bed}, ${v.crop}: ${v.sure ? 'harm almost surely' : `harm in ${v.harmTenths} in 10 outcomes`}${v.money >= 1 ? `, about ${f.money(v.money)}` : ''}`,
  'risk.toHand': (v: { k: number }, f: Telling) =>
    `For the best single plants: an upturned pot, a jug without its bottom, a tarp held off the leaves. Worth about ${f.apart(v.k)} for some hours (a starting value); off again once it thaws.`,
  'stay.frozen': (v: { bed: string }) => `Leave ${v.bed} covered: its leaves do not thaw this morning.`,
  'stay.harmed': (v: { bed: string; bareC: number; crop: string; harmC: number }, f: Telling) =>
    `Leave ${v.bed} covered: its leaves would come to ${f.t(v.bareC)}, and ${v.crop} is harmed below ${f.t(v.harmC)}.`,

  'caution.wind': () => 'Wind: weight or lash every cover before dark, and keep lids and glass from flying.',
  'caution.snow': () =>
    'Snow is forecast. Only the maker’s rating says what a structure holds; do not go in under a loaded roof.',
  'caution.noon': () =>
    'A closed house will be hot for crops and people by midday. Open in time, and do not work in it alone.',
  'caution.heavy': (v: { beds: readonly string[] }, f: Telling) =>
    `Crates of ${f.and(v.beds)} are heavy: carry them by two, on a clear path.`,
  'caution.ice': () =>
    'Ice on paths and lids in the morning. Any heater under cover needs ventilation and a carbon monoxide alarm.',
  'caution.glass': () => 'Glass: gloves, and never lean on a lid. Prop it against wind.',
  'caution.house': () => 'A closed house heats fast in sun. Open before it is hot; do not work in it alone.',
  'caution.heat': () =>
    'Emergency heat only as the maker and local code allow: carbon monoxide, fire, and a residual-current device for anything electric in the wet.',

  'problem.night': () => 'The night could not be worked out. Try again; the readings and the log are safe.',
  'problem.ahead': () => 'The nights to come could not be worked out. Tonight’s plan stands.',
};

function doubt(k: number, f: Telling): string {
  return `the ground may be warmer or colder, and leaves with it by about ${f.apart(k)}. A lowest read outside each morning narrows that.`;
}
