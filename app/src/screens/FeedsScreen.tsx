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
      <PartTitle>Asked for every quarter of an hour</PartTitle>
      <NoteField
        label="Address"
        value={url}
        onChange={setUrl}
        placeholder="http://mast.local/weather.json"
        testID="poll-url"
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={busy ? 'Asking…' : 'Ask it now and from now on'}
          disabled={busy || url.trim() === ''}
          onPress={() => put(url.trim())}
          testID="poll-save"
        />
        {view.poll ? <Button kind="plain" label="Ask it no more" onPress={() => put(null)} /> : null}
      </View>
      {view.poll ? (
        <Text testID="poll-words">
          {`${view.poll.lastAtMs === null ? '' : `${format.day(view.poll.lastAtMs)} ${format.time(view.poll.lastAtMs)}: `}${view.poll.words}`}
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
      <PartTitle>Sent here by a station or a script</PartTitle>
      <Text>
        {view.token
          ? 'A token is out. Whoever has it may send weather and temperatures, and nothing else.'
          : 'With a token, a station or a script may send weather and temperatures, and nothing else.'}
      </Text>
      {made ? (
        <View style={{ gap: 4 }} testID="token">
          <Text kind="strong">{made}</Text>
          <Text kind="small" tone="ochre">
            ▲ Shown this once. Write it down where the station is set up.
          </Text>
        </View>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={view.token ? 'Make another; the old one is void' : 'Make a token'}
          onPress={make}
          testID="make-token"
        />
        {view.token ? <Button kind="plain" label="Void it" onPress={revoke} /> : null}
      </View>
      <Text kind="small" tone="quiet">
        POST /api/feed/weather and /api/feed/thermometers, with “authorization: Bearer” and the token. The
        form is in docs/formats.md.
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
      <PartTitle>The season’s jobs in a calendar</PartTitle>
      <Text>
        {view.calendar
          ? 'An address is out. A calendar that has it reads what is to be sown, planted and cleared, and nothing else.'
          : 'With an address, a calendar reads what is to be sown, planted and cleared, and follows what is moved.'}
      </Text>
      {address ? (
        <View style={{ gap: 4 }} testID="calendar-address">
          <Text kind="strong">{address}</Text>
          <Text kind="small" tone="ochre">
            ▲ Shown this once. The calendar has to reach this server to read it.
          </Text>
        </View>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={view.calendar ? 'Make another; the old one is void' : 'Make an address'}
          hint="An address for a calendar"
          onPress={make}
          testID="make-calendar"
        />
        {view.calendar ? (
          <Button kind="plain" label="Void it" hint="Void the calendar’s address" onPress={revoke} />
        ) : null}
        <Button
          kind="plain"
          label="Keep it as a file"
          hint="The season’s jobs as a calendar file"
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
      <TopLine back="Kit" />
      <Text kind="title" heading={1}>
        Weather and thermometers that come by themselves
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
        <Loading what="Opening the feeds" />
      )}
    </Page>
  );
}
