/** Units and theme. They answer: how is a temperature, a length, a time written, and how bright is the screen? */
import { Choice } from '../ui/Button';
import { Part, Question, type SettingsProps } from './Part';

export function Measures({ farm, save }: SettingsProps) {
  return (
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
      <Question
        title="Theme"
        value={farm.theme}
        options={[
          { value: 'clock', label: 'by the sun' },
          { value: 'day', label: 'day' },
          { value: 'night', label: 'night' },
        ]}
        onChange={(theme) => save({ theme }, 'Theme')}
      />
    </>
  );
}
