/** The farm and this device. They answer: what is it called, what time is it there, how does it water, and who holds this phone? */
import { router } from 'expo-router';
import { useState } from 'react';
import { setWhoUses, whoUses } from '../../data/who';
import { Button } from '../ui/Button';
import { NoteField } from '../ui/Field';
import { DripSettings } from '../water/DripSettings';
import { Part, type SettingsProps } from './Part';
import { theFarm as words } from '@fogata/words/en/screens/settings';

function Named({ farm, save }: SettingsProps) {
  const [name, setName] = useState(farm.name);
  const [zone, setZone] = useState(farm.timeZone);
  return (
    <Part title={words.theFarm}>
      <NoteField label={words.nameOfTheFarm} value={name} onChange={setName} testID="farm-name" />
      <NoteField label={words.timeZone} value={zone} onChange={setZone} placeholder={words.europeMadrid} />
      <Button
        label={words.keepNameAndZone}
        onPress={() => save({ name: name.trim(), timeZone: zone.trim() }, words.nameAndZone)}
        testID="keep-place"
      />
      <Button label={words.whereItIsWindAnd} onPress={() => router.push('/site')} testID="open-site" />
    </Part>
  );
}

/** On this device alone: a farm's phones each have their own. */
function Who() {
  const [name, setName] = useState(whoUses);
  return (
    <Part title={words.whoUsesThisDevice} why={words.aNameOrAMark}>
      <NoteField
        label={words.nameOnThisDevice}
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

export function TheFarm({ farm, save }: SettingsProps) {
  return (
    <>
      <Named farm={farm} save={save} key={`${farm.name}${farm.timeZone}`} />
      <Who />
      <Part title={words.dripLines} why={words.asMostOfYourBeds}>
        <DripSettings drip={farm.drip} onChange={(drip) => save({ drip }, words.dripLines)} />
      </Part>
    </>
  );
}
