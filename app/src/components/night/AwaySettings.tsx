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

type Away = Farm['away'][number];
type When = 'work' | 'every' | 'today';

const WORK = [1, 2, 3, 4, 5];
const EVERY = [0, 1, 2, 3, 4, 5, 6];
const NAMES = ['Sundays', 'Mondays', 'Tuesdays', 'Wednesdays', 'Thursdays', 'Fridays', 'Saturdays'];

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
        ? 'Today'
        : a.on
      : same(EVERY)
        ? 'Every day'
        : same(WORK)
          ? 'Working days'
          : a.days.map((d) => NAMES[d]).join(', ');
  return `${when}, ${hourText(a.from, hours)} to ${hourText(a.to, hours)}`;
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
        label="When"
        value={when}
        options={[
          { value: 'today' as const, label: 'today' },
          { value: 'work' as const, label: 'working days' },
          { value: 'every' as const, label: 'every day' },
        ]}
        onChange={setWhen}
      />
      <Stepper
        label="From"
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
        label="Until"
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
          label={`Away: ${awayWords(away, today, hours)}`}
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
  const put = (away: Away[]) => save({ away }, 'Hours away');
  return (
    <View style={{ gap: 8 }} testID="away">
      {problem ? <Problem>{problem}</Problem> : null}
      {lines.map((a, n) => (
        <Row key={`${a.on ?? a.days.join()}${a.from}`} first={n === 0}>
          <Text style={{ flex: 1 }}>{awayWords(a, today, hours)}</Text>
          <Button
            kind="plain"
            label="Take out"
            hint={`Take out: ${awayWords(a, today, hours)}`}
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
            label={lines.length === 0 ? 'Nobody is here for some hours' : 'More hours away'}
            onPress={() => setAdding(true)}
            testID="away-new"
          />
        </View>
      )}
    </View>
  );
}
