/** Season's words: dates as they are said, what goes wrong, how sure a date is. */
import type { SeasonCropView, SeasonDate, SeasonRow, SeasonView } from '@fogata/contract/told';
import { upper, type Segment } from '@fogata/core';
import { makesButtons } from '@fogata/core/season';
import type { Format } from '@fogata/core/words';

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

/** "18 April" of "04-18". */
export const dayWords = (md: string): string =>
  `${Number(md.slice(3))} ${MONTHS[Number(md.slice(0, 2)) - 1]}`;
/** "18 Apr" of "04-18". */
export const dayShort = (md: string): string =>
  `${Number(md.slice(3))} ${MONTHS[Number(md.slice(0, 2)) - 1]!.slice(0, 3)}`;

export const FAILURE: Record<SeasonRow['afterIs'], string> = {
  lostToCold: 'is lost to cold',
  notReady: 'does not get there',
  notClear: 'is not clear in time',
  bolted: 'runs to flower',
  cooked: 'is spoilt by heat',
};

/** "57 of 100 years" */
export const ofHundred = (share: number): string => `${Math.round(share * 100)} of 100 years`;

export { upper } from '@fogata/core';
const verb = (planted: boolean) => (planted ? 'plant' : 'sow');

/** A day of the year so many days on. Example: "12-30" and 5: "01-04". */
export function daysOn(md: string, days: number): string {
  return new Date(Date.UTC(2001, Number(md.slice(0, 2)) - 1, Number(md.slice(3)) + days))
    .toISOString()
    .slice(5, 10);
}

/** A window that shuts so soon is what the page opens with, days. */
const PRESSES_DAYS = 60;

/** The sentence that Season opens with. */
export function seasonSentence(v: SeasonView): Segment[] {
  const plain = (text: string): Segment => ({ text, tone: 'plain' });
  if (v.places === 0)
    return [plain('Set up a structure with a bed, and this says what may be sown in it, and when.')];
  const [first] = v.rows;
  if (first && first.inDays === 0 && first.leftDays <= PRESSES_DAYS) {
    const todo: Segment = {
      text: `${upper(verb(first.planted))} ${first.name} in ${first.place} before ${dayWords(daysOn(first.latest, 1))}. `,
      tone: 'ember',
    };
    const gone = 1 - first.after;
    if (gone < 0.15) return [todo, plain('Two weeks later it costs little.')];
    return [
      todo,
      plain('Two weeks later it '),
      { text: `${failureWords(first.afterIs, first.crop)} in ${ofHundred(gone)}.`, tone: 'frost' },
    ];
  }
  if (first && first.inDays === 0)
    return [
      plain('Nothing presses. '),
      {
        text: `The first window to shut is that of ${first.name} in ${first.place}, on ${dayWords(first.latest)}.`,
        tone: 'pine',
      },
    ];
  if (first)
    return [
      plain('Nothing has to be begun today. '),
      {
        text: `From ${dayWords(first.opens)} ${verb(first.planted)} ${first.name} in ${first.place}.`,
        tone: 'ember',
      },
    ];
  if (v.next)
    return [
      plain('Nothing may be begun now. '),
      { text: `Next is ${v.next.name} in ${v.next.place}, from ${dayWords(v.next.date)}.`, tone: 'ember' },
    ];
  return v.progress.state === 'ready'
    ? [plain('Of what this farm grows nothing comes off here, as it is set up, in nine years of ten.')]
    : [plain('A hundred plausible years are being gone through.')];
}

/** The sentence that a crop's page opens with. */
export function cropSentence(v: SeasonCropView): Segment[] {
  const day = (md: string) => Date.UTC(2001, Number(md.slice(0, 2)) - 1, Number(md.slice(3))) / 86_400_000;
  const ahead = (from: string, to: string) => (day(to) - day(from) + 365) % 365;
  const today = v.today.slice(5);
  // what is open now, else what opens first; of several the longest
  const best = v.places
    .flatMap((p) => p.windows.filter((w) => w.school === 'risk' && w.earliest).map((w) => ({ p, w })))
    .map(({ p, w }) => {
      const long = ahead(w.earliest!, w.latest!);
      return { p, w, long, inDays: ahead(w.earliest!, today) <= long ? 0 : ahead(today, w.earliest!) };
    })
    .sort((a, b) => a.inDays - b.inDays || b.long - a.long)[0];
  const begun = v.planted ? 'planted' : 'sown';
  if (!best)
    return [
      {
        text:
          v.progress.state === 'ready'
            ? `${upper(v.name)} ${begun} here comes off in nine years of ten on no day of the year.`
            : `${upper(v.name)}: a hundred plausible years are being gone through.`,
        tone: 'plain',
      },
    ];
  return [
    { text: `${upper(v.name)} in ${placeTitle(best.p)}: `, tone: 'plain' },
    { text: `${begun} from ${dayWords(best.w.earliest!)} to ${dayWords(best.w.latest!)}`, tone: 'pine' },
    { text: ' it comes off in nine years of ten.', tone: 'plain' },
  ];
}

/** What goes wrong with a crop, as it is said of that crop. */
export const failureWords = (failure: SeasonRow['afterIs'], crop: string): string =>
  failure === 'bolted' && makesButtons(crop) ? 'makes buttons, small heads too early' : FAILURE[failure];

/** "North house, Fleece 30 on cold nights". */
export const placeTitle = (p: { name: string; cover: string | null }): string =>
  p.cover === null ? p.name : `${p.name}, ${p.cover} on cold nights`;

/** How good the months are that it is reckoned from. */
export function climateWords(c: SeasonView['climate'], format: Pick<Format, 'far' | 'diff'>): string {
  const frost =
    c.lastSpring && c.firstAutumn
      ? `your frost dates, ${dayShort(c.lastSpring)} and ${dayShort(c.firstAutumn)}`
      : 'no frost dates of yours';
  const missed = c.missed.length > 0 ? ' These months cannot be brought to those dates: check them.' : '';
  if (c.from === 'daily')
    return `From ${c.years} years of a station’s days, and ${frost}.${missed.replace('These months', 'Its days')}`;
  if (c.from === 'monthly') return `From the twelve months typed for this site, and ${frost}.${missed}`;
  const table = c.town
    ? `From a coarse table’s months of ${c.town.name}, ${format.far(c.town.km)} away, good to some ${format.diff(2).replace('+', '')} there`
    : `From a coarse table by latitude and height, good to some ${format.diff(5).replace('+', '')}`;
  return `${table}, and ${frost}. Type your place’s twelve months under Kit, The site.${missed}`;
}

const STARTS = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334];
/** Day of the year, 0 to 364, of "MM-DD". */
export const dayOf = (md: string): number => STARTS[Number(md.slice(0, 2)) - 1]! + Number(md.slice(3)) - 1;

const FAILURES = ['lostToCold', 'notReady', 'bolted', 'cooked'] as const;

/** The row that a day falls under: the last one before it. */
export function rowAt(dates: readonly SeasonDate[], at: string): SeasonDate {
  const day = dayOf(at);
  return dates.reduce((a, b) =>
    (day - dayOf(b.date) + 365) % 365 < (day - dayOf(a.date) + 365) % 365 ? b : a,
  );
}

/** "Begun on 12 September: ready about 20 November; comes off in eight years in ten, else ..." */
export function dateSentence(row: SeasonDate, at: string, begun: string, crop = ''): string {
  const ready =
    row.readyDays === null
      ? 'in most years it never comes to a picking'
      : `first picking about ${dayShort(daysOn(at, row.readyDays))}`;
  const wrong = FAILURES.filter((f) => row[f] >= 0.05)
    .sort((a, b) => row[b] - row[a])
    .map((f) => `${failureWords(f, crop)} in ${ofHundred(row[f])}`);
  const sick =
    row.mildew >= 0.03 && row.readyDays !== null
      ? ` Damp weeks shut in leave mildew on some ${Math.round(100 * row.mildew)} in 100 of its leaves by then: air it whenever the sun allows.`
      : '';
  return `${upper(begun)} on ${dayWords(at)}: ${ready}. It comes off in ${ofHundred(row.success)}${wrong.length > 0 ? `; it ${wrong.join(', ')}` : ''}.${sick}`;
}
