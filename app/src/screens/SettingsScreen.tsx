/** Settings, in steps. It answers: how does this farm measure, and which side of each argument is it on? */
import type { Farm } from '@fogata/contract';
import { countWord } from '@fogata/core';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Hands } from '../components/settings/Hands';
import { Measures } from '../components/settings/Measures';
import { Part } from '../components/settings/Part';
import { Schools } from '../components/settings/Schools';
import { TheFarm } from '../components/settings/TheFarm';
import { MessageSettings } from '../components/ui/MessageSettings';
import { Problem } from '../components/ui/Bars';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { FORM_WIDTH, Steps } from '../components/ui/Steps';
import { Text } from '../components/ui/Text';
import { useSaveFarm } from '../data/useSaveFarm';
import { settingsScreen as words } from '@fogata/words/en/screens/settings';

const STEPS = ['measures', 'schools', 'hands', 'messages', 'farm'] as const;
type StepId = (typeof STEPS)[number];

const THEMES: Record<Farm['theme'], string> = {
  clock: words.themeByTheSun,
  day: words.dayTheme,
  night: words.nightTheme,
};

/** Where something is changed; what is not named here is the farm's own. */
const PART_OF: Partial<Record<keyof Farm, StepId>> = {
  units: 'measures',
  theme: 'measures',
  schools: 'schools',
  hands: 'hands',
  hourlyRate: 'hands',
  away: 'hands',
  messages: 'messages',
};

/** What each part says while it is shut. */
export function saidOf(farm: Farm): Record<StepId, string> {
  const { units, schools } = farm;
  return {
    measures: words.metresKgFeetLbHours({
      temperature: units.temperature,
      count: units.length,
      clock: units.clock,
      themesWord: THEMES[farm.theme],
    }),
    schools: words.uncoveredAfterTheThawAt(schools.uncover, schools.touch),
    hands: words.personPeopleAnHour({
      countWord: countWord(farm.hands),
      hands: farm.hands,
      hourlyRate: farm.hourlyRate,
      currency: farm.currency,
    }),
    messages: words.whatIsToldAndWhen,
    farm: `${farm.name}, ${farm.timeZone}`,
  };
}

export function SettingsScreen() {
  // a link may open the part that it is about
  const { part } = useLocalSearchParams<{ part?: string }>();
  const [step, setStep] = useState<StepId | null>(STEPS.find((s) => s === part) ?? 'measures');
  // what was not accepted may be in a part that was shut since
  const { farm, save, problem } = useSaveFarm((patch) =>
    setStep(PART_OF[Object.keys(patch)[0] as keyof Farm] ?? 'farm'),
  );
  const said = farm ? saidOf(farm) : null;
  return (
    <Page testID="settings" width={FORM_WIDTH}>
      <TopLine back={words.kit} />
      <Text kind="title" heading={1}>
        {words.howThisFarmMeasuresAnd}
      </Text>
      {problem ? <Problem>{problem}</Problem> : null}
      {!farm || !said ? (
        <Loading what={words.openingTheSettings} />
      ) : (
        <View style={{ paddingTop: 10 }}>
          <Steps<StepId>
            open={step}
            onOpen={setStep}
            steps={[
              {
                id: 'measures',
                title: words.unitsAndTheme,
                said: said.measures,
                content: <Measures farm={farm} save={save} />,
              },
              {
                id: 'schools',
                title: words.whichSchool,
                said: said.schools,
                content: <Schools farm={farm} save={save} />,
              },
              {
                id: 'hands',
                title: words.handsAndHours,
                said: said.hands,
                content: <Hands farm={farm} save={save} />,
              },
              {
                id: 'messages',
                title: words.messages,
                said: said.messages,
                content: (
                  <Part title={words.messages} why={words.aBedNearHarmWhose}>
                    <MessageSettings
                      value={farm.messages}
                      hours={farm.units.clock}
                      onChange={(messages) => save({ messages }, words.messages)}
                    />
                  </Part>
                ),
              },
              {
                id: 'farm',
                title: words.theFarmAndThisDevice,
                said: said.farm,
                content: <TheFarm farm={farm} save={save} />,
              },
            ]}
          />
        </View>
      )}
    </Page>
  );
}
