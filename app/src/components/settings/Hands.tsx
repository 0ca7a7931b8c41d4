/** Hands. They answer: who is there to cover, when, and what is an hour of theirs worth? */
import { AwaySettings } from '../night/AwaySettings';
import { Stepper } from '../ui/Stepper';
import { Part, type SettingsProps } from './Part';
import { hands as words } from '@fogata/words/en/screens/settings';

export function Hands({ farm, save }: SettingsProps) {
  return (
    <>
      <Part title={words.anHourOfWork} why={words.thePlanWeighsMinutesAgainst}>
        <Stepper
          label={words.hourlyRate}
          value={farm.hourlyRate}
          onChange={(hourlyRate) => save({ hourlyRate }, words.hourlyRate)}
          step={1}
          bigStep={5}
          digits={0}
          unit={words.anHour(farm.currency)}
          min={0}
          max={500}
        />
      </Part>
      <Part title={words.peopleWhoCoverInThe} why={words.howMuchCanBeDone}>
        <Stepper
          label={words.people}
          value={farm.hands}
          onChange={(hands) => save({ hands }, words.people)}
          step={1}
          digits={0}
          unit={farm.hands === 1 ? 'person' : 'people'}
          min={1}
          max={20}
        />
      </Part>
      <Part title={words.whenNobodyIsHere} why={words.whatIsOpenedAndShut}>
        <AwaySettings />
      </Part>
    </>
  );
}
