/** What is over a structure: its film or glass, its footing, how snug it is; and what each part of its form says while it is shut. */
import { measureText, tightnessOf, type Structure } from '@fogata/core';
import { View } from 'react-native';
import type { Format } from '../../data/format';
import { Choose } from '../ui/Fields';
import { SnugFields } from './StructureFields';

const SHELLS = [
  { value: 'pe-film', label: 'house film' },
  { value: 'pe-film-ir', label: 'thermal film' },
  { value: 'perforated-film', label: 'perforated film' },
  { value: 'polycarbonate-twin', label: 'twin-wall sheet' },
  { value: 'glass', label: 'glass' },
  { value: 'glass-double', label: 'double glass' },
] as const;

export const SNUG_WORD = { tight: 'snug', average: 'some draught', drafty: 'draughty' } as const;

export function coverSaid(s: Structure): string {
  const shell = SHELLS.find((x) => x.value === s.material)?.label ?? 'its own cover';
  return `${shell}, ${s.plies === 2 ? 'two layers' : 'one layer'}, ${s.snug ? SNUG_WORD[s.tightness] : 'not yet asked how snug'}`;
}

export function opensSaid(s: Structure, format: Format): string {
  const list = s.openings ?? [];
  if (s.ventAreaM2 <= 0.001) return 'nothing yet';
  return list.length === 0
    ? measureText(s.ventAreaM2, 'area', format.length, 1)
    : list.map((o) => o.name).join(', ');
}

export const extrasSaid = (s: Structure): string =>
  [
    s.shade ? 'shade cloth' : null,
    s.waterLitres ? 'water' : null,
    s.heat ? 'heat' : null,
    (s.snowRatingKgM2 ?? s.windRatingMps) ? 'rated' : 'no rating',
  ]
    .filter((x) => x !== null)
    .join(', ');

export function CoverFields({ s, set }: { s: Structure; set: (patch: Partial<Structure>) => void }) {
  return (
    <View style={{ gap: 16 }}>
      <Choose
        label="Covered with"
        value={s.material as (typeof SHELLS)[number]['value']}
        options={SHELLS}
        onChange={(material) => set({ material })}
      />
      <Choose
        label="In how many layers"
        value={s.plies}
        options={[
          { value: 1, label: 'one' },
          { value: 2, label: 'two, with air between' },
        ]}
        onChange={(plies) => set({ plies: plies as 1 | 2 })}
      />
      {s.shape === 'box' && s.kind !== 'house' ? (
        <Choose
          label="How it stands"
          value={s.footing ?? 'standing'}
          options={[
            { value: 'standing', label: 'on the ground' },
            { value: 'banked', label: 'earth against its sides' },
            { value: 'sunk', label: 'let into the ground' },
          ]}
          onChange={(footing) => set({ footing })}
        />
      ) : null}
      <SnugFields
        value={s.snug}
        tightness={s.tightness}
        onChange={(snug) => set({ snug, tightness: tightnessOf(snug) })}
      />
    </View>
  );
}
