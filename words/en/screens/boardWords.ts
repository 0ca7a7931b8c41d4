/** The board's words: what plantings have against each other and what would end it, what the board opens with. */
import { cropById, type Segment } from '@fogata/core';
import {
  isoOf,
  type Against,
  type Post,
  type Quarrel,
  type RelayYear,
  type Strip,
  type Week,
} from '@fogata/core/relay';
import { dayShort, dayWords, FAILURE, upper } from './seasonWords';

export interface Said {
  /** What is wrong, and what would end it. */
  what: string;
  instead: string;
}

const shortDay = (day: number) => dayShort(isoOf(day).slice(5));
const ofTen = (share: number) => `${Math.round(share * 10)} of 10`;
const per = (share: number) => `${Math.round(share * 100)} %`;
const ORDINAL = ['', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];

export interface Units {
  metres: (m: number) => string;
  kilos: (kg: number) => string;
}

const UNDER: Record<Against, string> = {
  lifted: 'what is lifted takes it along',
  dark: 'too little light is left under the leaves',
  taller: 'it grows over what it stands under',
  'too-early': 'the old one is still too young and would be overgrown',
};
const underInstead = (q: Quarrel): { instead: string } => {
  const from = q.values['fromDay'] as number;
  return {
    instead:
      q.values['against'] === 'too-early' && from > 0
        ? `Sow it from ${shortDay(from)} on.`
        : 'Take a lower one, or sow it when the rows are clear.',
  };
};
const CARRIED = { itself: 'the flowers themselves', insects: 'insects', wind: 'winds' } as const;

/** Another bed of the same place in which no kin stood in all those years: "; S4 is free of it". */
function freeFor(q: Quarrel, year: RelayYear): string {
  const s = year.strips.find((x) => x.planting.id === q.plantings[0]);
  const here = year.beds.find((b) => b.id === q.bedId);
  if (!s || !here) return '';
  const since = s.startDay - (q.values['yearsAway'] as number) * 366;
  const free = year.beds.find(
    (b) =>
      b.id !== here.id &&
      b.structureId === here.structureId &&
      !year.strips.some(
        (o) => o.planting.bedId === b.id && o.endDay > since && o.crop.family === s.crop.family,
      ),
  );
  return free ? `; ${free.name} has had none of it` : '';
}

export function quarrelWords(q: Quarrel, year: RelayYear, units: Units): Said {
  const v = q.values;
  const num = (key: string) => v[key] as number;
  const of = (n: number): Strip | undefined => year.strips.find((s) => s.planting.id === q.plantings[n]);
  const name = (n: number) => of(n)?.crop.name ?? 'a planting';
  const bed = year.beds.find((b) => b.id === q.bedId)?.name ?? '';
  switch (q.rule) {
    case 'rows-twice':
      return {
        what: `${bed}: ${name(0)} and ${name(1)} in the same ${num('rows') === 1 ? 'row' : 'rows'} for ${num('days')} days; ${num('allowed')} go.`,
        instead: `Clear ${name(0)} ${num('days') - num('allowed')} days sooner, or begin ${name(1)} later.`,
      };
    case 'not-clear': {
      const left = num('untaken');
      return {
        what: `${bed}: ${name(0)} ready in time for ${name(1)} on ${shortDay(num('clearBy'))} in ${ofTen(num('chance'))} years${left > 0.05 ? `; cleared then, ${per(left)} of it in the mean year is not picked` : ''}.`,
        instead: `Begin ${name(0)} sooner or ${name(1)} later, or take something quicker.`,
      };
    }
    case 'starved':
      return {
        what: `${bed}: ${per(num('light'))} of the light of ${name(1)} goes to ${name(0)} for ${num('days')} days.`,
        instead: `Clear ${name(0)} by ${shortDay(q.fromDay + 7)}, or cut it low beside the young.`,
      };
    case 'hungry':
      return {
        what: `${bed}: ${name(0)} and ${name(1)} together want ${num('shortGM2').toFixed(0)} g/m² more nitrogen than the bed gives in ${num('days')} days.`,
        instead: 'Feed that much with the young ones, or part them.',
      };
    case 'shaded': {
      const cut = num('cutM');
      return {
        what: `${bed}: ${name(1)} in the shade of ${name(0)} about ${num('hours').toFixed(0)} h of a clear day from ${shortDay(q.fromDay)} to ${shortDay(q.toDay)}.`,
        instead:
          cut > 0.15
            ? `Keep ${name(0)} under ${units.metres(cut)}, or put the tall on the other side.`
            : 'Put the tall on the other side.',
      };
    }
    case 'swamped':
      return {
        what: `${bed}: ${name(1)} under ${name(0)} from ${shortDay(q.fromDay)}; ${units.metres(num('roomM'))} are wanted between them, ${units.metres(num('apartM'))} are there.`,
        instead: `Clear ${name(1)} by then, or give ${name(0)} another place.`,
      };
    case 'crowded':
      return {
        what: `${bed}: ${name(1)} closes over ${name(0)} from ${shortDay(q.fromDay)}, which stands ${num('days')} days longer.`,
        instead: `Pull ${name(0)} by then, or leave a row free between them.`,
      };
    case 'under':
      return {
        what: `${bed}: ${name(1)} under ${name(0)}: ${UNDER[v['against'] as Against]}.`,
        ...underInstead(q),
      };
    case 'reach':
      return {
        what:
          num('wall') === 1
            ? `${bed}: ${name(1)} is picked behind ${name(0)}, which stands in the way.`
            : `${bed}: ${name(0)} is picked ${units.metres(num('awayM'))} from the path; an arm reaches ${units.metres(num('reachM'))}.`,
        instead:
          num('wall') === 1
            ? 'Put the tall on the other side, or what is picked once behind it.'
            : 'Give the middle rows to what is picked once, or lay a board across.',
      };
    case 'walks':
      return {
        what: `${cropById(v['crop'] as string).name} is picked in ${num('places')} places from ${shortDay(q.fromDay)} to ${shortDay(q.toDay)}: about ${num('minutes').toFixed(0)} minutes a week on the way.`,
        instead: 'Bring its sowings nearer to each other, or pick the far one once a week.',
      };
    case 'not-hot':
      return {
        what: `${bed}: solarised for ${num('hotDays')} days of high summer; ${num('wantedDays')} are wanted before it does anything.`,
        instead: 'Let the film lie longer, in the hottest weeks, on wet soil.',
      };
    case 'crosses':
      return {
        what: `${bed}: ${name(1)} for seed flowers with ${name(0)} for ${num('days')} days, ${units.metres(num('distanceM'))} away; ${CARRIED[v['by'] as keyof typeof CARRIED]} carry ${v['species'] as string} ${units.metres(num('apartM'))}.`,
        instead: `Clear ${name(0)} by ${shortDay(q.fromDay)}, or keep the seed of one of them in another year.`,
      };
    case 'too-tall':
      return {
        what: `${bed}: ${name(0)} at ${units.metres(num('heightM'))} with ${units.metres(num('headroomM'))} over the bed.`,
        instead: `Open or lift the cover by ${shortDay(q.fromDay)}, or choose a low one.`,
      };
    case 'fails':
      return {
        what: `${bed}, ${name(0)} on ${shortDay(q.fromDay)}: ${ofTen(num('success'))} years come off; mostly it ${FAILURE[v['most'] as keyof typeof FAILURE]}.`,
        instead: 'Move it until the odds are yours, or take a hardier or quicker one.',
      };
    case 'rotation':
      return {
        what: `${bed}: ${v['family'] as string} for the ${ORDINAL[num('nth') + 0] ?? `${num('nth')}th`} year running; ${v['disease'] as string} stays in the soil ${num('yearsAway')} years.`,
        instead:
          num('bench') === 1
            ? `Fill the crates anew, or give them to another family${freeFor(q, year)}.`
            : `Give it to another family${freeFor(q, year)}, or rest it; four hot weeks under film count as well.`,
      };
    case 'glut':
      return {
        what: `In the week of ${shortDay(q.fromDay)} ${units.kilos(Math.round(num('kg')))} of ${cropById(v['crop'] as string).name} come at once; ${units.kilos(num('askedKg'))} are asked for.`,
        instead: 'Sow it in parts, two weeks apart, or let it stand longer.',
      };
    case 'trays':
      return {
        what: `About ${shortDay(q.fromDay)} ${num('wanted')} cells are wanted and ${num('cells')} are there.`,
        instead: 'Move a sowing by a week or two, or sow some in the ground.',
      };
  }
}

/** Weeks in which too little is there, as spans. */
export function gapsOf(weeks: readonly Week[], today: number): { from: number; to: number; kg: number }[] {
  const out: { from: number; to: number; kg: number; n: number }[] = [];
  for (const w of weeks) {
    if (w.fromDay + 7 <= today || w.shortKg < Math.max(1, 0.15 * w.demandKg)) continue;
    const last = out.at(-1);
    if (last && last.to === w.fromDay) {
      last.to += 7;
      last.kg += w.shortKg;
      last.n += 1;
    } else out.push({ from: w.fromDay, to: w.fromDay + 7, kg: w.shortKg, n: 1 });
  }
  return out.map(({ from, to, kg, n }) => ({ from, to, kg: kg / n }));
}

/** The sentence that the board opens with: the hand-over that is least sure, then the gap that is deepest. */
export function boardSentence(
  year: RelayYear,
  handed: readonly Post[],
  quarrels: readonly Quarrel[],
  weeks: readonly Week[],
  units: Units,
): Segment[] {
  const plain = (text: string): Segment => ({ text, tone: 'plain' });
  const out: Segment[] = [];
  const strip = (id: string) => year.strips.find((s) => s.planting.id === id);
  const worst = handed
    .filter((p): p is Post & { chance: number } => p.chance !== null)
    .sort((a, b) => a.chance - b.chance)[0];
  if (worst) {
    const bed = year.beds.find((b) => b.id === worst.bedId)?.name ?? '';
    const [old, young] = [strip(worst.oldId), strip(worst.youngId)];
    const sure = worst.chance >= 1 - year.risk;
    out.push(
      plain(
        `${bed} is clear for ${young?.crop.name ?? 'the next'} on ${dayWords(isoOf(worst.day).slice(5))} in `,
      ),
    );
    out.push({ text: `${ofTen(worst.chance)} years`, tone: sure ? 'pine' : 'ember' });
    out.push(
      plain(
        sure
          ? ', and that is the least sure of all. '
          : `, because of ${old?.crop.name ?? 'what stands there'}. `,
      ),
    );
  } else if (year.strips.length === 0)
    return [plain('Nothing is planned. Fill the gaps, or add a planting to a bed, and this shows its year.')];
  else out.push(plain('No row waits for another. '));
  const gap = gapsOf(weeks, year.today).sort((a, b) => b.kg * (b.to - b.from) - a.kg * (a.to - a.from))[0];
  if (gap)
    out.push({
      text: `Short from ${dayWords(isoOf(gap.from).slice(5))} to ${dayWords(isoOf(gap.to - 1).slice(5))}, about ${units.kilos(Math.max(1, Math.round(gap.kg)))} a week. `,
      tone: 'ochre',
    });
  else if (year.demand.length > 0) out.push(plain('What is asked for is there every week. '));
  const n = quarrels.length;
  if (n > 0) out.push(plain(`${n === 1 ? 'One thing' : `${n} things`} to look at.`));
  return out.map((s, i) => (i === 0 ? { ...s, text: upper(s.text) } : s));
}

/** What it opens with while years are still gone through: nothing of the whole, which would leave out what is not known yet. */
export const lackingSentence = ({ known, all }: { known: number; all: number }): Segment[] => [
  {
    text: `${known} of ${all === 1 ? 'one planting' : `${all} plantings`} ${known === 1 ? 'has its' : 'have their'} years so far. What is short, and which row is clear in time, is said once all have.`,
    tone: 'plain',
  },
];

/** A move that waited for signal and was not made. */
export const leftWords = (crop: string, why: string | null): string =>
  why === null
    ? `${upper(crop)} was changed elsewhere while this device had no signal: it stands as it was changed there.`
    : `${upper(crop)}: ${why}`;

export const awayWords = (waiting: number): string =>
  waiting === 0
    ? 'No signal: the board as it was read last. What you move is kept here and sent later.'
    : `No signal: ${waiting === 1 ? 'one move is' : `${waiting} moves are`} kept here and sent when it is back.`;
