/** Water. It answers: what do I water today, how long, and what must wait for the frost? */
import type { WaterRow, WaterView } from '@fogata/contract/told';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { feedWords, rowWords, turnOf, waterSentence, type Turn } from '@fogata/words/en/screens/waterWords';
import { Problem } from '../components/ui/Bars';
import { Button, Tick } from '../components/ui/Button';
import { Measured } from '../components/ui/Fields';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { act } from '../data/actions';
import { useTheme } from '../theme/theme';
import { useFormat } from '../data/format';
import { patchFarm, refresh, useFarm, useWater } from '../data/hooks';
import { offerUndo } from '../data/undo';
import { waterScreen as words } from '@fogata/words/en/screens/water';

const FEELS = [
  { feel: 'dry', label: words.dry },
  { feel: 'moist', label: words.moist },
  { feel: 'wet', label: words.wet },
] as const;

/** How full it is: a bar that empties, with the mark at which it wants water. */
function Store({ row }: { row: WaterRow }) {
  const theme = useTheme();
  if (row.holdsMm === null || row.lacksMm === null || row.wantsMm === null) return null;
  const share = Math.max(0, 1 - row.lacksMm / row.holdsMm);
  const mark = 1 - row.wantsMm / row.holdsMm;
  return (
    <View
      role="img"
      aria-label={words.perCentOfWhatIt(Math.round(100 * share), Math.round(100 * mark))}
      style={[styles.store, { borderColor: theme.hairline }]}
    >
      <View
        style={[
          styles.bar,
          {
            width: `${Math.max(1, 100 * share)}%`,
            backgroundColor: share <= mark ? theme.ochre : theme.pine,
          },
        ]}
      />
      <View style={[styles.mark, { left: `${100 * mark}%`, backgroundColor: theme.ink }]} />
    </View>
  );
}

function Bed({ row, view, first }: { row: WaterRow; view: WaterView; first: boolean }) {
  const format = useFormat();
  const nowAtMs = useFarm().data?.clock.nowAtMs ?? 0;
  const [open, setOpen] = useState(false);
  const [own, setOwn] = useState<number | null>(null);
  const turn = turnOf(row, view.today);
  const pots = row.kind === 'pots';
  const give = (mm: number) =>
    void act(
      words.watered(row.name),
      [{ kind: 'water', atMs: nowAtMs, bedId: row.bedId, mm: Number(mm.toFixed(1)) }],
      nowAtMs,
    );
  const mm = own ?? Math.max(2, Math.round(row.mm > 0 ? row.mm : (row.lacksMm ?? 5)));
  return (
    <View testID={`water-${row.bedId}`}>
      <Row first={first}>
        <View style={{ flex: 1, gap: 3 }}>
          <Text kind="strong">{`${row.name} · ${row.crops.join(', ')}`}</Text>
          {rowWords(row, view, format).map((w, n) => (
            <Text
              key={w}
              kind="small"
              tone={n === 0 && turn === 'frost' ? 'frost' : n === 0 ? 'ink' : 'quiet'}
            >
              {w}
            </Text>
          ))}
          <Store row={row} />
        </View>
        <Button
          kind="plain"
          label={words.closeFeelGive(open)}
          hint={words.sayHowFeelsOrWhat(row.name)}
          onPress={() => setOpen(!open)}
        />
        {turn === 'now' ? (
          <Tick
            done={false}
            label={words.wateredAsProposed(row.name)}
            onPress={() => give(row.mm)}
            testID="water-tick"
          />
        ) : null}
      </Row>
      {open ? (
        <View style={styles.open}>
          {pots ? null : (
            <>
              <Text kind="label" tone="quiet">
                {words.aFingerDeepItIs}
              </Text>
              <View style={styles.row} role="group" aria-label={words.aFingerDeep(row.name)}>
                {FEELS.map((f) => (
                  <Button
                    key={f.feel}
                    label={f.label}
                    hint={words.isAFingerDeep(row.name, f.feel)}
                    onPress={() =>
                      void act(
                        words.aFingerDeep2(row.name, f.feel),
                        [{ kind: 'soil', atMs: nowAtMs, bedId: row.bedId, feel: f.feel }],
                        nowAtMs,
                      )
                    }
                    testID={`feel-${f.feel}`}
                  />
                ))}
              </View>
              <Measured
                label={words.given}
                what="rain"
                value={mm}
                onChange={setOwn}
                min={0.5}
                max={200}
                digits={format.length === 'm' ? 0 : 2}
                steps={{ si: [1, 5], feet: [0.05, 0.25] }}
                {...(format.length === 'm' ? { note: words.oneMillimetreIsALitre } : {})}
              />
            </>
          )}
          <HoldBack bedId={row.bedId} name={row.name} held={row.held} />
          {turn === 'frost' ? (
            <Text kind="small" tone="ochre">
              {words.itFreezesWetLeavesAnd}
            </Text>
          ) : null}
          <Button
            label={pots ? words.wateredToday : words.itWasGiven(format.rain(mm))}
            onPress={() => give(pots ? row.mm : mm)}
            testID="water-give"
          />
        </View>
      ) : null}
    </View>
  );
}

/** Water held back on purpose, to stop growth: it is asked for no more until it is taken back. */
function HoldBack({ bedId, name, held }: { bedId: string; name: string; held: boolean }) {
  const { data } = useFarm();
  const now = data?.farm.holdBack ?? [];
  const save = (holdBack: string[]) => patchFarm({ holdBack });
  return (
    <Button
      kind="plain"
      label={words.waterItAgainHoldIts(held)}
      hint={words.waterItAgainHoldIts2(name, held)}
      onPress={() =>
        void save(held ? now.filter((x) => x !== bedId) : [...now, bedId]).then(() =>
          offerUndo(words.wateredAgainWaterHeldBack(name, held), async () => void (await save(now))),
        )
      }
      testID="hold-back"
    />
  );
}

/** Beds that lack nitrogen by now: what to give, ticked when it was given. */
function Feeding({ view }: { view: WaterView }) {
  const format = useFormat();
  const nowAtMs = useFarm().data?.clock.nowAtMs ?? 0;
  const rows = view.rows.filter((r) => r.feed);
  if (rows.length === 0) return null;
  return (
    <View testID="feeding">
      <PartTitle right={`${rows.length}`}>{words.feed}</PartTitle>
      {rows.map((r, n) => (
        <Row key={r.bedId} first={n === 0}>
          <View style={{ flex: 1 }}>
            <Text kind="strong">{`${r.name} · ${r.crops.join(', ')}`}</Text>
            <Text kind="small">{feedWords(r.feed!.nGM2, format)}</Text>
            <Text kind="small" tone="quiet">
              {r.feed!.last ? words.lastFed(r.feed!.last) : words.nobodyHasSaidThatIt}
            </Text>
          </View>
          <Tick
            done={false}
            label={words.fedAsProposed(r.name)}
            onPress={() =>
              void act(
                words.fed(r.name),
                [{ kind: 'feed', atMs: nowAtMs, bedId: r.bedId, nGM2: Number(r.feed!.nGM2.toFixed(1)) }],
                nowAtMs,
              )
            }
            testID="feed-tick"
          />
        </Row>
      ))}
      <Text kind="small" tone="ochre">
        {words.byGrowthAndASoil}
      </Text>
    </View>
  );
}

const PARTS: { turn: Turn; title: string }[] = [
  { turn: 'now', title: words.today },
  { turn: 'frost', title: words.dryAndItFreezes },
  { turn: 'soon', title: words.inTheDaysThatAre },
  { turn: 'well', title: words.hasEnough },
];

export function WaterScreen() {
  const { data, error } = useWater();
  const format = useFormat();
  const wide = useWide();
  return (
    <Page testID="water" width={wide ? 900 : 640}>
      <TopLine back={words.beds} />
      {data ? (
        <Sentence parts={waterSentence(data, format)} />
      ) : error ? (
        <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
      ) : (
        <Loading what={words.feelingTheSoil} />
      )}
      {data
        ? PARTS.map(({ turn, title }) => {
            const rows = data.rows.filter((r) => turnOf(r, data.today) === turn);
            return rows.length === 0 ? null : (
              <View key={turn}>
                <PartTitle right={`${rows.length}`}>{title}</PartTitle>
                {rows.map((r, n) => (
                  <Bed key={r.bedId} row={r} view={data} first={n === 0} />
                ))}
              </View>
            );
          })
        : null}
      {data ? <Feeding view={data} /> : null}
      <Text kind="small" tone="quiet" style={{ paddingTop: 12 }}>
        {words.reckonedFromSunWindAnd}
      </Text>
    </Page>
  );
}

const styles = StyleSheet.create({
  store: { height: 10, marginTop: 4, borderWidth: 1, position: 'relative' },
  bar: { height: 8 },
  mark: { position: 'absolute', top: -3, width: 2, height: 14 },
  open: { gap: 10, paddingVertical: 10 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
