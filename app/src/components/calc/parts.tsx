/** What every reckoning shows: the answer large, then its working line by line, or what is wrong with an input. */
import { CalcProblem } from '@fogata/core';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { PartTitle, Text } from '../ui/Text';
import { parts as words } from '@fogata/words/en/screens/calc';

export function Answer({ said, working }: { said: string; working: readonly string[] }) {
  return (
    <View style={{ gap: 2 }}>
      <Text kind="title" live testID="calc-answer">
        {said}
      </Text>
      <PartTitle>{words.theWorking}</PartTitle>
      {working.map((line) => (
        <Text key={line} testID="calc-working">
          {line}
        </Text>
      ))}
    </View>
  );
}

/** An answer, or the sentence that says which input makes no sense. */
export function Reckoned({ of }: { of: () => { said: string; working: string[] } }) {
  const { say } = useFormat();
  let made: { said: string; working: string[] };
  try {
    made = of();
  } catch (e) {
    if (e instanceof CalcProblem)
      return (
        <Text tone="ochre" live testID="calc-problem">
          {`▲ ${say(e.problem)}`}
        </Text>
      );
    throw e;
  }
  return <Answer {...made} />;
}

export const n1 = (x: number) =>
  Math.abs(x - Math.round(x)) < 0.05 ? Math.round(x).toString() : x.toFixed(1);
