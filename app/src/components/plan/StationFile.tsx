/** A station's record for Season: a file is looked at, said what it is good for, and taken; it can be left again. */
import { api, call } from '@fogata/contract/client';
import type { Farm, FarmPatch } from '@fogata/contract';
import type { ClimateRead } from '@fogata/contract/told';
import { useState } from 'react';
import { View } from 'react-native';
import { retract } from '../../data/actions';
import { Refused, request } from '../../data/api';
import { useFormat } from '../../data/format';
import { refresh } from '../../data/hooks';
import { pickFile } from '../../data/pickFile';
import { offerUndo } from '../../data/undo';
import { Problem } from '../ui/Bars';
import { Button } from '../ui/Button';
import { PartTitle, Text } from '../ui/Text';

const KIND = {
  days: 'a table of days',
  hours: 'a table of hours',
  epw: 'a typical year (EPW)',
} as const;

export function stationWords(r: ClimateRead, t: (c: number, digits?: number) => string): string {
  const span = r.kind === 'epw' ? '' : `, ${r.from} to ${r.to}`;
  const gaps = r.gaps > 0 ? `, ${r.gaps} left out` : '';
  const held = `It is ${KIND[r.kind]}: ${r.days} days${span}${gaps}.`;
  const [jan, jul] = [r.months[0], r.months[6]];
  const means =
    jan && jul ? ` January ${t(jan.lowC)} to ${t(jan.highC)}, July ${t(jul.lowC)} to ${t(jul.highC)}.` : '';
  return r.use === 'record'
    ? `${held}${means} Its own spread, cold spells and order of days will be drawn from.`
    : `${held}${means} Too short for a spread of its own: its twelve months will be taken.`;
}

/** A file that is refused still says what is wrong with it. */
async function send(text: string, dryRun: boolean): Promise<ClimateRead> {
  try {
    return await request(call(api.bringClimate), { text, dryRun });
  } catch (e) {
    if (e instanceof Refused && e.body !== null && typeof e.body === 'object' && 'badRows' in e.body)
      return e.body as ClimateRead;
    throw e;
  }
}

export function StationFile({ farm, save }: { farm: Farm; save: (p: FarmPatch, label: string) => void }) {
  const format = useFormat();
  const [held, setHeld] = useState<{ name: string; text: string; read: ClimateRead } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const doing = async (what: () => Promise<void>) => {
    setBusy(true);
    setProblem(null);
    try {
      await what();
    } catch (e) {
      setProblem((e as Error).message);
    }
    setBusy(false);
  };
  const look = () =>
    doing(async () => {
      const file = await pickFile('.csv,.txt,.epw');
      if (file) setHeld({ ...file, read: await send(file.text, true) });
    });
  const take = () =>
    doing(async () => {
      if (!held) return;
      const { recordId } = await send(held.text, false);
      setHeld(null);
      await refresh();
      if (recordId) offerUndo('A station’s record: taken', () => retract([recordId], Date.now()));
    });
  const record = farm.climateRecord;
  const good = held && held.read.badRows.length === 0 && held.read.use !== 'nothing';
  return (
    <View style={{ gap: 12 }} testID="station">
      <PartTitle>A station’s record</PartTitle>
      <Text kind="small" tone="quiet">
        {record
          ? `Season goes by ${record.days} days of a station, ${record.from} to ${record.to}, rather than by the twelve months.`
          : 'A file of days (date, low, high), of hours (date and hour, air temperature) or an EPW. Three years and more are worth more than twelve means: its own cold spells are drawn from.'}
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={busy ? 'Reading…' : 'Bring a file'}
          disabled={busy}
          onPress={() => void look()}
          testID="station-bring"
        />
        {record ? (
          <Button
            label="Go by the twelve months again"
            onPress={() => save({ climateRecord: null }, 'A station’s record')}
            testID="station-leave"
          />
        ) : null}
      </View>
      {problem ? <Problem>{problem}</Problem> : null}
      {held ? (
        <View style={{ gap: 8 }} testID="station-read">
          <Text kind="strong">{held.name}</Text>
          {good ? <Text>{stationWords(held.read, format.t)}</Text> : null}
          {held.read.why ? <Problem>{`Not taken: ${held.read.why}.`}</Problem> : null}
          {held.read.badRows.slice(0, 5).map((r) => (
            <Text key={r.row} kind="small" tone="ochre">{`▲ Line ${r.row}: ${r.reason}.`}</Text>
          ))}
          {held.read.badRows.length > 5 ? (
            <Text kind="small" tone="quiet">{`and ${held.read.badRows.length - 5} more`}</Text>
          ) : null}
          {good ? (
            <View style={{ flexDirection: 'row', gap: 8 }}>
              <Button
                kind="main"
                label="Take it"
                disabled={busy}
                onPress={() => void take()}
                testID="station-take"
              />
              <Button label="Leave it" onPress={() => setHeld(null)} />
            </View>
          ) : null}
        </View>
      ) : null}
    </View>
  );
}
