/** The board's words: what plantings have against each other and what would end it, what the board opens with. */
import { cropById, type Segment } from '@fogata/core';
import { isoOf, type Post, type Quarrel, type RelayYear, type Strip, type Week } from '@fogata/core/relay';
import { dayShort, dayWords, FAILURE, upper } from '../season/seasonWords';

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
        instead: 'Give it to another family, or rest it.',
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
