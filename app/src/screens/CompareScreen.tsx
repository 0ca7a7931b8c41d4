/** Ways side by side. It answers: sown or planted, now or later, this house or that frame: which is surer, which gives more, which is less work? */
import type { WayAsked, WayView } from '@fogata/contract/told';
import { addDays, CROPS } from '@fogata/core';
import { usualHow } from '@fogata/core/season';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { compareSentence, linesOf, waysOf, waysText, wayTitle } from '@fogata/words/en/screens/compareWords';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { CropChoice } from '../components/ui/CropChoice';
import { DateStepper } from '../components/ui/DateStepper';
import { Choose } from '../components/ui/Fields';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat } from '../data/format';
import { useCompare } from '../data/hooks';
import { compareScreen as words } from '@fogata/words/en/screens/season';

const MOST = 4;

/** One way changed: crop, begun how, where, when. */
function Change({
  way,
  places,
  onChange,
}: {
  way: WayAsked;
  places: readonly { structureId: string; name: string }[];
  onChange: (way: WayAsked) => void;
}) {
  const crop = CROPS.find((c) => c.id === way.crop);
  return (
    <View style={{ gap: 12, paddingVertical: 10 }}>
      <CropChoice
        crops={CROPS}
        value={way.crop}
        onChange={(id) => onChange({ ...way, crop: id, how: usualHow(CROPS.find((c) => c.id === id)!) })}
      />
      {crop?.raiseDd == null ? null : (
        <Choose
          label={words.begun}
          value={way.how}
          options={[
            { value: 'sow', label: words.sownWhereItGrows },
            { value: 'transplant', label: words.plantedFromTrays },
          ]}
          onChange={(how) => onChange({ ...way, how })}
        />
      )}
      <Choose
        label={words.where}
        value={way.structureId}
        options={places.map((p) => ({ value: p.structureId, label: p.name }))}
        onChange={(structureId) => onChange({ ...way, structureId })}
      />
      <DateStepper label={words.onWord} value={way.date} onChange={(date) => onChange({ ...way, date })} />
    </View>
  );
}

const WHY = { low: words.tooLowForItThere, never: words.comesToNoPicking } as const;

function Table({ ways }: { ways: readonly WayView[] }) {
  const format = useFormat();
  return (
    <View testID="compare-lines">
      {linesOf(ways, format).map((l) => (
        <View key={l.label}>
          <PartTitle>{l.label}</PartTitle>
          {l.values.map((v, i) => (
            <Row key={i} first={i === 0} style={{ minHeight: 44 }}>
              <Text style={{ flex: 1 }} kind="small" tone="quiet">
                {wayTitle(ways[i]!)}
              </Text>
              <Text
                kind={l.best[i] ? 'strong' : 'body'}
                tone={l.best[i] ? 'pine' : 'ink'}
                style={styles.value}
              >
                {`${l.best[i] ? '✓ ' : ''}${v}`}
              </Text>
            </Row>
          ))}
        </View>
      ))}
    </View>
  );
}

export function CompareScreen({ ways: text }: { ways: string }) {
  const [ways, setWays] = useState(() => waysOf(text));
  const [open, setOpen] = useState<number | null>(null);
  const { data, error } = useCompare(waysText(ways));
  const format = useFormat();
  const wide = useWide();
  /** Kept in the address: it can be sent, and comes back after a reload. */
  const put = (next: WayAsked[]) => {
    setWays(next);
    router.setParams({ ways: waysText(next) });
  };
  const shown = data && data.ways.length === ways.length ? data.ways : [];
  const first = data?.places[0];
  const add = () => {
    const last = ways.at(-1);
    const way: WayAsked = last
      ? { ...last, date: addDays(last.date, 28) }
      : { crop: 'spinach', how: 'sow', structureId: first!.structureId, date: addDays(data!.today, 30) };
    put([...ways, way]);
    setOpen(ways.length);
  };
  return (
    <Page testID="compare" width={wide ? 1120 : 640}>
      <TopLine back={words.season} />
      {error ? <Problem>{(error as Error).message}</Problem> : null}
      {data && data.progress.state !== 'computing' ? (
        <Sentence parts={compareSentence(shown, format)} />
      ) : (
        <Loading
          what={
            data
              ? words.goingThroughAHundredYears(data.progress.done, data.progress.of)
              : words.layingThemSideBySide
          }
        />
      )}
      <View style={wide ? { flexDirection: 'row', gap: 40 } : null}>
        <View style={wide ? { flex: 1 } : null}>
          {shown.map((w, i) => (
            <View key={i}>
              <Row first={i === 0}>
                <View style={{ flex: 1 }}>
                  <Text kind="strong">{wayTitle(w)}</Text>
                  {w.why ? <Text kind="small" tone="ochre">{`▲ ${WHY[w.why]}`}</Text> : null}
                </View>
                <Button
                  kind="plain"
                  label={words.closeChange(open, i)}
                  hint={words.change(wayTitle(w))}
                  onPress={() => setOpen(open === i ? null : i)}
                />
                {ways.length > 1 ? (
                  <Button
                    kind="plain"
                    label={words.leaveOut}
                    hint={words.leaveOut2(wayTitle(w))}
                    onPress={() => {
                      setOpen(null);
                      put(ways.filter((_, n) => n !== i));
                    }}
                  />
                ) : null}
              </Row>
              {open === i && data ? (
                <Change
                  way={ways[i]!}
                  places={data.places}
                  onChange={(way) => put(ways.map((x, n) => (n === i ? way : x)))}
                />
              ) : null}
            </View>
          ))}
          {data && first && ways.length < MOST ? (
            <View style={{ flexDirection: 'row', paddingTop: 8 }}>
              <Button label={words.anotherWay} onPress={add} testID="compare-add" />
            </View>
          ) : null}
        </View>
        <View style={wide ? { flex: 1 } : null}>{shown.length > 1 ? <Table ways={shown} /> : null}</View>
      </View>
      <Text kind="small" tone="quiet" style={{ paddingTop: 12 }}>
        {words.ofAMetreOfRow}
      </Text>
    </Page>
  );
}

const styles = StyleSheet.create({ value: { flexShrink: 1, textAlign: 'right', maxWidth: '55%' } });
