/** When it goes wrong. It answers: it is late, early or lost; what moves in its rows, what is given up, and what is each answer worth? */
import { whatMoves, type Strip } from '@fogata/core/relay';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { Button } from '../ui/Button';
import { Amount, Choose, Fold } from '../ui/Fields';
import { Row } from '../ui/Page';
import { Sentence } from '../ui/Sentence';
import { Text } from '../ui/Text';
import { refillingIn, remakeIn } from './board';
import type { Board } from './useBoard';
import { wrongDetail, wrongSentence, wrongTitle } from '@fogata/words/en/screens/wrongWords';
import { wrongPanel as words } from '@fogata/words/en/screens/scenarios';

type What = 'late' | 'early' | 'lost';

export function WrongPanel({ board, strip }: { board: Board; strip: Strip }) {
  return (
    <Fold title={words.itGoesWrongLateEarly}>
      <Asked board={board} strip={strip} />
    </Fold>
  );
}

function Asked({ board, strip }: { board: Board; strip: Strip }) {
  const { year, view } = board;
  const format = useFormat();
  const [what, setWhat] = useState<What>('late');
  const [days, setDays] = useState(14);
  const wrong = useMemo(
    () => ({
      id: strip.planting.id,
      lateDays: what === 'lost' ? null : what === 'late' ? days : -days,
    }),
    [strip, what, days],
  );
  const answers = useMemo(
    () => (year && view ? whatMoves(year, wrong, remakeIn(view), refillingIn(view, strip)) : []),
    [year, view, wrong, strip],
  );
  if (!year || !view) return null;
  return (
    <View style={{ gap: 10 }} testID="gone-wrong">
      <Choose<What>
        label={words.whatHappened}
        value={what}
        options={[
          { value: 'late', label: words.late },
          { value: 'early', label: words.early },
          { value: 'lost', label: words.lost },
        ]}
        onChange={setWhat}
      />
      {what === 'lost' ? null : (
        <Amount
          label={words.daysLaterSoonerThanIts(what)}
          value={days}
          onChange={setDays}
          unit={words.days}
          step={1}
          bigStep={7}
          min={1}
          max={120}
          testID="wrong-days"
        />
      )}
      <Sentence parts={wrongSentence(answers, wrong)} />
      {answers.map((a, n) => (
        <Row key={a.kind} first={n === 0}>
          <View style={{ flex: 1, gap: 2 }} testID={`wrong-${a.kind}`}>
            <Text kind="strong">{wrongTitle(a)}</Text>
            <Text kind="small" tone="quiet">
              {wrongDetail(a, year, format)}
            </Text>
          </View>
          {a.moves.length > 0 ? (
            <Button
              label={words.doIt}
              hint={wrongTitle(a)}
              onPress={() => void board.putAll(a.moves)}
              testID="wrong-do"
            />
          ) : null}
        </Row>
      ))}
      <Text kind="small" tone="quiet">
        {words.byTheCropsWorthWhat}
      </Text>
    </View>
  );
}
