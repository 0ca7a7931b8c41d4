/** Settings. It answers: how does this farm measure, and which side of each argument is it on? */
import type { Farm, FarmPatch } from '@fogata/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { AwaySettings } from '../components/night/AwaySettings';
import { DripSettings } from '../components/water/DripSettings';
import { MessageSettings } from '../components/ui/MessageSettings';
import { Button, Choice } from '../components/ui/Button';
import { NoteField } from '../components/ui/Field';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { Stepper } from '../components/ui/Stepper';
import { PartTitle, Text } from '../components/ui/Text';
import { setWhoUses, whoUses } from '../data/who';
import { useSaveFarm } from '../data/useSaveFarm';

function Part({ title, children, why }: { title: string; why?: string; children: React.ReactNode }) {
  return (
    <View style={{ gap: 8 }}>
      <PartTitle>{title}</PartTitle>
      {why ? (
        <Text kind="small" tone="quiet">
          {why}
        </Text>
      ) : null}
      {children}
    </View>
  );
}

function Named({ farm, save }: { farm: Farm; save: (p: FarmPatch, label: string) => void }) {
  const [name, setName] = useState(farm.name);
  const [zone, setZone] = useState(farm.timeZone);
  return (
    <Part title="The farm">
      <NoteField label="Name of the farm" value={name} onChange={setName} testID="farm-name" />
      <NoteField label="Time zone" value={zone} onChange={setZone} placeholder="Europe/Madrid" />
      <Button
        label="Keep name and zone"
        onPress={() => save({ name: name.trim(), timeZone: zone.trim() }, 'Name and zone')}
        testID="keep-place"
      />
      <Button label="Where it is, wind and frost" onPress={() => router.push('/site')} testID="open-site" />
    </Part>
  );
}

/** On this device alone: a farm's phones each have their own. */
function Who() {
  const [name, setName] = useState(whoUses);
  return (
    <Part
      title="Who uses this device"
      why="A name or a mark of yours stands then beside what is done on it. It stays empty where one does it all."
    >
      <NoteField
        label="Name on this device"
        value={name}
        onChange={(n) => {
          setName(n);
          setWhoUses(n);
        }}
        testID="who"
      />
    </Part>
  );
}

export function SettingsScreen() {
  const { farm, save, problem } = useSaveFarm();
  return (
    <Page testID="settings">
      <TopLine back="Kit" />
      <Text kind="title" heading={1}>
        How this farm measures and decides
      </Text>
      {problem ? <Problem>{problem}</Problem> : null}
      {!farm ? (
        <Loading what="Opening the settings" />
      ) : (
        <>
          <Part title="Units">
            <Choice
              label="Temperature"
              value={farm.units.temperature}
              options={[
                { value: 'C', label: '°C' },
                { value: 'F', label: '°F' },
              ]}
              onChange={(temperature) => save({ units: { ...farm.units, temperature } }, 'Units')}
            />
            <Choice
              label="Length"
              value={farm.units.length}
              options={[
                { value: 'm', label: 'metres, kg' },
                { value: 'ft', label: 'feet, lb' },
              ]}
              onChange={(length) => save({ units: { ...farm.units, length } }, 'Units')}
            />
            <Choice
              label="Clock"
              value={farm.units.clock}
              options={[
                { value: 24, label: '24 hours' },
                { value: 12, label: '12 hours' },
              ]}
              onChange={(clock) => save({ units: { ...farm.units, clock } }, 'Units')}
            />
          </Part>
          <Part title="Theme">
            <Choice
              label="Theme"
              value={farm.theme}
              options={[
                { value: 'clock', label: 'by the sun' },
                { value: 'day', label: 'day' },
                { value: 'night', label: 'night' },
              ]}
              onChange={(theme) => save({ theme }, 'Theme')}
            />
          </Part>
          <Part
            title="What a cover is for"
            why="Hardy crops may freeze and thaw, it hardens and sweetens them; or they are kept growing. Each planting can differ. This sets what a new one starts with."
          >
            <Choice
              label="What a cover is for"
              value={farm.schools.aim}
              options={[
                { value: 'crop', label: 'as the crop needs' },
                { value: 'survive', label: 'survive' },
                { value: 'grow', label: 'keep growing' },
              ]}
              onChange={(aim) => save({ schools: { ...farm.schools, aim } }, 'Aim')}
            />
          </Part>
          <Part
            title="When to uncover"
            why="Frozen leaves break when touched and burn in sudden sun; but every hour of winter light counts."
          >
            <Choice
              label="When to uncover"
              value={farm.schools.uncover}
              options={[
                { value: 'thaw', label: 'after the thaw' },
                { value: 'light', label: 'at first light' },
              ]}
              onChange={(uncover) => save({ schools: { ...farm.schools, uncover } }, 'When to uncover')}
            />
          </Part>
          <Part
            title="A cover on the leaves"
            why="What touches a sheet is colder; the plan counts it so. Or sheets go on hoops only."
          >
            <Choice
              label="A cover on the leaves"
              value={farm.schools.touch}
              options={[
                { value: 'both', label: 'may lie on them' },
                { value: 'hoops', label: 'only on hoops' },
              ]}
              onChange={(touch) => save({ schools: { ...farm.schools, touch } }, 'Cover on the leaves')}
            />
          </Part>
          <Part
            title="Warm days, cold nights"
            why="Crops of two years run to flower after cold; wide swings of it in spring help them to. A house opened earlier swings less, and grows less."
          >
            <Choice
              label="Warm days, cold nights"
              value={farm.schools.swings ?? 'let'}
              options={[
                { value: 'let', label: 'not minded' },
                { value: 'damp', label: 'damped for what bolts' },
              ]}
              onChange={(swings) => save({ schools: { ...farm.schools, swings } }, 'Warm days, cold nights')}
            />
          </Part>
          <Part
            title="Water before a frost"
            why="Wet soil stores heat; wet plants and lines freeze hard. Either way nothing is watered on a freezing day."
          >
            <Choice
              label="Water before a frost"
              value={farm.schools.wet ?? 'dry'}
              options={[
                { value: 'dry', label: 'leave it dry' },
                { value: 'bank', label: 'water the day before' },
              ]}
              onChange={(wet) => save({ schools: { ...farm.schools, wet } }, 'Water before a frost')}
            />
          </Part>
          <Part title="An hour of work" why="The plan weighs minutes against what they save.">
            <Stepper
              label="Hourly rate"
              value={farm.hourlyRate}
              onChange={(hourlyRate) => save({ hourlyRate }, 'Hourly rate')}
              step={1}
              bigStep={5}
              digits={0}
              unit={`${farm.currency} an hour`}
              min={0}
              max={500}
            />
          </Part>
          <Part
            title="People who cover in the evening"
            why="How much can be done before dark, and when each job has to be begun."
          >
            <Stepper
              label="People"
              value={farm.hands}
              onChange={(hands) => save({ hands }, 'People')}
              step={1}
              digits={0}
              unit={farm.hands === 1 ? 'person' : 'people'}
              min={1}
              max={20}
            />
          </Part>
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
          <Part
            title="When nobody is here"
            why="What is opened and shut by day is planned for when somebody can do it."
          >
            <AwaySettings />
          </Part>
          <Part title="Drip lines" why="As most of your beds have them.">
            <DripSettings drip={farm.drip} onChange={(drip) => save({ drip }, 'Drip lines')} />
          </Part>
          <Who />
          <Named farm={farm} save={save} key={`${farm.name}${farm.timeZone}`} />
        </>
      )}
    </Page>
  );
}
