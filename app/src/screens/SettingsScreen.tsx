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

const STEPS = ['measures', 'schools', 'hands', 'messages', 'farm'] as const;
type StepId = (typeof STEPS)[number];

const THEMES: Record<Farm['theme'], string> = {
  clock: 'theme by the sun',
  day: 'day theme',
  night: 'night theme',
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
    measures: `°${units.temperature}, ${units.length === 'm' ? 'metres, kg' : 'feet, lb'}, ${units.clock} hours, ${THEMES[farm.theme]}`,
    schools: `uncovered ${schools.uncover === 'thaw' ? 'after the thaw' : 'at first light'}, sheets ${schools.touch === 'both' ? 'may lie on leaves' : 'on hoops only'}`,
    hands: `${countWord(farm.hands)} ${farm.hands === 1 ? 'person' : 'people'}, ${farm.hourlyRate} ${farm.currency} an hour`,
    messages: 'what is told, and when it is quiet',
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
      <TopLine back="Kit" />
      <Text kind="title" heading={1}>
        How this farm measures and decides
      </Text>
      {problem ? <Problem>{problem}</Problem> : null}
      {!farm || !said ? (
        <Loading what="Opening the settings" />
      ) : (
        <View style={{ paddingTop: 10 }}>
          <Steps<StepId>
            open={step}
            onOpen={setStep}
            steps={[
              {
                id: 'measures',
                title: 'Units and theme',
                said: said.measures,
                content: <Measures farm={farm} save={save} />,
              },
              {
                id: 'schools',
                title: 'Which school',
                said: said.schools,
                content: <Schools farm={farm} save={save} />,
              },
              {
                id: 'hands',
                title: 'Hands and hours',
                said: said.hands,
                content: <Hands farm={farm} save={save} />,
              },
              {
                id: 'messages',
                title: 'Messages',
                said: said.messages,
                content: (
                  <Part
                    title="Messages"
                    why="A bed near harm whose sheet is still off, a house that should be open, a forecast that turned colder, a thermometer gone silent. Each is told once, on Now."
                  >
                    <MessageSettings
                      value={farm.messages}
                      hours={farm.units.clock}
                      onChange={(messages) => save({ messages }, 'Messages')}
                    />
                  </Part>
                ),
              },
              {
                id: 'farm',
                title: 'The farm and this device',
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
