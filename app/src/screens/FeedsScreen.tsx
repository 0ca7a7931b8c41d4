/** Feeds. It answers: how do weather and thermometers come by themselves? */
import { api, call } from '@fogata/contract/client';
import type { FeedView } from '@fogata/contract/told';
import { useState } from 'react';
import { Linking, View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { NoteField } from '../components/ui/Field';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat } from '../data/format';
import { change, useFeeds } from '../data/hooks';
import { feedsScreen as texts } from '@fogata/words/en/screens/feeds';

function Poll({ view, onProblem }: { view: FeedView; onProblem: (p: string | null) => void }) {
  const format = useFormat();
  const [url, setUrl] = useState(view.poll?.url ?? '');
  const [busy, setBusy] = useState(false);
  const put = (to: string | null) => {
    setBusy(true);
    onProblem(null);
    change(call(api.poll), { url: to })
      .catch((e: Error) => onProblem(e.message))
      .finally(() => setBusy(false));
  };
  return (
    <View style={{ gap: 10 }}>
      <PartTitle>{texts.askedForEveryQuarterOf}</PartTitle>
      <NoteField
        label={texts.address}
        value={url}
        onChange={setUrl}
        placeholder={texts.httpMastLocalWeatherJson}
        testID="poll-url"
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={texts.askingAskItNowAnd(busy)}
          disabled={busy || url.trim() === ''}
          onPress={() => put(url.trim())}
          testID="poll-save"
        />
        {view.poll ? <Button kind="plain" label={texts.askItNoMore} onPress={() => put(null)} /> : null}
      </View>
      {view.poll ? (
        <Text testID="poll-words">
          {`${view.poll.lastAtMs === null ? '' : `${format.day(view.poll.lastAtMs)} ${format.time(view.poll.lastAtMs)}: `}${view.poll.went}`}
        </Text>
      ) : null}
    </View>
  );
}

function Token({ view, onProblem }: { view: FeedView; onProblem: (p: string | null) => void }) {
  const [made, setMade] = useState<string | null>(null);
  const make = () => {
    onProblem(null);
    change(call(api.makeToken))
      .then((r) => setMade(r.token))
      .catch((e: Error) => onProblem(e.message));
  };
  const revoke = () => {
    setMade(null);
    change(call(api.voidToken)).catch((e: Error) => onProblem(e.message));
  };
  return (
    <View style={{ gap: 10 }}>
      <PartTitle>{texts.sentHereByAStation}</PartTitle>
      <Text>{texts.aTokenIsOutWhoever(view.token)}</Text>
      {made ? (
        <View style={{ gap: 4 }} testID="token">
          <Text kind="strong">{made}</Text>
          <Text kind="small" tone="ochre">
            {texts.shownThisOnceWriteIt}
          </Text>
        </View>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button label={texts.makeAnotherTheOldOne(view.token)} onPress={make} testID="make-token" />
        {view.token ? <Button kind="plain" label={texts.voidIt} onPress={revoke} /> : null}
      </View>
      <Text kind="small" tone="quiet">
        {texts.postApiFeedWeatherAnd}
      </Text>
    </View>
  );
}

/** The season's jobs where the grower's other days are. */
function Calendar({ view, onProblem }: { view: FeedView; onProblem: (p: string | null) => void }) {
  const [address, setAddress] = useState<string | null>(null);
  const make = () => {
    onProblem(null);
    change(call(api.makeCalendar))
      .then((r) => setAddress(`${globalThis.location?.origin ?? ''}${r.path}`))
      .catch((e: Error) => onProblem(e.message));
  };
  const revoke = () => {
    onProblem(null);
    setAddress(null);
    change(call(api.voidCalendar)).catch((e: Error) => onProblem(e.message));
  };
  return (
    <View style={{ gap: 10 }}>
      <PartTitle>{texts.theSeasonsJobsInA}</PartTitle>
      <Text>{texts.anAddressIsOutA(view.calendar)}</Text>
      {address ? (
        <View style={{ gap: 4 }} testID="calendar-address">
          <Text kind="strong">{address}</Text>
          <Text kind="small" tone="ochre">
            {texts.shownThisOnceTheCalendar}
          </Text>
        </View>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={texts.makeAnotherTheOldOne2(view.calendar)}
          hint={texts.anAddressForACalendar}
          onPress={make}
          testID="make-calendar"
        />
        {view.calendar ? (
          <Button kind="plain" label={texts.voidIt} hint={texts.voidTheCalendarsAddress} onPress={revoke} />
        ) : null}
        <Button
          kind="plain"
          label={texts.keepItAsAFile}
          hint={texts.theSeasonsJobsAsA}
          onPress={() => void Linking.openURL('/api/season.ics')}
        />
      </View>
    </View>
  );
}

export function FeedsScreen() {
  const { data, error } = useFeeds();
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <Page testID="feeds">
      <TopLine back={texts.kit} />
      <Text kind="title" heading={1}>
        {texts.weatherAndThermometersThatCome}
      </Text>
      {problem ? <Problem>{problem}</Problem> : null}
      {data ? (
        <>
          <Token view={data} onProblem={setProblem} />
          <Poll view={data} onProblem={setProblem} key={data.poll?.url ?? ''} />
          <Calendar view={data} onProblem={setProblem} />
        </>
      ) : error ? (
        <Problem>{(error as Error).message}</Problem>
      ) : (
        <Loading what={texts.openingTheFeeds} />
      )}
    </Page>
  );
}
