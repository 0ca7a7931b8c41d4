/** A record in the grower's words, for the log. */
import type { FarmRecord } from '@fogata/contract';
import {
  cropById,
  massText,
  perAreaText,
  readSheetKey,
  temperatureText,
  wayWords,
  type Style,
} from '@fogata/core';
import { isDeepStrictEqual } from 'node:util';
import type { FarmData } from './store';

const HARM_WORDS = { none: 'no harm', tips: 'leaf tips', leaves: 'leaves', dead: 'dead' } as const;
const DECISIONS = {
  accepted: 'accepted',
  changed: 'changed',
  refused: 'refused',
  withdrawn: 'back to the plan',
} as const;

function plantingName(id: string, data: FarmData): { title: string; bed: string } {
  const p = data.plantings.find((x) => x.id === id);
  if (!p) return { title: 'a planting that was removed', bed: '' };
  const bed = data.beds.find((b) => b.id === p.bedId)?.name ?? '';
  return { title: `${cropById(p.crop).name}${p.cultivar ? ` ${p.cultivar}` : ''}`, bed };
}

/** A thing's own name; seed is called by its crop. */
function nameOf(thing: Record<string, unknown>, id: string): string {
  if (typeof thing['crop'] !== 'string') return String(thing['name'] ?? id);
  const own = String(thing['name'] ?? thing['cultivar'] ?? '');
  return [cropById(thing['crop']).name, own, 'year' in thing ? `seed of ${String(thing['year'])}` : '']
    .filter(Boolean)
    .join(' ');
}

/** Names of the fields that differ, as words: "lengthM" as "length". */
function changedFields(before: Record<string, unknown>, after: Record<string, unknown>): string {
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  const words = keys
    .filter((k) => !isDeepStrictEqual(before[k], after[k]))
    .map((k) =>
      k
        .replace(/(M2|KgM2|Ms|M|C|Deg)$/, '')
        .replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`)
        .trim(),
    );
  return words.slice(0, 5).join(', ');
}

export function describeRecord(
  r: FarmRecord,
  data: FarmData,
  style: Style,
): { title: string; detail: string } {
  const bedName = (id: string | undefined) =>
    data.beds.find((b) => b.id === id)?.name ?? 'a bed that was removed';
  const t = (c: number) => temperatureText(c, style.units.temperature);
  switch (r.kind) {
    case 'reading': {
      const spot =
        r.spot === 'outside' ? 'Outside' : (data.structures.find((s) => s.id === r.spot)?.name ?? r.spot);
      const parts = [
        r.minC === null ? null : `lowest ${t(r.minC)}`,
        r.maxC === null ? null : `highest ${t(r.maxC)}`,
      ];
      return {
        title: `${spot}: ${parts.filter(Boolean).join(', ')}`,
        detail: r.note ?? (r.source === 'grower' ? 'read by hand' : 'from the thermometer'),
      };
    }
    case 'cover': {
      const cover = data.covers.find((c) => c.id === r.coverId)?.name ?? 'a cover';
      const detail = r.on && r.use ? wayWords(r.use) : '';
      return { title: `${cover} ${r.on ? 'on' : 'off'} ${bedName(r.bedId)}`, detail };
    }
    case 'vent': {
      const name = data.structures.find((s) => s.id === r.structureId)?.name ?? 'a structure';
      return {
        title: r.fraction === 0 ? `${name} closed` : `${name} opened`,
        detail: r.fraction === 0 ? '' : `${Math.round(r.fraction * 100)} % open`,
      };
    }
    case 'secured': {
      const name = data.structures.find((x) => x.id === r.structureId)?.name ?? 'a structure';
      return { title: `${name} made ready for ${r.what}`, detail: '' };
    }
    case 'harm': {
      const p = plantingName(r.plantingId, data);
      return { title: `${p.title}, ${p.bed}: ${HARM_WORDS[r.score]}`, detail: r.note ?? '' };
    }
    case 'harvest': {
      const p = plantingName(r.plantingId, data);
      return {
        title: `${massText(r.kg, style.units.length)} ${p.title}`,
        detail: [p.bed, r.note].filter(Boolean).join(' · '),
      };
    }
    case 'water':
      return { title: `${bedName(r.bedId)} watered`, detail: `${Number(r.mm.toFixed(1))} mm` };
    case 'feed':
      return {
        title: `${bedName(r.bedId)} fed`,
        detail: `${perAreaText(r.nGM2, style.units.length)} of nitrogen${r.what ? ` · ${r.what}` : ''}`,
      };
    case 'soil':
      return { title: `${bedName(r.bedId)}: ${r.feel} a finger deep`, detail: '' };
    case 'note':
      return { title: r.text, detail: r.bedId ? bedName(r.bedId) : '' };
    case 'planting': {
      const crop = cropById(String(r.after['crop'])).name;
      return {
        title: `${crop} ${String(r.after['cultivar'] ?? '')} ${r.action}`.replace('  ', ' '),
        detail: bedName(String(r.after['bedId'])),
      };
    }
    case 'decision': {
      const names =
        r.key === null || r.key === 'bare'
          ? 'nothing on it'
          : r.key
              .split('+')
              .map((key) => {
                const { id, use } = readSheetKey(key);
                const name = data.covers.find((c) => c.id === id)?.name ?? id;
                return use ? `${name} ${wayWords(use)}` : name;
              })
              .join(' and ');
      return {
        title: `Plan for ${bedName(r.bedId)} ${DECISIONS[r.verdict]}`,
        detail: r.verdict === 'withdrawn' ? '' : names,
      };
    }
    case 'brought': {
      const { changes } = r;
      const count = (f: (c: (typeof changes)[number]) => boolean, word: string) => {
        const n = changes.filter(f).length;
        return n > 0 ? `${n} ${word}` : null;
      };
      const parts = [
        count((c) => c.before === null, 'added'),
        count((c) => c.before !== null && c.after !== null, 'changed'),
        count((c) => c.after === null, 'removed'),
      ];
      return { title: `${r.name} brought`, detail: parts.filter(Boolean).join(', ') };
    }
    case 'change': {
      const thing = r.after ?? r.before ?? {};
      const name = r.what === 'farm' ? 'The farm’s settings' : nameOf(thing, r.targetId);
      const done = r.after === null ? 'removed' : r.before === null ? 'added' : 'changed';
      return {
        title: `${name} ${done}`,
        detail: r.before && r.after ? changedFields(r.before, r.after) : '',
      };
    }
    case 'retraction':
      return { title: 'Taken back', detail: '' };
  }
}
