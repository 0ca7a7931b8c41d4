/** What was done, as the log tells it. */
import type { CoverUse } from '@fogata/core';
import { percent, upper } from './counts';
import type { Telling } from '@fogata/core/words';
import { jobs } from './jobs';

const HARM = { none: 'no harm', tips: 'leaf tips', leaves: 'leaves', dead: 'dead' };
const DECISION = {
  accepted: 'accepted',
  changed: 'changed',
  refused: 'refused',
  withdrawn: 'back to the plan',
};
const DONE = { added: 'added', changed: 'changed', removed: 'removed' };

const BROUGHT = {
  farm: () => 'A farm file',
  map: () => 'A map',
  covers: () => 'A table of covers',
  plantings: () => 'A table of plantings',
  cultivars: () => 'A table of cultivars',
  library: () => 'A library of crops',
  lots: () => 'A table of seed lots',
  packet: (name: string) => `A packet of ${name}`,
  plan: (name: string) => `The plan “${name}”`,
  start: () => 'A farm to start from',
  asked: () => 'What was asked',
};

export const log = {
  /** Names and words that are there, with a space, or with a dot between them. */
  'log.words': (v: { parts: readonly string[] }) => v.parts.filter(Boolean).join(' '),
  'log.parts': (v: { parts: readonly string[] }) => v.parts.filter(Boolean).join(' · '),
  'log.gone.bed': () => 'a bed that was removed',
  'log.gone.planting': () => 'a planting that was removed',
  'log.gone.cover': () => 'a cover',
  'log.gone.structure': () => 'a structure',
  'log.seed': (v: { name: string; year: number | string }) => `${v.name} seed of ${v.year}`,
  'log.settings': () => 'The farm’s settings',

  'log.reading': (v: { spot: string; minC: number | null; maxC: number | null }, f: Telling) =>
    `${upper(v.spot)}: ${[
      v.minC === null ? '' : `lowest ${f.t(v.minC)}`,
      v.maxC === null ? '' : `highest ${f.t(v.maxC)}`,
    ]
      .filter(Boolean)
      .join(', ')}`,
  'log.byHand': () => 'read by hand',
  'log.fromThermometer': () => 'from the thermometer',
  'log.cover': (v: { cover: string; on: boolean; bed: string }) =>
    `${v.cover} ${v.on ? 'on' : 'off'} ${v.bed}`,
  'log.vent': (v: { structure: string; open: number }) =>
    `${v.structure} ${v.open === 0 ? 'closed' : 'opened'}`,
  'log.open': (v: { open: number }) => `${percent(v.open)} open`,
  'log.secured': (v: { structure: string; what: 'wind' | 'snow' }) =>
    `${v.structure} made ready for ${v.what}`,
  'log.harm': (v: { planting: string; bed: string; score: keyof typeof HARM }) =>
    `${v.planting}, ${v.bed}: ${HARM[v.score]}`,
  'log.harvest': (v: { kg: number; planting: string }, f: Telling) => `${f.mass(v.kg)} ${v.planting}`,
  'log.water': (v: { bed: string }) => `${v.bed} watered`,
  'log.mm': (v: { mm: number }, f: Telling) => f.rain(v.mm),
  'log.feed': (v: { bed: string }) => `${v.bed} fed`,
  'log.nitrogen': (v: { gM2: number; what: string }, f: Telling) =>
    `${f.perArea(v.gM2)} of nitrogen${v.what === '' ? '' : ` · ${v.what}`}`,
  'log.soil': (v: { bed: string; feel: string }) => `${v.bed}: ${v.feel} a finger deep`,
  'log.planting': (v: { planting: string; action: string }) => `${v.planting} ${v.action}`,
  'log.decision': (v: { bed: string; verdict: keyof typeof DECISION }) =>
    `Plan for ${v.bed} ${DECISION[v.verdict]}`,
  'log.bare': () => 'nothing on it',
  'log.sheet': (v: { cover: string; use: CoverUse | null }) =>
    v.use === null ? v.cover : `${v.cover} ${jobs['way.of']({ use: v.use })}`,
  'log.sheets': (v: { sheets: readonly string[] }) => v.sheets.join(' and '),
  'exchange.nameless': () => 'something without a name',
  'exchange.settings': () => 'the farm’s settings',
  'log.brought': (v: { as: keyof typeof BROUGHT | null; name: string }) =>
    `${v.as === null ? v.name : BROUGHT[v.as](v.name)} brought`,
  'log.counts': (v: { added: number; changed: number; removed: number }) =>
    (['added', 'changed', 'removed'] as const)
      .filter((k) => v[k] > 0)
      .map((k) => `${v[k]} ${DONE[k]}`)
      .join(', '),
  'log.change': (v: { name: string; done: keyof typeof DONE }) => `${v.name} ${DONE[v.done]}`,
  /** Fields by their names in code: "lengthM" is told as "length". */
  'log.fields': (v: { fields: readonly string[] }) => v.fields.map(fieldName).join(', '),
  'log.takenBack': () => 'Taken back',
};

const fieldName = (field: string): string =>
  field
    .replace(/(M2|KgM2|Ms|M|C|Deg)$/, '')
    .replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`)
    .trim();
