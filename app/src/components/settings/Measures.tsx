/** Units and theme. They answer: how is a temperature, a length, a time written, and how bright is the screen? */
import { Choice } from '../ui/Button';
import { Part, Question, type SettingsProps } from './Part';
import { measures as words } from '@fogata/words/en/screens/settings';

export function Measures({ farm, save }: SettingsProps) {
  return (
    <>
      <Part title={words.units}>
        <Choice
          label={words.temperature}
          value={farm.units.temperature}
          options={[
            { value: 'C', label: '°C' },
            { value: 'F', label: '°F' },
          ]}
          onChange={(temperature) => save({ units: { ...farm.units, temperature } }, words.units)}
        />
        <Choice
          label={words.length}
          value={farm.units.length}
          options={[
            { value: 'm', label: words.metresKg },
            { value: 'ft', label: words.feetLb },
          ]}
          onChange={(length) => save({ units: { ...farm.units, length } }, words.units)}
        />
        <Choice
          label={words.clock}
          value={farm.units.clock}
          options={[
            { value: 24, label: words.words24Hours },
            { value: 12, label: words.words12Hours },
          ]}
          onChange={(clock) => save({ units: { ...farm.units, clock } }, words.units)}
        />
      </Part>
      <Question
        title={words.theme}
        value={farm.theme}
        options={[
          { value: 'clock', label: words.byTheSun },
          { value: 'day', label: words.day },
          { value: 'night', label: words.night },
        ]}
        onChange={(theme) => save({ theme }, words.theme)}
      />
    </>
  );
}
