/** Schools. They answer: which side of each argument of the trade is this farm on? */
import { Question, type SettingsProps } from './Part';
import { schools as words } from '@fogata/words/en/screens/settings';

export function Schools({ farm, save }: SettingsProps) {
  return (
    <>
      <Question
        title={words.whatACoverIsFor}
        why={words.hardyCropsMayFreezeAnd}
        value={farm.schools.aim}
        options={[
          { value: 'crop', label: words.asTheCropNeeds },
          { value: 'survive', label: words.survive },
          { value: 'grow', label: words.keepGrowing },
        ]}
        onChange={(aim) => save({ schools: { ...farm.schools, aim } }, words.aim)}
      />
      <Question
        title={words.whenToUncover}
        why={words.frozenLeavesBreakWhenTouched}
        value={farm.schools.uncover}
        options={[
          { value: 'thaw', label: words.afterTheThaw },
          { value: 'light', label: words.atFirstLight },
        ]}
        onChange={(uncover) => save({ schools: { ...farm.schools, uncover } }, words.whenToUncover)}
      />
      <Question
        title={words.aCoverOnTheLeaves}
        why={words.whatTouchesASheetIs}
        value={farm.schools.touch}
        options={[
          { value: 'both', label: words.mayLieOnThem },
          { value: 'hoops', label: words.onlyOnHoops },
        ]}
        onChange={(touch) => save({ schools: { ...farm.schools, touch } }, words.coverOnTheLeaves)}
      />
      <Question
        title={words.warmDaysColdNights}
        why={words.cropsOfTwoYearsRun}
        value={farm.schools.swings ?? 'let'}
        options={[
          { value: 'let', label: words.notMinded },
          { value: 'damp', label: words.dampedForWhatBolts },
        ]}
        onChange={(swings) => save({ schools: { ...farm.schools, swings } }, words.warmDaysColdNights)}
      />
      <Question
        title={words.waterBeforeAFrost}
        why={words.wetSoilStoresHeatWet}
        value={farm.schools.wet ?? 'dry'}
        options={[
          { value: 'dry', label: words.leaveItDry },
          { value: 'bank', label: words.waterTheDayBefore },
        ]}
        onChange={(wet) => save({ schools: { ...farm.schools, wet } }, words.waterBeforeAFrost)}
      />
    </>
  );
}
