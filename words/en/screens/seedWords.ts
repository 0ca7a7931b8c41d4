/**
 * The seed box in words. Contract: `seedsSentence` opens the screen; `lotWords`, `learntWords`, `figureName` say one thing each; nothing is
 * said of what is not known.
 */
import type { LotView, SeedRow } from '@fogata/contract/told';
import {
  countWord,
  joined,
  saidFigures,
  upper,
  type ColdBelief,
  type Crop,
  type Figure,
  type Figures,
  type Segment,
} from '@fogata/core';
import type { Format } from '@fogata/core/words';

/** "spinach Brasa Verde"; a row without a name is its crop. */
export const rowName = (r: Pick<SeedRow, 'cropName' | 'name'>) =>
  upper(r.name === '' ? r.cropName : `${r.cropName} ${r.name}`);

const hundred = (share: number) => Math.round(100 * share);

/** "of 2025, 180 g, about 18,000 seeds: 72 of 100 come up". */
export function lotWords({ lot, now }: LotView): string {
  const left = [
    lot.grams === null ? null : `${Number(lot.grams.toFixed(1))} g`,
    now?.seeds === null || now?.seeds === undefined
      ? null
      : lot.seeds === null
        ? `about ${Number(now.seeds.toPrecision(2)).toLocaleString('en')} seeds`
        : `${now.seeds.toLocaleString('en')} seeds`,
  ].filter(Boolean);
  const up = now
    ? `: ${hundred(now.germination)} of 100 come up${now.from === 'tested' ? ', by your test' : ''}`
    : '';
  return `of ${lot.year}${left.length > 0 ? `, ${left.join(', ')}` : ''}${up}`;
}

/** Grams that what is planned takes over what is there; null where nothing is planned. */
function shortG(r: SeedRow): number | null {
  if (!r.needs) return null;
  const each = r.needs.grams / Math.max(1, r.needs.seeds);
  const there = r.lots.reduce((g, l) => g + (l.lot.grams ?? (l.now?.seeds ?? 0) * each), 0);
  return Math.max(0, r.needs.grams - there);
}

const grams = (g: number) => `${g < 10 ? Number(g.toFixed(1)) : Math.round(g)} g`;

/** As seed is sold, g: starting values. */
const PACKETS = [0.5, 1, 2, 5, 10, 25, 50, 100, 250, 500, 1000];
/** "one packet of 10 g", a tenth to spare; of much seed several of the largest. */
export function packetsFor(shortG: number): string {
  const wanted = 1.1 * shortG;
  const size = PACKETS.find((p) => p >= wanted) ?? 1000;
  const count = Math.ceil(wanted / size);
  return count === 1 ? `one packet of ${grams(size)}` : `${count} packets of ${grams(size)}`;
}

/** "what is planned takes 15 g: 5 g short, one packet of 10 g". */
export function needWords(r: SeedRow): string | null {
  const short = shortG(r);
  if (short === null) return null;
  const takes = `what is planned takes ${grams(r.needs!.grams)}`;
  if (short <= 0) return `${takes}; there is enough`;
  const order = `${packetsFor(short)} with a tenth to spare`;
  return r.lots.length === 0
    ? `${takes}: none in the box, order ${order}`
    : `${takes}: ${grams(short)} short, order ${order}`;
}

export function seedsSentence(rows: readonly SeedRow[]): Segment[] {
  const lots = rows.flatMap((r) => r.lots.map((l) => ({ ...l, name: rowName(r) })));
  const short = rows
    .filter((r) => (shortG(r) ?? 0) > 0)
    .sort((a, b) => shortG(b)! / b.needs!.grams - shortG(a)! / a.needs!.grams);
  if (lots.length === 0 && short.length === 0)
    return [
      { text: 'No seed is noted yet. ', tone: 'plain' },
      { text: 'Type in a packet', tone: 'ember' },
      { text: ' and its germination, its age and its days count from then on.', tone: 'plain' },
    ];
  const out: Segment[] = [];
  if (short.length > 0) {
    const names = short.map((r) => rowName(r).replace(/^./, (c) => c.toLowerCase()));
    const first = names.slice(0, 3);
    const more = names.length - first.length;
    const list = more > 0 ? `${first.join(', ')} and ${countWord(more)} more` : joined(first);
    out.push(
      { text: `Order seed of ${list}`, tone: 'ember' },
      { text: ': what is planned takes more than there is. ', tone: 'plain' },
    );
  }
  const [worst, ...others] = lots
    .filter((l) => l.now?.old)
    .sort((a, b) => a.now!.germination - b.now!.germination);
  const box = `${upper(countWord(lots.length))} ${lots.length === 1 ? 'lot' : 'lots'} in the box. `;
  if (!worst) return [...out, { text: `${box}All of it still comes up well enough.`, tone: 'plain' }];
  return [
    ...out,
    { text: box, tone: 'plain' },
    {
      text: `${worst.name} of ${worst.lot.year} comes up to ${hundred(worst.now!.germination)} of 100`,
      tone: 'ochre',
    },
    {
      text: `: sow it thick, test it or buy new${others.length > 0 ? `; so with ${countWord(others.length)} more` : ''}.`,
      tone: 'plain',
    },
  ];
}

/** What the farm's own scores say of its cold. */
export function learntWords(b: ColdBelief, format: Pick<Format, 'diff'>): string {
  const k = format.diff(Math.abs(b.shiftK)).replace('+', '');
  const nights = b.nights === 1 ? 'one night' : `${countWord(b.nights)} nights`;
  const doubt = format.diff(b.sdK).replace('+', '');
  return Math.abs(b.shiftK) < 0.1
    ? `Your scores of ${nights} bear the book out, give or take ${doubt}.`
    : `By your scores of ${nights} it stands ${k} ${b.shiftK < 0 ? 'more' : 'less'} cold than the book, give or take ${doubt}.`;
}

/** "Hardened, its leaves burn from −11.0 °C; the book says −9.0 °C." */
export function stoodWords(
  crop: Crop,
  figures: Figures,
  learnt: ColdBelief,
  format: Pick<Format, 't'>,
): string {
  const burn = saidFigures(crop, figures, learnt).find((s) => s.id === 'leaf_damage_hard_c');
  return burn && burn.from === 'record'
    ? `Hardened, its leaves burn from ${format.t(burn.value)}; the book says ${format.t(burn.book)}.`
    : '';
}

const NAMES: Record<string, string> = {
  leaf_damage_soft_c: 'Leaf burn begins, soft',
  leaf_damage_hard_c: 'Leaf burn begins, hardened',
  death_soft_c: 'Half are lost, soft',
  death_hard_c: 'Half are lost, hardened',
  root_death_soft_c: 'Root killed, soft',
  root_death_hard_c: 'Root killed, hardened',
  flower_loss_c: 'Flowers lost',
  fruit_loss_c: 'Young fruit lost',
  chilling_c: 'Chilled under',
  heat_stop_c: 'Leaf stops in heat',
  heat_spoil_c: 'Spoiled by heat',
  hardening_days: 'Cold days until hard',
  base_c: 'Growth begins',
  best_c: 'Grows best',
  upper_c: 'Growth stops',
  plant_out_degree_days: 'To planting out',
  harvest_degree_days: 'To the first picking',
  stand_degree_days: 'Stands ready',
  regrowth_degree_days: 'From cut to cut',
  height_m: 'Height',
  spread_m: 'Spread',
  spacing_m: 'In the row',
  yield_kg_per_m: 'Yield of a metre',
  cuts: 'Cuts',
  sow_depth_mm: 'Sown deep',
  seed_mg: 'A seed weighs',
  germination: 'Fresh seed that comes up',
  seed_life_years: 'Half of that is gone after',
};
export const figureName = (id: string): string => NAMES[id] ?? id;

/** A figure with its unit, as the farm writes it; degree days stay of °C. */
export function figureText(f: Figure, x: number, format: Pick<Format, 't' | 'metres' | 'mass'>): string {
  switch (f.unit) {
    case '°C':
      return format.t(x);
    case 'm':
      return format.metres(x);
    case 'kg/m':
      return `${format.mass(x)} a metre`;
    case 'share':
      return `${hundred(x)} of 100`;
    case 'degree days':
      return `${Math.round(x)} °C days`;
    default:
      return `${Number(x.toPrecision(3))} ${f.id === 'sow_depth_mm' ? 'mm' : f.unit}`.trim();
  }
}
