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
import { plantingCard as texts } from '@fogata/words/en/screens/place';

const HARM = [
  { value: 'none', label: texts.none },
  { value: 'tips', label: texts.leafTips },
  { value: 'leaves', label: texts.leaves },
  { value: 'dead', label: texts.dead },
] as const;

function hardWord(h: number): string {
  return texts.hardenedHalfHardenedHardlyHardened(h);
}

/** What the night is expected to take, over all outcomes; nothing where that is next to nothing. */
export function tollWords(toll: PlantingView['toll']): string {
  if (!toll) return '';
  const percent = (x: number) => `${x < 0.1 ? Math.round(100 * x) : 5 * Math.round(20 * x)} %`;
  const parts = [
    toll.plants >= 0.01 ? texts.ofThePlants(percent(toll.plants)) : '',
    toll.leaves >= 0.02 ? texts.ofTheLeaf(percent(toll.leaves)) : '',
    toll.flowers >= 0.02 ? texts.ofTheFlowers(percent(toll.flowers)) : '',
    toll.daysLost >= 0.5 ? texts.dayDaysOfGrowth(Math.round(toll.daysLost), toll.daysLost) : '',
  ].filter((x) => x !== '');
  return parts.length > 0 ? texts.overAllOfThemIt(parts.join(', ')) : '';
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
  const rows = p.fromRow === p.toRow ? texts.row(p.fromRow) : texts.rows(p.fromRow, p.toRow);
  const chance =
    view.harmChance === null
      ? ''
      : view.harmChance < 0.03
        ? texts.harmIsUnlikely
        : texts.harmInOf10Outcomes(Math.max(1, Math.round(view.harmChance * 10)), tollWords(view.toll));
  const words = view.leafC
    ? texts.leafHarmBelow({
        cropName: view.cropName,
        mid: format.t(view.leafC.mid),
        low: format.range(view.leafC.low, view.leafC.high),
        verdict: view.verdict,
        harmC: format.t(view.harmC),
      })
    : texts.harmBelow(view.cropName, format.t(view.harmC));
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
          <Text kind="small" tone="quiet">
            {texts.days({ rows, daysSince: view.daysSince, hardWord: hardWord(view.hardening) })}
          </Text>
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
        {texts.harmBelowDeathNearIf({
          harmC: format.t(view.harmC),
          deathC: format.t(view.deathC),
          chance,
          lastHarm: view.lastHarm ? texts.lastScored(HARM.find((h) => h.value === view.lastHarm)?.label) : '',
          harvestedKg: view.harvestedKg > 0 ? texts.cut(format.mass(view.harvestedKg)) : '',
        })}
      </Text>
      <SharedRows planting={p} others={others} bed={bed} />
      {view.left < 0.5 ? (
        <Text kind="small" tone="ochre" testID="taken-for-lost">
          {texts.scoredDeadNoCoverIs(view.lastHarm)}
        </Text>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={texts.harm}
          hint={texts.scoreHarmOf(name)}
          onPress={() => setMode(mode === 'harm' ? null : 'harm')}
          testID="score-harm"
        />
        <Button
          label={texts.harvest}
          hint={texts.harvestOf(name)}
          onPress={() => setMode(mode === 'harvest' ? null : 'harvest')}
          testID="harvest"
        />
        <Button
          label={texts.story}
          hint={texts.theStoryOf(name)}
          kind="plain"
          onPress={() => router.push(`/story/${p.id}`)}
          testID="open-story"
        />
        <Button
          label={texts.change}
          hint={texts.change2(name)}
          kind="plain"
          onPress={() => router.push(`/planting/${p.id}`)}
          testID="change-planting"
        />
      </View>
      {mode === 'harm' ? (
        <View style={{ gap: 10, paddingTop: 6 }}>
          <Text kind="small">{texts.scoreWhatYouSeeOnce}</Text>
          <Choice label={texts.harmOf(name)} options={HARM} value={harm} onChange={setHarm} />
          <NoteField
            label={texts.whyIfYouCanTell}
            value={note}
            onChange={setNote}
            placeholder={texts.doorEndTouchedTheFilm}
          />
          <Button
            wide
            kind="main"
            label={texts.noteTheHarm}
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
            label={texts.weight}
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
            label={texts.aWordAboutIt}
            value={note}
            onChange={setNote}
            placeholder={texts.outerLeavesOnly}
          />
          <Button
            wide
            kind="main"
            label={texts.noteTheHarvest}
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
            {texts.leavesThatFrozeAndBroke}
          </Text>
        </View>
      ) : null}
    </View>
  );
}
