/** The site. It answers: is the sun, the clock and the frost of this farm right? It opens with where it is taken to be. */
import { api, call } from '@fogata/contract/client';
import type { Farm, FarmPatch } from '@fogata/contract';
import { frostDates, measureText } from '@fogata/core';
import { useFormat } from '../data/format';
import { useState } from 'react';
import { Platform, View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { NoteField } from '../components/ui/Field';
import { Amount, Choose, Measured } from '../components/ui/Fields';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { Months } from '../components/plan/Months';
import { StationFile } from '../components/plan/StationFile';
import { sides, Towns } from '../components/plan/Towns';
import { request } from '../data/api';
import { useSaveFarm } from '../data/useSaveFarm';
import { siteScreen as words } from '@fogata/words/en/screens/site';

/** A table of days with their minima: a date and a number in each line. */
function readDays(text: string): { date: string; minC: number }[] {
  return text.split(/\r?\n/).flatMap((line) => {
    const cells = line.split(/[;,\t]/).map((c) => c.trim());
    const date = cells.find((c) => /^\d{4}-\d{2}-\d{2}$/.test(c));
    const minC = cells
      .filter((c) => c !== date && c !== '')
      .map(Number)
      .find((x) => Number.isFinite(x));
    return date && minC !== undefined ? [{ date, minC }] : [];
  });
}

function Frost({ farm, save }: { farm: Farm; save: (p: FarmPatch, label: string) => void }) {
  const format = useFormat();
  const [text, setText] = useState('');
  const [said, setSaid] = useState<string | null>(null);
  const { frost } = farm;
  const [spring, setSpring] = useState(frost.lastSpring ?? '');
  const [autumn, setAutumn] = useState(frost.firstAutumn ?? '');
  const good = (x: string) => x === '' || /^(0[1-9]|1[0-2])-([0-2]\d|3[01])$/.test(x);
  const wrong = words.aMonthAndDayLike;
  return (
    <View style={{ gap: 12 }}>
      <PartTitle right={frost.from === 'records' ? words.fromYourRecords : undefined}>
        {words.frost}
      </PartTitle>
      <NoteField
        label={words.lastFrostOfSpringOn}
        value={spring}
        onChange={setSpring}
        placeholder="04-18"
        problem={good(spring) ? null : wrong}
      />
      <NoteField
        label={words.firstFrostOfAutumnOn}
        value={autumn}
        onChange={setAutumn}
        placeholder="10-20"
        problem={good(autumn) ? null : wrong}
      />
      <Amount
        label={words.howSureEightYearsIn}
        value={frost.eitherWayDays}
        onChange={(eitherWayDays) => save({ frost: { ...frost, eitherWayDays } }, words.frostDates)}
        unit={words.daysEitherWay}
        min={0}
        max={60}
      />
      <Button
        label={words.keepTheseDates}
        disabled={!good(spring) || !good(autumn)}
        onPress={() =>
          save(
            { frost: { ...frost, lastSpring: spring || null, firstAutumn: autumn || null, from: 'typed' } },
            words.frostDates,
          )
        }
      />
      <NoteField
        label={words.orFromDailyRecordsA}
        value={text}
        onChange={setText}
        lines={4}
        placeholder={'2021-04-17,-0.6\n2021-04-18,2.1'}
        testID="frost-records"
      />
      <Button
        label={words.reckonTheDatesFromThem}
        disabled={text.trim() === ''}
        testID="frost-reckon"
        onPress={() => {
          const found = frostDates(readDays(text), farm.latitude < 0);
          if ('problem' in found) setSaid(format.say(found.problem));
          else {
            setSaid(
              words.fromYearsLastFrostFirst({
                years: found.years,
                lastSpring: found.lastSpring,
                firstAutumn: found.firstAutumn,
                eitherWayDays: found.eitherWayDays,
              }),
            );
            setSpring(found.lastSpring);
            setAutumn(found.firstAutumn);
            save(
              {
                frost: {
                  lastSpring: found.lastSpring,
                  firstAutumn: found.firstAutumn,
                  eitherWayDays: Math.min(60, found.eitherWayDays),
                  from: 'records',
                },
              },
              words.frostDates,
            );
          }
        }}
      />
      {said ? (
        <Text live testID="frost-said">
          {said}
        </Text>
      ) : null}
    </View>
  );
}

export function SiteScreen() {
  const { farm, save, problem, setProblem } = useSaveFarm();
  /** Coordinates bring their time zone with them. */
  const place = async (latitude: number, longitude: number, more: FarmPatch = {}) => {
    try {
      const { timeZone } = await request(call(api.zone, {}, { latitude, longitude }));
      save({ latitude, longitude, timeZone, ...more }, words.thePlace);
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  const here = () => {
    const geo = globalThis.navigator?.geolocation;
    if (!geo) return setProblem(words.thisDeviceDoesNotTell);
    geo.getCurrentPosition(
      (p) =>
        void place(Number(p.coords.latitude.toFixed(4)), Number(p.coords.longitude.toFixed(4)), {
          ...(p.coords.altitude === null ? {} : { elevationM: Math.round(p.coords.altitude) }),
        }),
      () => setProblem(words.theDeviceDidNotSay),
      { timeout: 15_000 },
    );
  };
  if (!farm)
    return (
      <Page testID="site">
        <TopLine back={words.kit} />
        <Loading what={words.openingTheSite} />
      </Page>
    );
  return (
    <Page testID="site">
      <TopLine back={words.kit} />
      <Sentence
        parts={[
          {
            text: words.isAtUpOnThe({
              name: farm.name,
              sides: sides(farm),
              measureText: measureText(farm.elevationM, 'height', farm.units.length, 0),
              timeZone: farm.timeZone,
            }),
            tone: 'plain',
          },
        ]}
      />
      {problem ? <Problem>{problem}</Problem> : null}
      <View style={{ gap: 12, paddingTop: 8 }}>
        <Towns
          onPick={({ latitude, longitude, elevationM, timeZone, name }) =>
            save({ latitude, longitude, elevationM, timeZone }, name)
          }
        />
        {Platform.OS === 'web' ? <Button label={words.whereIStandNow} onPress={here} /> : null}
        <Amount
          label={words.latitudeNorthPositive}
          value={farm.latitude}
          onChange={(v) => void place(v, farm.longitude)}
          unit="°"
          step={0.1}
          bigStep={5}
          digits={2}
          min={-90}
          max={90}
          signed
          testID="latitude"
        />
        <Amount
          label={words.longitudeEastPositive}
          value={farm.longitude}
          onChange={(v) => void place(farm.latitude, v)}
          unit="°"
          step={0.1}
          bigStep={5}
          digits={2}
          min={-180}
          max={180}
          signed
        />
        <Measured
          what="height"
          label={words.elevation}
          value={farm.elevationM}
          onChange={(elevationM) => save({ elevationM: Number(elevationM.toFixed(1)) }, words.elevation)}
          steps={{ si: [10, 100], feet: [50, 500] }}
          min={-450}
          max={6000}
          signed
        />
        <PartTitle>{words.windAndColdAir}</PartTitle>
        <Choose
          label={words.wind}
          value={farm.wind}
          options={[
            { value: 'sheltered', label: words.sheltered },
            { value: 'open', label: words.open },
            { value: 'exposed', label: words.exposed },
          ]}
          onChange={(wind) => save({ wind }, words.wind)}
          note={words.itSetsHowHardGusts}
        />
        <Amount
          label={words.hardWindUsuallyComesFrom}
          value={farm.windFromDeg}
          onChange={(windFromDeg) => save({ windFromDeg: (windFromDeg + 360) % 360 }, words.wind)}
          unit={words.fromNorth}
          step={15}
          bigStep={45}
          min={-359}
          max={719}
        />
        <Choose
          label={words.onAStillClearNight}
          value={farm.coldAir}
          options={[
            { value: 'drains', label: words.drainsAway },
            { value: 'level', label: words.staysItIsLevel },
            { value: 'hollow', label: words.gathersHere },
          ]}
          onChange={(coldAir) => save({ coldAir }, words.coldAir)}
          note={words.keptWithTheFarmWhat}
        />
        <Months farm={farm} save={save} key={JSON.stringify([farm.climate, farm.units.temperature])} />
        <StationFile farm={farm} save={save} />
        <Frost farm={farm} save={save} key={`${farm.frost.lastSpring}${farm.frost.firstAutumn}`} />
      </View>
    </Page>
  );
}
