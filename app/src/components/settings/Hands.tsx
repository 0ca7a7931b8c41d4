/** Hands. They answer: who is there to cover, when, and what is an hour of theirs worth? */
import { AwaySettings } from '../night/AwaySettings';
import { Stepper } from '../ui/Stepper';
import { Part, type SettingsProps } from './Part';

export function Hands({ farm, save }: SettingsProps) {
  return (
    <>
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
        title="When nobody is here"
        why="What is opened and shut by day is planned for when somebody can do it."
      >
        <AwaySettings />
      </Part>
    </>
  );
}
