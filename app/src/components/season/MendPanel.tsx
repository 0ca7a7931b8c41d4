/** It came up patchy, or frost has thinned it. It answers: leave it, fill it, or begin again, and what is each worth? */
import type { Planting } from '@fogata/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { useMend } from '../../data/hooks';
import { Problem } from '../ui/Bars';
import { Amount, Fold } from '../ui/Fields';
import { Loading, Row } from '../ui/Page';
import { Sentence } from '../ui/Sentence';
import { Text } from '../ui/Text';
import { mendSentence, mendTitle, mendWords } from '@fogata/words/en/screens/mendWords';
import { mendPanel as words } from '@fogata/words/en/screens/seasonPanels';

export function MendPanel({ planting }: { planting: Planting }) {
  return (
    <Fold title={words.itCameUpPatchyOr}>
      <Asked planting={planting} />
    </Fold>
  );
}

function Asked({ planting }: { planting: Planting }) {
  const format = useFormat();
  const [stands, setStands] = useState(60);
  const [spares, setSpares] = useState(0);
  const { data, error } = useMend(planting.id, {
    stands: stands / 100,
    spares: spares > 0 ? spares : undefined,
  });
  return (
    <View style={{ gap: 12 }} testID="mend">
      <Amount
        label={words.ofAHundredSoMany}
        value={stands}
        onChange={setStands}
        unit={words.of100}
        step={5}
        bigStep={20}
        min={0}
        max={100}
        testID="mend-stands"
      />
      <Amount
        label={words.sparePlantsInTrays}
        value={spares}
        onChange={setSpares}
        unit={words.plants}
        step={10}
        bigStep={100}
        min={0}
        max={100_000}
        testID="mend-spares"
      />
      {error ? <Problem>{(error as Error).message}</Problem> : null}
      {!data && !error ? <Loading what={words.pricingWhatCanBeDone} /> : null}
      {data?.progress.state === 'computing' ? (
        <Loading what={words.goingThroughAHundredYears(data.progress.done, data.progress.of)} />
      ) : null}
      {data && data.answers.length > 0 ? <Sentence parts={mendSentence(data, format)} /> : null}
      {(data?.answers ?? []).map((m, n) => (
        <Row key={`${m.kind} ${m.crop ?? ''}`} first={n === 0}>
          <View style={{ flex: 1, gap: 2 }}>
            <Text kind="strong">{mendTitle(m, data!.name)}</Text>
            <Text kind="small" tone={m.late ? 'ochre' : 'quiet'}>
              {mendWords(m, format)}
            </Text>
          </View>
        </Row>
      ))}
      <Text kind="small" tone="quiet">
        {words.overWhatIsLeftOf}
      </Text>
    </View>
  );
}
