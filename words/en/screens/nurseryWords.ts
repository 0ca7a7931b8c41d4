/** What is said of trays: whether they fit, when they do not, and what would make them. */
import { cropOf, joined, type Segment } from '@fogata/core';
import { isoOf, type Nursery, type NurseryOver, type NurseryWeek } from '@fogata/core/relay';

const SPACE = {
  shelf: { stand: 'on the shelf', room: 'room for' },
  out: { stand: 'outside to harden', room: 'room for' },
  all: { stand: 'in use', room: 'there are' },
} as const;

const count = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`;
/** "8 March" */
export const weekName = (day: number): string =>
  new Date(`${isoOf(day)}T12:00:00Z`).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  });

/** "Week of 8 March: 24 trays on the shelf, room for 20. Sow the leeks for S2 a week later and all fit." */
export function nurserySentence(
  weeks: readonly NurseryWeek[],
  over: NurseryOver | null,
  n: Nursery,
  bedName: (id: string) => string,
): Segment[] {
  const plain = (text: string): Segment => ({ text, tone: 'plain' });
  const fullest = weeks.reduce<NurseryWeek | null>((a, w) => (w.all > (a?.all ?? 0) ? w : a), null);
  if (!fullest) return [plain('Nothing is raised in trays in these weeks.')];
  if (over) {
    const { mend, week, space, wanted, there } = over;
    const help = mend
      ? `Sow the ${cropOf(mend.planting).name} for ${bedName(mend.planting.bedId)} ${mend.weeks === 1 ? 'a week' : `${mend.weeks} weeks`} later and all fit.`
      : 'No single sowing put off makes them fit: sow less, or find room.';
    return [
      {
        text: `Week of ${weekName(week.fromDay)}: ${count(wanted, 'tray')} ${SPACE[space].stand}`,
        tone: 'ember',
      },
      plain(`, ${SPACE[space].room} ${there}. ${help}`),
    ];
  }
  const known = n.trays !== null || n.shelfTrays !== null || n.outTrays !== null;
  return [
    plain(known ? 'All trays fit. ' : ''),
    { text: `${count(fullest.all, 'tray')} at most`, tone: 'pine' },
    plain(
      `, in the week of ${weekName(fullest.fromDay)}.${known ? '' : ' Say how many there are and where they stand, and it is held against that.'}`,
    ),
  ];
}

/** "On the shelf: leeks for S2, 6 trays, lettuce for N1, 2. Outside: …" */
export function weekWords(w: NurseryWeek, bedName: (id: string) => string): string {
  const of = (where: 'shelf' | 'out') =>
    joined(
      w.batches
        .filter((b) => b.where === where)
        .map((b) => `${cropOf(b.planting).name} for ${bedName(b.planting.bedId)}, ${count(b.trays, 'tray')}`),
    );
  const parts = [
    ['On the shelf', of('shelf')],
    ['Outside', of('out')],
  ] as const;
  return parts
    .filter(([, list]) => list !== '')
    .map(([where, list]) => `${where}: ${list}.`)
    .join(' ');
}

const short = (day: number) => weekName(day).replace(/ (\w{3})\w*$/, ' $1');
/** "28 Jan to 3 Feb", its first and last day. */
export const weekSpan = (day: number): string => `${short(day)} to ${short(day + 6)}`;
