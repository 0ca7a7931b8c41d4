/** A record as the log tells it. */
import type { FarmRecord } from '@fogata/contract';
import { cropById, readSheetKey, said, type Said, type Saying } from '@fogata/core';
import { isDeepStrictEqual } from 'node:util';
import type { FarmData } from './store';

type Name = string | Said;

function plantingName(id: string, data: FarmData): { name: Name; bed: string } {
  const p = data.plantings.find((x) => x.id === id);
  if (!p) return { name: said('log.gone.planting'), bed: '' };
  const bed = data.beds.find((b) => b.id === p.bedId)?.name ?? '';
  return { name: said('log.words', { parts: [cropById(p.crop).name, p.cultivar] }), bed };
}

/** A thing's own name; seed is called by its crop. */
function nameOf(thing: Record<string, unknown>, id: string): Name {
  if (typeof thing['crop'] !== 'string') return String(thing['name'] ?? id);
  const own = String(thing['name'] ?? thing['cultivar'] ?? '');
  const name = said('log.words', { parts: [cropById(thing['crop']).name, own] });
  return 'year' in thing ? said('log.seed', { name, year: String(thing['year']) }) : name;
}

/** Names of the first fields that differ. */
function changedFields(before: Record<string, unknown>, after: Record<string, unknown>): Said {
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  const fields = keys.filter((k) => !isDeepStrictEqual(before[k], after[k])).slice(0, 5);
  return said('log.fields', { fields });
}

export interface Described {
  title: Name;
  detail: Saying | string;
}

export function describeRecord(r: FarmRecord, data: FarmData): Described {
  const bedName = (id: string | undefined): Name =>
    data.beds.find((b) => b.id === id)?.name ?? said('log.gone.bed');
  const structureName = (id: string): Name =>
    data.structures.find((s) => s.id === id)?.name ?? said('log.gone.structure');
  switch (r.kind) {
    case 'reading': {
      const { spot: at, minC, maxC } = r;
      const spot =
        at === 'outside' ? said('spot.outside') : (data.structures.find((s) => s.id === at)?.name ?? at);
      return {
        title: said('log.reading', { spot, minC, maxC }),
        detail: r.note ?? said(r.source === 'grower' ? 'log.byHand' : 'log.fromThermometer'),
      };
    }
    case 'cover': {
      const cover = data.covers.find((c) => c.id === r.coverId)?.name ?? said('log.gone.cover');
      return {
        title: said('log.cover', { cover, on: r.on, bed: bedName(r.bedId) }),
        detail: r.on && r.use ? said('way.of', { use: r.use }) : '',
      };
    }
    case 'vent': {
      const open = r.fraction;
      return {
        title: said('log.vent', { structure: structureName(r.structureId), open }),
        detail: open === 0 ? '' : said('log.open', { open }),
      };
    }
    case 'secured':
      return {
        title: said('log.secured', { structure: structureName(r.structureId), what: r.what }),
        detail: '',
      };
    case 'harm': {
      const { name: planting, bed } = plantingName(r.plantingId, data);
      return { title: said('log.harm', { planting, bed, score: r.score }), detail: r.note ?? '' };
    }
    case 'harvest': {
      const { name: planting, bed } = plantingName(r.plantingId, data);
      return {
        title: said('log.harvest', { kg: r.kg, planting }),
        detail: said('log.parts', { parts: [bed, r.note ?? ''] }),
      };
    }
    case 'water':
      return {
        title: said('log.water', { bed: bedName(r.bedId) }),
        detail: said('log.mm', { mm: r.mm }),
      };
    case 'feed':
      return {
        title: said('log.feed', { bed: bedName(r.bedId) }),
        detail: said('log.nitrogen', { gM2: r.nGM2, what: r.what ?? '' }),
      };
    case 'soil':
      return { title: said('log.soil', { bed: bedName(r.bedId), feel: r.feel }), detail: '' };
    case 'note':
      return { title: r.text, detail: r.bedId ? bedName(r.bedId) : '' };
    case 'planting': {
      const parts = [cropById(String(r.after['crop'])).name, String(r.after['cultivar'] ?? '')];
      return {
        title: said('log.planting', { planting: said('log.words', { parts }), action: r.action }),
        detail: bedName(String(r.after['bedId'])),
      };
    }
    case 'decision': {
      const sheets = (r.key ?? 'bare').split('+').map((key) => {
        const { id, use } = readSheetKey(key);
        const cover = data.covers.find((c) => c.id === id)?.name ?? id;
        return said('log.sheet', { cover, use: use ?? null });
      });
      const bare = r.key === null || r.key === 'bare';
      return {
        title: said('log.decision', { bed: bedName(r.bedId), verdict: r.verdict }),
        detail: r.verdict === 'withdrawn' ? '' : bare ? said('log.bare') : said('log.sheets', { sheets }),
      };
    }
    case 'brought': {
      const { changes } = r;
      const count = (f: (c: (typeof changes)[number]) => boolean) => changes.filter(f).length;
      return {
        title: said('log.brought', { as: r.as ?? null, name: r.name }),
        detail: said('log.counts', {
          added: count((c) => c.before === null),
          changed: count((c) => c.before !== null && c.after !== null),
          removed: count((c) => c.after === null),
        }),
      };
    }
    case 'change': {
      const thing = r.after ?? r.before ?? {};
      const name = r.what === 'farm' ? said('log.settings') : nameOf(thing, r.targetId);
      const done = r.after === null ? 'removed' : r.before === null ? 'added' : 'changed';
      return {
        title: said('log.change', { name, done }),
        detail: r.before && r.after ? changedFields(r.before, r.after) : '',
      };
    }
    case 'retraction':
      return { title: said('log.takenBack'), detail: '' };
  }
}
