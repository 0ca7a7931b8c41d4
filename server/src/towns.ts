/**
 * Towns to be near to, for those who do not know their latitude. Contract: `findTowns` of a name as far as it is typed gives the
 * largest first; `townOfZone` the town whose clock a device keeps. The list is GeoNames' (CC BY 4.0), cut to towns of
 * 15,000 and more outside the tropics, of 100,000 and more within, in the order of their size.
 */
import type { TownRow } from '@fogata/contract';
import { readFileSync } from 'node:fs';

export const fold = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

interface Found extends TownRow {
  /** As it is looked for: without accents, with its country. */
  folded: string;
}
const read = new Map<string, readonly Found[]>();

function townsOf(file: string): readonly Found[] {
  const held = read.get(file);
  if (held) return held;
  const countries = new Intl.DisplayNames(['en'], { type: 'region' });
  const lines = readFileSync(file, 'utf8').trimEnd().split('\n').slice(1);
  const towns = lines.map((line): Found => {
    const [name, latitude, longitude, elevationM, code, timeZone] = line.split('\t') as [
      string,
      string,
      string,
      string,
      string,
      string,
    ];
    const country = countries.of(code) ?? code;
    return {
      name,
      country,
      latitude: Number(latitude),
      longitude: Number(longitude),
      elevationM: Number(elevationM),
      timeZone,
      folded: fold(`${name}, ${country}`),
    };
  });
  read.set(file, towns);
  return towns;
}

const told = ({ folded: _folded, ...town }: Found): TownRow => town;

/** At most `count` towns: those whose name begins so, then those in which a word does, then any that hold it. */
export function findTowns(file: string, text: string, count = 8): TownRow[] {
  const q = fold(text.trim());
  if (q === '') return [];
  const rank = (t: Found) =>
    t.folded.startsWith(q) ? 0 : t.folded.includes(` ${q}`) ? 1 : t.folded.includes(q) ? 2 : 3;
  const found: Found[][] = [[], [], []];
  for (const t of townsOf(file)) found[rank(t)]?.push(t);
  return found.flat().slice(0, count).map(told);
}

/** The town that a time zone is called after, else the largest in it; null of a zone without any. */
export function townOfZone(file: string, zone: string): TownRow | null {
  const city = fold(zone.split('/').at(-1)!.replaceAll('_', ' '));
  const there = townsOf(file).filter((t) => t.timeZone === zone);
  const town = there.find((t) => fold(t.name) === city) ?? there[0];
  return town ? told(town) : null;
}
