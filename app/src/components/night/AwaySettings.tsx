/** Hours in which nobody is on the farm: on working days, every day, or today alone. What is opened is planned around them. */
import type { Farm } from '@fogata/contract';
import { clockText, localDate } from '@fogata/core/telling';
import { useState } from 'react';
import { View } from 'react-native';
import { useFarm } from '../../data/hooks';
import { useSaveFarm } from '../../data/useSaveFarm';
import { Problem } from '../ui/Bars';
import { Button } from '../ui/Button';
import { Choose } from '../ui/Fields';
import { Row } from '../ui/Page';
import { Stepper } from '../ui/Stepper';
import { Text } from '../ui/Text';
import { awaySettings as words } from '@fogata/words/en/screens/day';

type Away = Farm['away'][number];
type When = 'work' | 'every' | 'today';

const WORK = [1, 2, 3, 4, 5];
const EVERY = [0, 1, 2, 3, 4, 5, 6];
const NAMES = [
  words.sundays,
  words.mondays,
  words.tuesdays,
  words.wednesdays,
  words.thursdays,
  words.fridays,
  words.saturdays,
];

const hourText = (at: string, hours: 12 | 24) =>
  clockText(Date.parse(`2001-01-01T${at}:00Z`), { hours, timeZone: 'UTC' });
const timeOf = (hour: number) =>
  `${String(Math.floor(hour)).padStart(2, '0')}:${hour % 1 === 0 ? '00' : '30'}`;

/** "Working days, 10:00 to 17:00" */
export function awayWords(a: Away, today: string, hours: 12 | 24): string {
  const same = (days: readonly number[]) =>
    a.days.length === days.length && days.every((d) => a.days.includes(d));
  const when =
    a.on !== null
      ? a.on === today
        ? words.today
        : a.on
      : same(EVERY)
        ? words.everyDay
        : same(WORK)
          ? words.workingDays
          : a.days.map((d) => NAMES[d]).join(', ');
  return words.to({ when, hourText: hourText(a.from, hours), hourText2: hourText(a.to, hours) });
}

function Adding({ today, hours, onAdd }: { today: string; hours: 12 | 24; onAdd: (a: Away) => void }) {
  const [when, setWhen] = useState<When>('today');
  const [from, setFrom] = useState(9);
  const [to, setTo] = useState(17);
  const away: Away = {
    days: when === 'today' ? [] : when === 'work' ? WORK : EVERY,
    on: when === 'today' ? today : null,
    from: timeOf(from),
    to: timeOf(to),
  };
  return (
    <View style={{ gap: 10 }}>
      <Choose
        label={words.when}
        value={when}
        options={[
          { value: 'today' as const, label: words.today2 },
          { value: 'work' as const, label: words.workingDays2 },
          { value: 'every' as const, label: words.everyDay2 },
        ]}
        onChange={setWhen}
      />
      <Stepper
        label={words.from}
        value={from}
        onChange={setFrom}
        step={0.5}
        bigStep={2}
        digits={1}
        unit="h"
        min={0}
        max={to - 0.5}
      />
      <Stepper
        label={words.until}
        value={to}
        onChange={setTo}
        step={0.5}
        bigStep={2}
        digits={1}
        unit="h"
        min={from + 0.5}
        max={23.5}
      />
      <View style={{ flexDirection: 'row' }}>
        <Button
          label={words.away(awayWords(away, today, hours))}
          onPress={() => onAdd(away)}
          testID="away-add"
        />
      </View>
    </View>
  );
}

export function AwaySettings() {
  const nowAtMs = useFarm().data?.clock.nowAtMs;
  const { farm, save, problem } = useSaveFarm();
  const [adding, setAdding] = useState(false);
  if (!farm || nowAtMs === undefined) return null;
  const today = localDate(nowAtMs, farm.timeZone);
  const hours = farm.units.clock;
  // what was one day's and is over says nothing any more
  // a farm that this device kept from before may have none
  const lines = (farm.away ?? []).filter((a) => a.on === null || a.on >= today);
  const put = (away: Away[]) => save({ away }, words.hoursAway);
  return (
    <View style={{ gap: 8 }} testID="away">
      {problem ? <Problem>{problem}</Problem> : null}
      {lines.map((a, n) => (
        <Row key={`${a.on ?? a.days.join()}${a.from}`} first={n === 0}>
          <Text style={{ flex: 1 }}>{awayWords(a, today, hours)}</Text>
          <Button
            kind="plain"
            label={words.takeOut}
            hint={words.takeOut2(awayWords(a, today, hours))}
            onPress={() => put(lines.filter((x) => x !== a))}
          />
        </Row>
      ))}
      {adding ? (
        <Adding
          today={today}
          hours={hours}
          onAdd={(a) => {
            put([...lines, a]);
            setAdding(false);
          }}
        />
      ) : (
        <View style={{ flexDirection: 'row' }}>
          <Button
            label={words.nobodyIsHereForSome(lines.length)}
            onPress={() => setAdding(true)}
            testID="away-new"
          />
        </View>
      )}
    </View>
  );
}
