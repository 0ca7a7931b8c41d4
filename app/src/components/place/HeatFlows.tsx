/** Why it gets as cold as it does: where the bed's heat goes at one hour, in words and watts, the largest share first. */
import type { FlowLine } from '@fogata/core';
import type { Told } from '@fogata/core/words';
import { StyleSheet, View } from 'react-native';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { heatFlows as texts } from '@fogata/words/en/screens/place';

export function HeatFlows({ lines, at }: { lines: Told<FlowLine>[]; at: string }) {
  if (lines.length === 0) return null;
  return (
    <View testID="flows">
      <PartTitle right={texts.atForEachM(at)}>{texts.whyWhereItsHeatGoes}</PartTitle>
      {lines.map((l, n) => (
        <Row key={l.words} first={n === 0} style={styles.flow}>
          <Text style={{ flex: 1 }}>{l.words.replace(/^./, (c) => c.toUpperCase())}</Text>
          <Text
            kind="label"
            tone={l.way === 'in' ? 'ember' : 'ink'}
          >{`${l.way === 'in' ? '+' : '−'}${Math.round(l.wattsM2)} W`}</Text>
        </Row>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ flow: { minHeight: 40, paddingVertical: 6 } });
