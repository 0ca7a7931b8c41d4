/** A planting's story. It answers: how has it fared, how near was it to harm, and what comes next? It opens with that. */
import type { StoryView } from '@fogata/contract/told';
import { router } from 'expo-router';
import { useWindowDimensions, View } from 'react-native';
import { MendPanel } from '../components/season/MendPanel';
import { Margins } from '../components/season/Margins';
import { dayShort } from '@fogata/words/en/screens/seasonWords';
import { boltWords, stepWords, storySentence } from '@fogata/words/en/screens/storyWords';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat } from '../data/format';
import { useStory } from '../data/hooks';
import { storyScreen as words } from '@fogata/words/en/screens/planting';

/** "14 Jan", with the year where it is not this one's. */
const dayIn = (today: string) => (date: string) =>
  `${dayShort(date.slice(5))}${date.slice(0, 4) === today.slice(0, 4) ? '' : ` ${date.slice(0, 4)}`}`;

function Told({ view }: { view: StoryView }) {
  const format = useFormat();
  const day = dayIn(view.today);
  const wide = useWide();
  const { width } = useWindowDimensions();
  const { planting: p } = view;
  const bolts = boltWords(view, day);
  const kg = view.harvestedKg > 0 ? words.cut(format.mass(view.harvestedKg)) : '';
  return (
    <View style={{ gap: 8 }}>
      <Sentence parts={storySentence(view, format, day)} />
      <Text tone="quiet">
        {words.ofLong({
          fromRow: p.fromRow === p.toRow ? words.row(p.fromRow) : words.rowsTo(p.fromRow, p.toRow),
          name: view.bed.name,
          place: view.bed.place,
          lengthM: format.metres(p.lengthM),
          kg,
        })}
      </Text>
      {bolts ? (
        <Text tone="ochre" testID="bolts">
          {`▲ ${bolts}`}
        </Text>
      ) : null}
      <View style={{ flexDirection: 'row' }}>
        <Button
          kind="plain"
          label={words.whatBears([view.cropName, p.cultivar].filter(Boolean).join(' '))}
          onPress={() =>
            router.push(`/cultivar/${encodeURIComponent(p.crop)}?name=${encodeURIComponent(p.cultivar)}`)
          }
          testID="to-cultivar"
        />
      </View>
      {view.stands ? <MendPanel planting={p} /> : null}
      <View style={wide ? { flexDirection: 'row', gap: 40 } : null}>
        <View style={wide ? { flex: 1 } : null}>
          {view.nights.length > 0 || view.tonight ? (
            <View style={{ gap: 4 }}>
              <PartTitle>{words.itsNights}</PartTitle>
              <Margins view={view} width={wide ? 520 : Math.min(width - 36, 604)} format={format} day={day} />
              <Text kind="small" tone="quiet">
                {words.pointsAreItsLowestLeaf}
              </Text>
            </View>
          ) : null}
          <PartTitle>{words.itsDays}</PartTitle>
          {view.steps.map((s, n) => (
            <Row key={s.id} first={n === 0}>
              <Text kind="strong" style={{ width: 96 }} tone={s.done ? 'ink' : 'quiet'}>
                {day(s.date)}
              </Text>
              <Text style={{ flex: 1 }} tone={s.done ? 'ink' : 'quiet'}>
                {stepWords(s, view.planted && !view.steps.some((x) => x.id === 'plant'))}
              </Text>
            </Row>
          ))}
          {view.progress.state === 'computing' ? (
            <Text kind="small" tone="quiet" live>
              {words.whenItMayBePicked}
            </Text>
          ) : null}
        </View>
        <View style={wide ? { flex: 1 } : null}>
          <PartTitle right={`${view.entries.length}`}>{words.whatWasNoted}</PartTitle>
          {view.entries.length === 0 ? (
            <Text tone="quiet">{words.nothingYetHarmAndWeights}</Text>
          ) : (
            view.entries.map((e, n) => (
              <Row key={e.record.id} first={n === 0}>
                <Text kind="strong" style={{ width: 96 }}>
                  {format.day(e.record.atMs)}
                </Text>
                <View style={{ flex: 1 }}>
                  <Text tone={e.retracted ? 'quiet' : 'ink'}>{words.takenBack(e.title, e.retracted)}</Text>
                  {e.detail ? (
                    <Text kind="small" tone="quiet">
                      {e.detail}
                    </Text>
                  ) : null}
                </View>
              </Row>
            ))
          )}
        </View>
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 8 }}>
        <Button
          label={words.changeIt}
          onPress={() => router.push(`/planting/${p.id}?bed=${p.bedId}`)}
          testID="change-story"
        />
        <Button kind="plain" label={words.itsBedTonight} onPress={() => router.push(`/place/${p.bedId}`)} />
        <Button kind="plain" label={words.itsCropsYear} onPress={() => router.push(`/season/${p.crop}`)} />
      </View>
    </View>
  );
}

export function StoryScreen({ id }: { id: string }) {
  const { data, error } = useStory(id);
  const wide = useWide();
  return (
    <Page testID="story" width={wide ? 1120 : 640}>
      <TopLine back={words.season} />
      {data ? (
        <Told view={data} />
      ) : error ? (
        <Problem>{(error as Error).message}</Problem>
      ) : (
        <Loading what={words.openingTheStory} />
      )}
    </Page>
  );
}
