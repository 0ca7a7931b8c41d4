/** A spring that is early or late everywhere. It answers: what does it move, and what of the plan do I move with it, for how much? */
import { springMoves } from '@fogata/core/relay';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { Button } from '../ui/Button';
import { Amount, Choose, Fold } from '../ui/Fields';
import { Row } from '../ui/Page';
import { Sentence } from '../ui/Sentence';
import { Text } from '../ui/Text';
import { remakeIn } from './board';
import { springDetail, springSentence, springTitle } from '@fogata/words/en/screens/springWords';
import type { Board } from './useBoard';
import { springPanel as words } from '@fogata/words/en/screens/scenarios';

export function SpringPanel({ board }: { board: Board }) {
  return (
    <Fold title={words.theSpringIsEarlyOr}>
      <Asked board={board} />
    </Fold>
  );
}

function Asked({ board }: { board: Board }) {
  const { year, view } = board;
  const format = useFormat();
  const [early, setEarly] = useState(true);
  const [far, setFar] = useState(10);
  const days = early ? far : -far;
  const moves = useMemo(
    () => (year && view ? springMoves(year, days, remakeIn(view)) : null),
    [year, view, days],
  );
  if (!year || !moves) return null;
  return (
    <View style={{ gap: 10 }} testID="spring">
      <Choose
        label={words.itIs}
        value={early ? 'early' : 'late'}
        options={[
          { value: 'early', label: words.early },
          { value: 'late', label: words.late },
        ]}
        onChange={(v) => setEarly(v === 'early')}
      />
      <Amount
        label={words.daysThatEverythingIsAhead(early)}
        value={far}
        onChange={setFar}
        unit={words.days}
        step={1}
        bigStep={7}
        min={1}
        max={40}
        testID="spring-days"
      />
      <Sentence parts={springSentence(moves, days, year)} />
      {moves.answers.map((a, n) => (
        <Row key={a.kind} first={n === 0}>
          <View style={{ flex: 1, gap: 2 }} testID={`spring-${a.kind}`}>
            <Text kind="strong">{springTitle(a, days)}</Text>
            <Text kind="small" tone="quiet">
              {springDetail(a, year, format)}
            </Text>
          </View>
          {a.moves.length > 0 ? (
            <Button
              label={words.doIt}
              hint={springTitle(a, days)}
              onPress={() => void board.putAll(a.moves)}
              testID={`spring-do-${a.kind}`}
            />
          ) : null}
        </Row>
      ))}
      <Text kind="small" tone="quiet">
        {words.whatStandsGainsOrLoses}
      </Text>
    </View>
  );
}
