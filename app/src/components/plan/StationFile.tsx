/** A station's record for Season: a file is looked at, said what it is good for, and taken; it can be left again. */
import { api, call } from '@fogata/contract/client';
import type { Farm, FarmPatch } from '@fogata/contract';
import type { ClimateRead as ClimateSaid } from '@fogata/contract';
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
import { stationFile as words } from '@fogata/words/en/screens/plan';

const KIND = {
  days: words.aTableOfDays,
  hours: words.aTableOfHours,
  epw: words.aTypicalYearEpw,
} as const;

export function stationWords(r: ClimateRead, t: (c: number, digits?: number) => string): string {
  const span = r.kind === 'epw' ? '' : words.to(r.from, r.to);
  const gaps = r.gaps > 0 ? words.leftOut(r.gaps) : '';
  const held = words.itIsDays({ kindWord: KIND[r.kind], days: r.days, span, gaps });
  const [jan, jul] = [r.months[0], r.months[6]];
  const means =
    jan && jul
      ? words.januaryToJulyTo({
          lowC: t(jan.lowC),
          highC: t(jan.highC),
          lowC2: t(jul.lowC),
          highC2: t(jul.highC),
        })
      : '';
  return words.itsOwnSpreadColdSpells({ use: r.use, held, means });
}

/** A file that is refused still says what is wrong with it. */
async function send(text: string, dryRun: boolean): Promise<ClimateSaid> {
  try {
    return await request(call(api.bringClimate), { text, dryRun });
  } catch (e) {
    if (e instanceof Refused && e.body !== null && typeof e.body === 'object' && 'badRows' in e.body)
      return e.body as ClimateSaid;
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
      if (file) setHeld({ ...file, read: format.say(await send(file.text, true)) });
    });
  const take = () =>
    doing(async () => {
      if (!held) return;
      const { recordId } = format.say(await send(held.text, false));
      setHeld(null);
      await refresh();
      if (recordId) offerUndo(words.aStationsRecordTaken, () => retract([recordId], Date.now()));
    });
  const record = farm.climateRecord;
  const good = held && held.read.badRows.length === 0 && held.read.use !== 'nothing';
  return (
    <View style={{ gap: 12 }} testID="station">
      <PartTitle>{words.aStationsRecord}</PartTitle>
      <Text kind="small" tone="quiet">
        {record
          ? words.seasonGoesByDaysOf({ days: record.days, from: record.from, to: record.to })
          : words.aFileOfDaysDate}
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={words.readingBringAFile(busy)}
          disabled={busy}
          onPress={() => void look()}
          testID="station-bring"
        />
        {record ? (
          <Button
            label={words.goByTheTwelveMonths}
            onPress={() => save({ climateRecord: null }, words.aStationsRecord)}
            testID="station-leave"
          />
        ) : null}
      </View>
      {problem ? <Problem>{problem}</Problem> : null}
      {held ? (
        <View style={{ gap: 8 }} testID="station-read">
          <Text kind="strong">{held.name}</Text>
          {good ? <Text>{stationWords(held.read, format.t)}</Text> : null}
          {held.read.why ? <Problem>{words.notTaken(held.read.why)}</Problem> : null}
          {held.read.badRows.slice(0, 5).map((r) => (
            <Text key={r.row} kind="small" tone="ochre">
              {words.line(r.row, r.reason)}
            </Text>
          ))}
          {held.read.badRows.length > 5 ? (
            <Text kind="small" tone="quiet">
              {words.andMore(held.read.badRows.length - 5)}
            </Text>
          ) : null}
          {good ? (
            <View style={{ flexDirection: 'row', gap: 8 }}>
              <Button
                kind="main"
                label={words.takeIt}
                disabled={busy}
                onPress={() => void take()}
                testID="station-take"
              />
              <Button label={words.leaveIt} onPress={() => setHeld(null)} />
            </View>
          ) : null}
        </View>
      ) : null}
    </View>
  );
}
