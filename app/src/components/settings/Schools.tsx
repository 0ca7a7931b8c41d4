/** Schools. They answer: which side of each argument of the trade is this farm on? */
import { Question, type SettingsProps } from './Part';

export function Schools({ farm, save }: SettingsProps) {
  return (
    <>
      <Question
        title="What a cover is for"
        why="Hardy crops may freeze and thaw, it hardens and sweetens them; or they are kept growing. Each planting can differ. This sets what a new one starts with."
        value={farm.schools.aim}
        options={[
          { value: 'crop', label: 'as the crop needs' },
          { value: 'survive', label: 'survive' },
          { value: 'grow', label: 'keep growing' },
        ]}
        onChange={(aim) => save({ schools: { ...farm.schools, aim } }, 'Aim')}
      />
      <Question
        title="When to uncover"
        why="Frozen leaves break when touched and burn in sudden sun; but every hour of winter light counts."
        value={farm.schools.uncover}
        options={[
          { value: 'thaw', label: 'after the thaw' },
          { value: 'light', label: 'at first light' },
        ]}
        onChange={(uncover) => save({ schools: { ...farm.schools, uncover } }, 'When to uncover')}
      />
      <Question
        title="A cover on the leaves"
        why="What touches a sheet is colder; the plan counts it so. Or sheets go on hoops only."
        value={farm.schools.touch}
        options={[
          { value: 'both', label: 'may lie on them' },
          { value: 'hoops', label: 'only on hoops' },
        ]}
        onChange={(touch) => save({ schools: { ...farm.schools, touch } }, 'Cover on the leaves')}
      />
      <Question
        title="Warm days, cold nights"
        why="Crops of two years run to flower after cold; wide swings of it in spring help them to. A house opened earlier swings less, and grows less."
        value={farm.schools.swings ?? 'let'}
        options={[
          { value: 'let', label: 'not minded' },
          { value: 'damp', label: 'damped for what bolts' },
        ]}
        onChange={(swings) => save({ schools: { ...farm.schools, swings } }, 'Warm days, cold nights')}
      />
      <Question
        title="Water before a frost"
        why="Wet soil stores heat; wet plants and lines freeze hard. Either way nothing is watered on a freezing day."
        value={farm.schools.wet ?? 'dry'}
        options={[
          { value: 'dry', label: 'leave it dry' },
          { value: 'bank', label: 'water the day before' },
        ]}
        onChange={(wet) => save({ schools: { ...farm.schools, wet } }, 'Water before a frost')}
      />
    </>
  );
}
