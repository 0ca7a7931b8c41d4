/** A structure, a bed or a cover of one's own, from an ordinary one that is then made to fit. */
import type { Bed, Cover, Structure } from '@fogata/core';
import { MATERIALS, MATERIAL_IDS } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Problem } from '../components/Bars';
import { Button, Choice } from '../components/Button';
import { NoteField } from '../components/Field';
import { Page, TopLine } from '../components/Page';
import { Stepper } from '../components/Stepper';
import { Text } from '../components/Text';
import { useFormat } from '../data/format';
import { change, useBeds } from '../data/hooks';
import { newId } from '../data/id';

type Draft<T> = Omit<T, 'id' | 'order'>;

const STRUCTURES: { value: Structure['kind']; label: string; start: Draft<Structure> }[] = [
  {
    value: 'house',
    label: 'hoop house',
    start: {
      name: 'House',
      kind: 'house',
      shape: 'arch',
      sides: 'cover',
      lengthM: 20,
      widthM: 6,
      heightM: 2.6,
      material: 'pe-film',
      plies: 1,
      tightness: 'average',
      ventAreaM2: 8,
    },
  },
  {
    value: 'frame',
    label: 'cold frame',
    start: {
      name: 'Frames',
      kind: 'frame',
      shape: 'box',
      sides: 'board',
      lengthM: 2.4,
      widthM: 1.2,
      heightM: 0.4,
      material: 'glass',
      plies: 1,
      tightness: 'average',
      ventAreaM2: 0.8,
    },
  },
  {
    value: 'tunnel',
    label: 'low tunnel',
    start: {
      name: 'Low tunnels',
      kind: 'tunnel',
      shape: 'arch',
      sides: 'cover',
      lengthM: 15,
      widthM: 1.2,
      heightM: 0.5,
      material: 'pe-film',
      plies: 1,
      tightness: 'average',
      ventAreaM2: 2,
    },
  },
  {
    value: 'open',
    label: 'open ground',
    start: {
      name: 'Open beds',
      kind: 'open',
      shape: 'flat',
      sides: 'cover',
      lengthM: 20,
      widthM: 1.2,
      heightM: 0.1,
      material: 'pe-film',
      plies: 1,
      tightness: 'average',
      ventAreaM2: 0,
    },
  },
];

function Metres({
  label,
  value,
  onChange,
  step = 0.1,
  bigStep = 1,
}: {
  label: string;
  value: number;
  onChange: (m: number) => void;
  step?: number;
  bigStep?: number;
}) {
  const format = useFormat();
  const k = format.length === 'm' ? 1 : 0.3048;
  return (
    <View style={{ gap: 4 }}>
      <Text kind="label" tone="quiet">
        {label}
      </Text>
      <Stepper
        label={label}
        value={Number((value / k).toFixed(2))}
        onChange={(v) => onChange(Number((v * k).toFixed(4)))}
        step={step}
        bigStep={bigStep}
        digits={2}
        unit={format.length}
        min={0}
        max={1000}
      />
    </View>
  );
}

const SHEETS = MATERIAL_IDS.map((id) => ({ value: id, label: MATERIALS[id].name }));

export function SetupScreen({
  what,
  structureId,
}: {
  what: 'structure' | 'bed' | 'cover';
  structureId: string | null;
}) {
  const { data } = useBeds();
  const owner = data?.structures.find((s) => s.structure.id === structureId)?.structure;
  const [problem, setProblem] = useState<string | null>(null);
  const [s, setS] = useState<Draft<Structure>>(STRUCTURES[0]!.start);
  const [bed, setBed] = useState<Draft<Bed> | null>(null);
  const [cover, setCover] = useState<Draft<Cover>>({
    name: 'Fleece 30',
    material: 'fleece-30',
    plies: 1,
    lengthM: 20,
    widthM: 2.1,
    count: 1,
    use: 'hoops',
    minutes: 6,
  });
  const b: Draft<Bed> = bed ?? {
    structureId: structureId ?? '',
    name: 'Bed 1',
    lengthM: owner
      ? Math.max(0.3, Number((owner.lengthM - (owner.kind === 'house' ? 2 : 0.2)).toFixed(1)))
      : 10,
    widthM: owner && owner.kind !== 'house' ? Math.max(0.2, Number((owner.widthM - 0.2).toFixed(1))) : 1,
    rows: 4,
    on: 'ground',
    texture: 'loam',
    wetness: 'moist',
    mulchM: 0,
    hoopHeightM: owner?.kind === 'house' ? 0.5 : 0,
  };
  const save = async (path: string, body: object) => {
    setProblem(null);
    try {
      await change(path, 'PUT', body);
      if (router.canGoBack()) router.back();
      else router.replace('/beds');
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  const order = data?.structures.length ?? 0;
  return (
    <Page testID="setup">
      <TopLine back={what === 'cover' ? 'Kit' : 'Beds'} />
      <View style={{ gap: 14 }}>
        {what === 'structure' ? (
          <>
            <Text kind="title" heading={1}>
              What stands on the farm?
            </Text>
            <Choice
              label="Kind"
              value={s.kind}
              options={STRUCTURES}
              onChange={(kind) => setS(STRUCTURES.find((x) => x.value === kind)!.start)}
            />
            <NoteField
              label="Name"
              value={s.name}
              onChange={(name) => setS({ ...s, name })}
              testID="structure-name"
            />
            {s.kind === 'open' ? null : (
              <>
                <Metres
                  label="Length"
                  value={s.lengthM}
                  onChange={(lengthM) => setS({ ...s, lengthM })}
                  step={0.5}
                  bigStep={5}
                />
                <Metres label="Width" value={s.widthM} onChange={(widthM) => setS({ ...s, widthM })} />
                <Metres
                  label="Height at its tallest"
                  value={s.heightM}
                  onChange={(heightM) => setS({ ...s, heightM })}
                  step={0.05}
                  bigStep={0.5}
                />
                <Text kind="label" tone="quiet">
                  Covered with
                </Text>
                <Choice
                  label="Covered with"
                  value={s.material}
                  options={SHEETS.filter((m) =>
                    [
                      'pe-film',
                      'pe-film-ir',
                      'polycarbonate-twin',
                      'glass',
                      'glass-double',
                      'perforated-film',
                    ].includes(m.value),
                  )}
                  onChange={(material) => setS({ ...s, material })}
                />
                <Text kind="label" tone="quiet">
                  How snug it is
                </Text>
                <Choice
                  label="How snug it is"
                  value={s.tightness}
                  options={[
                    { value: 'tight', label: 'no draught to feel' },
                    { value: 'average', label: 'some' },
                    { value: 'drafty', label: 'daylight at the joints' },
                  ]}
                  onChange={(tightness) => setS({ ...s, tightness })}
                />
                <Text kind="label" tone="quiet">
                  All that opens, together
                </Text>
                <Stepper
                  label="Opening area"
                  value={s.ventAreaM2}
                  onChange={(ventAreaM2) => setS({ ...s, ventAreaM2 })}
                  step={0.5}
                  bigStep={5}
                  digits={1}
                  unit="m²"
                  min={0}
                  max={2000}
                />
              </>
            )}
            {problem ? <Problem>{problem}</Problem> : null}
            <Button
              wide
              kind="main"
              label={`Add ${s.name || 'it'}`}
              onPress={() => {
                const id = newId();
                void save(`/api/structures/${id}`, { ...s, id, order });
              }}
              testID="save-structure"
            />
          </>
        ) : null}
        {what === 'bed' ? (
          <>
            <Text kind="title" heading={1}>{`A bed in ${owner?.name ?? 'a structure'}`}</Text>
            <NoteField
              label="Name"
              value={b.name}
              onChange={(name) => setBed({ ...b, name })}
              testID="bed-name"
            />
            <Metres
              label="Length"
              value={b.lengthM}
              onChange={(lengthM) => setBed({ ...b, lengthM })}
              step={0.5}
              bigStep={5}
            />
            <Metres label="Width" value={b.widthM} onChange={(widthM) => setBed({ ...b, widthM })} />
            <Text kind="label" tone="quiet">
              Rows
            </Text>
            <Stepper
              label="Rows"
              value={b.rows}
              onChange={(rows) => setBed({ ...b, rows })}
              step={1}
              digits={0}
              unit="rows"
              min={1}
              max={40}
            />
            <Metres
              label="Height of its hoops, 0 for none"
              value={b.hoopHeightM}
              onChange={(hoopHeightM) => setBed({ ...b, hoopHeightM })}
            />
            <Choice
              label="On"
              value={b.on}
              options={[
                { value: 'ground', label: 'in the ground' },
                { value: 'bench', label: 'on a bench or in crates' },
              ]}
              onChange={(on) => setBed({ ...b, on })}
            />
            <Text kind="label" tone="quiet">
              Soil
            </Text>
            <Choice
              label="Soil"
              value={b.texture}
              options={[
                { value: 'sand', label: 'sand' },
                { value: 'loam', label: 'loam' },
                { value: 'clay', label: 'clay' },
                { value: 'compost', label: 'compost' },
              ]}
              onChange={(texture) => setBed({ ...b, texture })}
            />
            <Choice
              label="How wet"
              value={b.wetness}
              options={[
                { value: 'dry', label: 'dry' },
                { value: 'moist', label: 'moist' },
                { value: 'wet', label: 'wet' },
              ]}
              onChange={(wetness) => setBed({ ...b, wetness })}
            />
            {problem ? <Problem>{problem}</Problem> : null}
            <Button
              wide
              kind="main"
              label={`Add ${b.name || 'it'}`}
              onPress={() => {
                const id = newId();
                void save(`/api/beds/${id}`, { ...b, id, order: 99 });
              }}
              testID="save-bed"
            />
          </>
        ) : null}
        {what === 'cover' ? (
          <>
            <Text kind="title" heading={1}>
              A cover in store
            </Text>
            <Choice
              label="Material"
              value={cover.material}
              options={SHEETS}
              onChange={(material) =>
                setCover({
                  ...cover,
                  material,
                  name: MATERIALS[material].name.replace(/^./, (x) => x.toUpperCase()),
                })
              }
            />
            <NoteField label="Name" value={cover.name} onChange={(name) => setCover({ ...cover, name })} />
            <Choice
              label="How it lies"
              value={cover.use}
              options={[
                { value: 'hoops', label: 'on hoops' },
                { value: 'flat', label: 'laid on the crop' },
                { value: 'over', label: 'over frames and tunnels' },
              ]}
              onChange={(use) => setCover({ ...cover, use })}
            />
            <Metres
              label="Length"
              value={cover.lengthM}
              onChange={(lengthM) => setCover({ ...cover, lengthM })}
              step={0.5}
              bigStep={5}
            />
            <Metres
              label="Width"
              value={cover.widthM}
              onChange={(widthM) => setCover({ ...cover, widthM })}
            />
            <Text kind="label" tone="quiet">
              Pieces
            </Text>
            <Stepper
              label="Pieces"
              value={cover.count}
              onChange={(count) => setCover({ ...cover, count })}
              step={1}
              digits={0}
              unit="pieces"
              min={0}
              max={999}
            />
            {problem ? <Problem>{problem}</Problem> : null}
            <Button
              wide
              kind="main"
              label={`Add ${cover.name || 'it'}`}
              onPress={() => {
                const id = newId();
                void save(`/api/covers/${id}`, { ...cover, id, order: 99 });
              }}
              testID="save-cover"
            />
          </>
        ) : null}
      </View>
    </Page>
  );
}
