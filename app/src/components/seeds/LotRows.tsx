/** The seed of one cultivar: what is left, what a test said; counted, tested and thrown out here. */
import { api, call } from '@fogata/contract/client';
import type { LotView } from '@fogata/contract/told';
import type { Crop, SeedLot } from '@fogata/core';
import { useState } from 'react';
import { View } from 'react-native';
import { retract } from '../../data/actions';
import { change } from '../../data/hooks';
import { offerUndo } from '../../data/undo';
import { Button } from '../ui/Button';
import { Amount } from '../ui/Fields';
import { Row } from '../ui/Page';
import { Text } from '../ui/Text';
import { lotWords } from '@fogata/words/en/screens/seedWords';
import { lotRows as texts } from '@fogata/words/en/screens/seeds';

export function LotRows({
  lots,
  crop,
  today,
  nowAtMs,
  onProblem,
}: {
  lots: readonly LotView[];
  crop: Crop;
  today: string;
  nowAtMs: number;
  onProblem: (words: string | null) => void;
}) {
  const [open, setOpen] = useState<string | null>(null);
  const tried = async (label: string, act: () => Promise<{ recordId: string | null }>) => {
    onProblem(null);
    try {
      const { recordId } = await act();
      if (recordId) offerUndo(label, () => retract([recordId], nowAtMs));
    } catch (e) {
      onProblem((e as Error).message);
    }
  };
  const save = (lot: SeedLot) =>
    tried(texts.seedOfChanged(lot.year), () => change(call(api.putLot, { id: lot.id }), lot));
  return (
    <>
      {lots.map((l, n) => {
        const { lot } = l;
        return (
          <View key={lot.id}>
            <Row first={n === 0}>
              <Text style={{ flex: 1 }} tone={l.now?.old ? 'ochre' : 'ink'}>
                {texts.seed(l.now?.old, lotWords(l))}
              </Text>
              <Button
                kind="plain"
                label={texts.closeCountOrTest(open, lot.id)}
                hint={texts.countOrTestTheSeed(lot.year)}
                onPress={() => setOpen(open === lot.id ? null : lot.id)}
                testID={`lot-${lot.year}`}
              />
            </Row>
            {open === lot.id ? (
              <View style={{ gap: 10, paddingVertical: 10 }}>
                {lot.seeds !== null ? (
                  <Amount
                    label={texts.seedsLeft}
                    value={lot.seeds}
                    onChange={(seeds) => void save({ ...lot, seeds })}
                    unit={texts.seeds}
                    step={50}
                    bigStep={1000}
                    min={0}
                    max={10_000_000}
                  />
                ) : (
                  <Amount
                    label={texts.leftOfIt}
                    value={lot.grams}
                    onChange={(grams) => void save({ ...lot, grams })}
                    unit="g"
                    step={1}
                    bigStep={25}
                    digits={1}
                    min={0}
                    max={100_000}
                    start={10}
                  />
                )}
                {crop.sowing ? (
                  <Amount
                    label={texts.testedTodayOfAHundred}
                    value={lot.tested ? Math.round(100 * lot.tested.share) : null}
                    onChange={(v) => void save({ ...lot, tested: { share: v / 100, on: today } })}
                    unit={texts.of100}
                    step={1}
                    bigStep={10}
                    min={0}
                    max={100}
                    start={Math.round(100 * (l.now?.germination ?? crop.sowing.germination))}
                    testID="lot-test"
                    note={texts.tenSeedsOnWetPaper}
                  />
                ) : null}
                <Button
                  label={texts.usedUpOrThrownOut}
                  onPress={() =>
                    void tried(texts.seedOfGone(lot.year), () => change(call(api.dropLot, { id: lot.id })))
                  }
                />
              </View>
            ) : null}
          </View>
        );
      })}
    </>
  );
}
