/** The farm and this device. They answer: what is it called, what time is it there, how does it water, and who holds this phone? */
import { router } from 'expo-router';
import { useState } from 'react';
import { setWhoUses, whoUses } from '../../data/who';
import { Button } from '../ui/Button';
import { NoteField } from '../ui/Field';
import { DripSettings } from '../water/DripSettings';
import { Part, type SettingsProps } from './Part';

function Named({ farm, save }: SettingsProps) {
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

export function TheFarm({ farm, save }: SettingsProps) {
  return (
    <>
      <Named farm={farm} save={save} key={`${farm.name}${farm.timeZone}`} />
      <Who />
      <Part title="Drip lines" why="As most of your beds have them.">
        <DripSettings drip={farm.drip} onChange={(drip) => save({ drip }, 'Drip lines')} />
      </Part>
    </>
  );
}
