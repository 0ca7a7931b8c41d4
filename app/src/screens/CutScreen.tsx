/** The cut list. It answers: what do I cut from which roll, and what must I buy? It opens with how many beds lack a sheet. */
import type { Roll } from '@fogata/contract';
import type { CutView } from '@fogata/contract/told';
import { countWord, MATERIAL_IDS, MATERIALS, measureText, type MaterialId, upper } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { CutDrawing } from '../components/plan/CutDrawing';
import { Amount, Choose, Fold, Metres } from '../components/ui/Fields';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat } from '../data/format';
import { patchFarm, refresh, useCut, useFarm } from '../data/hooks';
import { newId } from '../data/id';
import { offerUndo } from '../data/undo';

const SHEETS = MATERIAL_IDS.filter((m) => /film|fleece|blanket|shade|tarp/.test(m));

function sentenceOf(v: CutView): string {
  const name = MATERIALS[v.material].name;
  if (v.needs === 0) return 'No bed has hoops of its own yet; a sheet is cut for hoops.';
  if (v.lacking.length === 0) return `Every bed on hoops has a sheet of ${name} to its name.`;
  const beds = `${upper(countWord(v.lacking.length))} of ${countWord(v.needs)} beds on hoops ${v.lacking.length === 1 ? 'has' : 'have'} no sheet of ${name}.`;
  const short = v.plan?.missing.reduce((s, m) => s + m.count, 0) ?? 0;
  if (v.rolls.length === 0) return `${beds} There is no roll of it to cut from.`;
  return `${beds} ${short === 0 ? 'The rolls are enough.' : `The rolls are short of ${countWord(short)}.`}`;
}

function Rolls({ material }: { material: MaterialId }) {
  const { data } = useFarm();
  const rolls = data?.farm.rolls ?? [];
  const save = (next: Roll[]) =>
    void patchFarm({ rolls: next }).then(() =>
      offerUndo('Rolls: changed', async () => void (await patchFarm({ rolls }))),
    );
  const put = (id: string, patch: Partial<Roll>) =>
    save(rolls.map((r) => (r.id === id ? { ...r, ...patch } : r)));
  return (
    <Fold title={`Rolls of ${MATERIALS[material].name}`} open={!rolls.some((r) => r.material === material)}>
      {rolls
        .filter((r) => r.material === material)
        .map((r, n) => (
          <View key={r.id} style={{ gap: 8 }}>
            <Text kind="strong">{`Roll ${n + 1}`}</Text>
            <Metres
              label="Width of the roll"
              value={r.widthM}
              onChange={(widthM) => put(r.id, { widthM })}
              min={0.3}
              max={20}
            />
            <Metres
              label="Length left on it"
              value={r.lengthM}
              onChange={(lengthM) => put(r.id, { lengthM })}
              step={1}
              bigStep={10}
              min={0.5}
            />
            <Amount
              label="Rolls like it"
              value={r.count}
              onChange={(count) => put(r.id, { count })}
              unit="rolls"
              min={0}
              max={99}
            />
            <Button
              kind="plain"
              label="Take this roll away"
              onPress={() => save(rolls.filter((x) => x.id !== r.id))}
            />
          </View>
        ))}
      <View style={{ flexDirection: 'row' }}>
        <Button
          label="Add a roll"
          testID="add-roll"
          onPress={() => save([...rolls, { id: newId(), material, widthM: 3.2, lengthM: 100, count: 1 }])}
        />
      </View>
    </Fold>
  );
}

export function CutScreen() {
  const [material, setMaterial] = useState<MaterialId>('fleece-30');
  const [shared, setShared] = useState(true);
  const { data, error } = useCut(material, shared);
  const format = useFormat();
  const { width } = useWindowDimensions();
  const plan = data?.plan;
  const size = (w: number, l: number) => `${format.metres(l)} × ${format.metres(w)}`;
  const area = (m2: number) => measureText(m2, 'area', format.length, format.length === 'm' ? 1 : 0);
  return (
    <Page testID="cut">
      <TopLine back="Kit" />
      {data ? (
        <Sentence parts={[{ text: sentenceOf(data), tone: 'plain' }]} />
      ) : error ? (
        <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
      ) : (
        <Loading what="Working out the cuts" />
      )}
      <View style={{ gap: 12 }}>
        <Choose
          label="Sheets of"
          value={material}
          options={SHEETS.map((m) => ({ value: m, label: MATERIALS[m].name }))}
          onChange={setMaterial}
        />
        <Choose
          label="Sizes"
          value={shared ? 'shared' : 'own'}
          options={[
            { value: 'shared', label: 'fewer, for several beds' },
            { value: 'own', label: 'one for each bed' },
          ]}
          onChange={(v) => setShared(v === 'shared')}
        />
        {data && data.sizes.length > 0 ? (
          <View testID="cut-sizes">
            <PartTitle right="mark it on the edge of each sheet">Sizes to cut</PartTitle>
            {data.sizes.map((s, n) => (
              <Row key={`${s.beds.join()}`} first={n === 0}>
                <View style={{ flex: 1 }}>
                  <Text kind="figure">{size(s.widthM, s.lengthM)}</Text>
                  <Text kind="small" tone="quiet">{`for ${s.beds.join(', ')}`}</Text>
                </View>
                <Text kind="figure">{`${s.count} ×`}</Text>
              </Row>
            ))}
            <Button
              kind="plain"
              label="How a sheet is reckoned ›"
              onPress={() => router.push('/calc/sheet')}
            />
          </View>
        ) : null}
        {plan && plan.cuts.length > 0 && data ? (
          <View testID="cut-plan">
            <PartTitle right={`waste ${area(plan.wasteM2)}, least possible ${area(plan.boundM2)}`}>
              From the rolls
            </PartTitle>
            <CutDrawing plan={plan} rolls={data.rolls} width={Math.min(width, 640) - 36} format={format} />
            {plan.cuts.map((c, n) => (
              <Row key={`${c.rollId}${c.rollNo}${c.fromM}`} first={n === 0}>
                <View style={{ flex: 1 }}>
                  <Text kind="strong">{`Cut ${n + 1}: ${format.metres(c.lengthM)} off the roll, at ${format.metres(c.fromM)}`}</Text>
                  <Text kind="small" tone="quiet">
                    {c.pieces
                      .map(
                        (p) =>
                          `${size(p.turned ? p.lengthM : p.widthM, p.turned ? p.widthM : p.lengthM)}${p.turned ? ', turned' : ''}`,
                      )
                      .join(' beside ')}
                  </Text>
                </View>
              </Row>
            ))}
          </View>
        ) : null}
        {data && data.order.length > 0 ? (
          <View testID="cut-order">
            <PartTitle>To buy</PartTitle>
            {data.order.map((o, n) => (
              <Row key={o.widthM} first={n === 0}>
                <Text
                  style={{ flex: 1 }}
                >{`${MATERIALS[data.material].name}, at least ${format.metres(o.widthM)} wide`}</Text>
                <Text kind="figure">{format.metres(o.lengthM)}</Text>
              </Row>
            ))}
          </View>
        ) : null}
        {data && data.lacking.length > 0 ? (
          <View>
            <PartTitle right="starting values">To hold them down</PartTitle>
            <Text>{`${data.hold.bags} sandbags or ${data.hold.pegs} pegs for ${format.metres(Math.round(data.hold.perimeterM))} of edge. In store: ${data.gear.sandbags} bags, ${data.gear.pegs} pegs.`}</Text>
          </View>
        ) : null}
        <Rolls material={material} key={material} />
      </View>
    </Page>
  );
}
