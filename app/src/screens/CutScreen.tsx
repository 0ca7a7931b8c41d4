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
import { cutScreen as words } from '@fogata/words/en/screens/covers';

const SHEETS = MATERIAL_IDS.filter((m) => /film|fleece|blanket|shade|tarp/.test(m));

function sentenceOf(v: CutView): string {
  const name = MATERIALS[v.material].name;
  if (v.needs === 0) return words.noBedHasHoopsOf;
  if (v.lacking.length === 0) return words.everyBedOnHoopsHas(name);
  const beds = words.ofBedsOnHoopsHas({
    countWord: upper(countWord(v.lacking.length)),
    countWord2: countWord(v.needs),
    count: v.lacking.length,
    name,
  });
  const short = v.plan?.missing.reduce((s, m) => s + m.count, 0) ?? 0;
  if (v.rolls.length === 0) return words.thereIsNoRollOf(beds);
  return `${beds} ${short === 0 ? words.theRollsAreEnough : words.theRollsAreShortOf(countWord(short))}`;
}

function Rolls({ material }: { material: MaterialId }) {
  const { data } = useFarm();
  const rolls = data?.farm.rolls ?? [];
  const save = (next: Roll[]) =>
    void patchFarm({ rolls: next }).then(() =>
      offerUndo(words.rollsChanged, async () => void (await patchFarm({ rolls }))),
    );
  const put = (id: string, patch: Partial<Roll>) =>
    save(rolls.map((r) => (r.id === id ? { ...r, ...patch } : r)));
  return (
    <Fold title={words.rollsOf(MATERIALS[material].name)} open={!rolls.some((r) => r.material === material)}>
      {rolls
        .filter((r) => r.material === material)
        .map((r, n) => (
          <View key={r.id} style={{ gap: 8 }}>
            <Text kind="strong">{words.roll(n + 1)}</Text>
            <Metres
              label={words.widthOfTheRoll}
              value={r.widthM}
              onChange={(widthM) => put(r.id, { widthM })}
              min={0.3}
              max={20}
            />
            <Metres
              label={words.lengthLeftOnIt}
              value={r.lengthM}
              onChange={(lengthM) => put(r.id, { lengthM })}
              step={1}
              bigStep={10}
              min={0.5}
            />
            <Amount
              label={words.rollsLikeIt}
              value={r.count}
              onChange={(count) => put(r.id, { count })}
              unit={words.rolls}
              min={0}
              max={99}
            />
            <Button
              kind="plain"
              label={words.takeThisRollAway}
              onPress={() => save(rolls.filter((x) => x.id !== r.id))}
            />
          </View>
        ))}
      <View style={{ flexDirection: 'row' }}>
        <Button
          label={words.addARoll}
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
      <TopLine back={words.kit} />
      {data ? (
        <Sentence parts={[{ text: sentenceOf(data), tone: 'plain' }]} />
      ) : error ? (
        <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
      ) : (
        <Loading what={words.workingOutTheCuts} />
      )}
      <View style={{ gap: 12 }}>
        <Choose
          label={words.sheetsOf}
          value={material}
          options={SHEETS.map((m) => ({ value: m, label: MATERIALS[m].name }))}
          onChange={setMaterial}
        />
        <Choose
          label={words.sizes}
          value={shared ? 'shared' : 'own'}
          options={[
            { value: 'shared', label: words.fewerForSeveralBeds },
            { value: 'own', label: words.oneForEachBed },
          ]}
          onChange={(v) => setShared(v === 'shared')}
        />
        {data && data.sizes.length > 0 ? (
          <View testID="cut-sizes">
            <PartTitle right={words.markItOnTheEdge}>{words.sizesToCut}</PartTitle>
            {data.sizes.map((s, n) => (
              <Row key={`${s.beds.join()}`} first={n === 0}>
                <View style={{ flex: 1 }}>
                  <Text kind="figure">{size(s.widthM, s.lengthM)}</Text>
                  <Text kind="small" tone="quiet">
                    {words.forWord(s.beds.join(', '))}
                  </Text>
                </View>
                <Text kind="figure">{`${s.count} ×`}</Text>
              </Row>
            ))}
            <Button
              kind="plain"
              label={words.howASheetIsReckoned}
              onPress={() => router.push('/calc/sheet')}
            />
          </View>
        ) : null}
        {plan && plan.cuts.length > 0 && data ? (
          <View testID="cut-plan">
            <PartTitle right={words.wasteLeastPossible(area(plan.wasteM2), area(plan.boundM2))}>
              {words.fromTheRolls}
            </PartTitle>
            <CutDrawing plan={plan} rolls={data.rolls} width={Math.min(width, 640) - 36} format={format} />
            {plan.cuts.map((c, n) => (
              <Row key={`${c.rollId}${c.rollNo}${c.fromM}`} first={n === 0}>
                <View style={{ flex: 1 }}>
                  <Text kind="strong">
                    {words.cutOffTheRollAt({
                      n: n + 1,
                      lengthM: format.metres(c.lengthM),
                      fromM: format.metres(c.fromM),
                    })}
                  </Text>
                  <Text kind="small" tone="quiet">
                    {c.pieces
                      .map((p) =>
                        words.turned(
                          size(p.turned ? p.lengthM : p.widthM, p.turned ? p.widthM : p.lengthM),
                          p.turned,
                        ),
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
            <PartTitle>{words.toBuy}</PartTitle>
            {data.order.map((o, n) => (
              <Row key={o.widthM} first={n === 0}>
                <Text style={{ flex: 1 }}>
                  {words.atLeastWide(MATERIALS[data.material].name, format.metres(o.widthM))}
                </Text>
                <Text kind="figure">{format.metres(o.lengthM)}</Text>
              </Row>
            ))}
          </View>
        ) : null}
        {data && data.lacking.length > 0 ? (
          <View>
            <PartTitle right={words.startingValues}>{words.toHoldThemDown}</PartTitle>
            <Text>
              {words.sandbagsOrPegsForOf({
                bags: data.hold.bags,
                pegs: data.hold.pegs,
                perimeterM: format.metres(Math.round(data.hold.perimeterM)),
                sandbags: data.gear.sandbags,
                pegs2: data.gear.pegs,
              })}
            </Text>
          </View>
        ) : null}
        <Rolls material={material} key={material} />
      </View>
    </Page>
  );
}
