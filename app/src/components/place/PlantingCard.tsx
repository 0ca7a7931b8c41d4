/** A planting on its margin bar, with what a grower notes of it: harm, weight, changes. */
import type { PlantingView } from '@fogata/contract/told';
import type { Bed, Planting } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { act } from '../../data/actions';
import type { Format } from '../../data/format';
import { useTheme } from '../../theme/theme';
import { Button, Choice } from '../ui/Button';
import { NoteField } from '../ui/Field';
import { MarginBar } from '../night/MarginBar';
import { SharedRows } from './SharedRows';
import { Stepper } from '../ui/Stepper';
import { Text } from '../ui/Text';

const HARM = [
  { value: 'none', label: 'none' },
  { value: 'tips', label: 'leaf tips' },
  { value: 'leaves', label: 'leaves' },
  { value: 'dead', label: 'dead' },
] as const;

function hardWord(h: number): string {
  return h > 0.85 ? 'hardened' : h > 0.45 ? 'half hardened' : 'hardly hardened';
}

/** What the night is expected to take, over all outcomes; nothing where that is next to nothing. */
export function tollWords(toll: PlantingView['toll']): string {
  if (!toll) return '';
  const percent = (x: number) => `${x < 0.1 ? Math.round(100 * x) : 5 * Math.round(20 * x)} %`;
  const parts = [
    toll.plants >= 0.01 ? `${percent(toll.plants)} of the plants` : '',
    toll.leaves >= 0.02 ? `${percent(toll.leaves)} of the leaf` : '',
    toll.flowers >= 0.02 ? `${percent(toll.flowers)} of the flowers` : '',
    toll.daysLost >= 0.5
      ? `${Math.round(toll.daysLost)} ${toll.daysLost < 1.5 ? 'day' : 'days'} of growth`
      : '',
  ].filter((x) => x !== '');
  return parts.length > 0 ? ` Over all of them it takes about ${parts.join(', ')}.` : '';
}

export function PlantingCard({
  view,
  bed,
  others,
  nowAtMs,
  format,
  width,
  first,
}: {
  view: PlantingView;
  bed: Bed;
  /** What stands in the bed with it. */
  others: readonly Planting[];
  nowAtMs: number;
  format: Format;
  width: number;
  first: boolean;
}) {
  const theme = useTheme();
  const { planting: p } = view;
  const [mode, setMode] = useState<'harm' | 'harvest' | null>(null);
  const [harm, setHarm] = useState<(typeof HARM)[number]['value'] | null>(null);
  const [kg, setKg] = useState<number | null>(null);
  const [note, setNote] = useState('');
  const rows = p.fromRow === p.toRow ? `row ${p.fromRow}` : `rows ${p.fromRow}–${p.toRow}`;
  const chance =
    view.harmChance === null
      ? ''
      : view.harmChance < 0.03
        ? ' Harm is unlikely.'
        : ` Harm in ${Math.max(1, Math.round(view.harmChance * 10))} of 10 outcomes.${tollWords(view.toll)}`;
  const words = view.leafC
    ? `${view.cropName}: leaf ${format.t(view.leafC.mid)} (${format.range(view.leafC.low, view.leafC.high)}), ${view.verdict}; harm below ${format.t(view.harmC)}`
    : `${view.cropName}: harm below ${format.t(view.harmC)}`;
  const mass = format.length === 'm' ? { unit: 'kg', toKg: 1 } : { unit: 'lb', toKg: 0.45359237 };
  const name = `${view.cropName}${p.cultivar ? ` ${p.cultivar}` : ''}`;
  const finish = () => {
    setMode(null);
    setNote('');
    setKg(null);
    setHarm(null);
  };
  const extra = note.trim() === '' ? {} : { note: note.trim() };
  return (
    <View
      style={{
        borderTopWidth: first ? 1 : 0,
        borderBottomWidth: 1,
        borderColor: theme.hairline,
        paddingVertical: 12,
        gap: 6,
      }}
      testID="planting"
    >
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Text kind="strong">{name}</Text>
          <Text
            kind="small"
            tone="quiet"
          >{`${rows} · ${view.daysSince} days · ${hardWord(view.hardening)}`}</Text>
        </View>
        {view.leafC ? (
          <View style={{ alignItems: 'flex-end' }}>
            <Text kind="figure" tone={view.leafC.mid < view.harmC ? 'frost' : 'ink'}>
              {format.t(view.leafC.mid)}
            </Text>
            <Text kind="small" tone="quiet">
              {view.verdict ?? ''}
            </Text>
          </View>
        ) : null}
      </View>
      <MarginBar width={width} harmC={view.harmC} deathC={view.deathC} leafC={view.leafC} words={words} />
      <Text kind="small" tone="quiet">
        {`Harm below ${format.t(view.harmC)}, death near ${format.t(view.deathC)} if it lasts two hours (starting values); a whole night harms sooner.${chance}${view.lastHarm ? ` Last scored: ${HARM.find((h) => h.value === view.lastHarm)?.label}.` : ''}${view.harvestedKg > 0 ? ` ${format.mass(view.harvestedKg)} cut.` : ''}`}
      </Text>
      <SharedRows planting={p} others={others} bed={bed} />
      {view.left < 0.5 ? (
        <Text kind="small" tone="ochre" testID="taken-for-lost">
          {view.lastHarm === 'dead'
            ? '▲ Scored dead: no cover is planned for it. Clear it, or score it again.'
            : '▲ Taken for mostly lost in the last nights: little is planned for it. Note what you find.'}
        </Text>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label="Harm"
          hint={`Score harm of ${name}`}
          onPress={() => setMode(mode === 'harm' ? null : 'harm')}
          testID="score-harm"
        />
        <Button
          label="Harvest"
          hint={`Harvest of ${name}`}
          onPress={() => setMode(mode === 'harvest' ? null : 'harvest')}
          testID="harvest"
        />
        <Button
          label="Story"
          hint={`The story of ${name}`}
          kind="plain"
          onPress={() => router.push(`/story/${p.id}`)}
          testID="open-story"
        />
        <Button
          label="Change"
          hint={`Change ${name}`}
          kind="plain"
          onPress={() => router.push(`/planting/${p.id}`)}
          testID="change-planting"
        />
      </View>
      {mode === 'harm' ? (
        <View style={{ gap: 10, paddingTop: 6 }}>
          <Text kind="small">
            Score what you see once it has thawed; the dead show days later, and can be scored again.
          </Text>
          <Choice label={`Harm of ${name}`} options={HARM} value={harm} onChange={setHarm} />
          <NoteField
            label="Why, if you can tell"
            value={note}
            onChange={setNote}
            placeholder="door end, touched the film…"
          />
          <Button
            wide
            kind="main"
            label="Note the harm"
            disabled={harm === null}
            testID="note-harm"
            onPress={() => {
              void act(
                `${name}: ${HARM.find((h) => h.value === harm)!.label}`,
                [{ kind: 'harm', atMs: nowAtMs, plantingId: p.id, score: harm!, ...extra }],
                nowAtMs,
              );
              finish();
            }}
          />
        </View>
      ) : null}
      {mode === 'harvest' ? (
        <View style={{ gap: 10, paddingTop: 6 }}>
          <Stepper
            label="Weight"
            value={kg}
            onChange={setKg}
            step={0.1}
            bigStep={1}
            digits={1}
            unit={mass.unit}
            min={0}
            max={5000}
            testID="weight"
          />
          <NoteField
            label="A word about it"
            value={note}
            onChange={setNote}
            placeholder="outer leaves only"
          />
          <Button
            wide
            kind="main"
            label="Note the harvest"
            disabled={kg === null || kg <= 0}
            testID="note-harvest"
            onPress={() => {
              void act(
                `${kg} ${mass.unit} ${name}`,
                [
                  {
                    kind: 'harvest',
                    atMs: nowAtMs,
                    plantingId: p.id,
                    kg: Number((kg! * mass.toKg).toFixed(3)),
                    ...extra,
                  },
                ],
                nowAtMs,
              );
              finish();
            }}
          />
          <Text kind="small" tone="quiet">
            Leaves that froze and broke spoil fast: sort them out before washing.
          </Text>
        </View>
      ) : null}
    </View>
  );
}
