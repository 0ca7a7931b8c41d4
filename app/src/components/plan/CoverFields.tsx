/** What is over a structure: its film or glass, its footing, how snug it is; and what each part of its form says while it is shut. */
import { measureText, tightnessOf, type Structure } from '@fogata/core';
import { View } from 'react-native';
import type { Format } from '../../data/format';
import { Choose } from '../ui/Fields';
import { SnugFields } from './StructureFields';
import { coverFields as words } from '@fogata/words/en/screens/covers';

const SHELLS = [
  { value: 'pe-film', label: words.houseFilm },
  { value: 'pe-film-ir', label: words.thermalFilm },
  { value: 'perforated-film', label: words.perforatedFilm },
  { value: 'polycarbonate-twin', label: words.twinWallSheet },
  { value: 'glass', label: words.glass },
  { value: 'glass-double', label: words.doubleGlass },
] as const;

export const SNUG_WORD = { tight: words.snug, average: words.someDraught, drafty: words.draughty } as const;

export function coverSaid(s: Structure): string {
  const shell = SHELLS.find((x) => x.value === s.material)?.label ?? words.itsOwnCover;
  return words.twoLayersOneLayer({
    shell,
    plies: s.plies,
    snug: s.snug ? SNUG_WORD[s.tightness] : words.notYetAskedHowSnug,
  });
}

export function opensSaid(s: Structure, format: Format): string {
  const list = s.openings ?? [];
  if (s.ventAreaM2 <= 0.001) return words.nothingYet;
  return list.length === 0
    ? measureText(s.ventAreaM2, 'area', format.length, 1)
    : list.map((o) => o.name).join(', ');
}

export const extrasSaid = (s: Structure): string =>
  [
    s.shade ? words.shadeCloth : null,
    s.waterLitres ? words.water : null,
    s.heat ? words.heat : null,
    words.ratedNoRating(s.snowRatingKgM2 ?? s.windRatingMps),
  ]
    .filter((x) => x !== null)
    .join(', ');

export function CoverFields({ s, set }: { s: Structure; set: (patch: Partial<Structure>) => void }) {
  return (
    <View style={{ gap: 16 }}>
      <Choose
        label={words.coveredWith}
        value={s.material as (typeof SHELLS)[number]['value']}
        options={SHELLS}
        onChange={(material) => set({ material })}
      />
      <Choose
        label={words.inHowManyLayers}
        value={s.plies}
        options={[
          { value: 1, label: words.one },
          { value: 2, label: words.twoWithAirBetween },
        ]}
        onChange={(plies) => set({ plies: plies as 1 | 2 })}
      />
      {s.shape === 'box' && s.kind !== 'house' ? (
        <Choose
          label={words.howItStands}
          value={s.footing ?? 'standing'}
          options={[
            { value: 'standing', label: words.onTheGround },
            { value: 'banked', label: words.earthAgainstItsSides },
            { value: 'sunk', label: words.letIntoTheGround },
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
