/** Thermometers under cover while it is dark: what each shows beside what it should, and what to look for where they part. */
import type { SpotNowView } from '@fogata/contract/told';
import { View } from 'react-native';
import type { Format } from '../../data/format';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { spotLines as words } from '@fogata/words/en/screens/day';

export function SpotLines({ spots, format }: { spots: readonly SpotNowView[]; format: Format }) {
  const last = spots[0];
  if (!last) return null;
  return (
    <View testID="spots">
      <PartTitle right={words.measuredByTheModel}>{words.thermometers}</PartTitle>
      {spots.map((s, n) => (
        <Row key={s.structureId} first={n === 0}>
          <View
            style={{ flex: 1 }}
            testID={s.parted ? 'spot-parted' : 'spot'}
            accessible
            aria-label={words.atMeasuredByTheModel({
              name: s.name,
              atMs: format.time(s.atMs),
              measuredC: format.t(s.measuredC),
              modelC: format.t(s.modelC),
              parted: s.parted,
            })}
          >
            <View style={{ flexDirection: 'row', gap: 12, alignItems: 'baseline' }}>
              <Text kind="strong" style={{ flex: 1 }}>
                {s.name}
                <Text kind="small" tone="quiet">{`  ${format.time(s.atMs)}`}</Text>
              </Text>
              <Text kind="figure">{format.t(s.measuredC)}</Text>
              <Text kind="small" tone="quiet" style={{ minWidth: 52, textAlign: 'right' }}>
                {format.t(s.modelC)}
              </Text>
            </View>
            {s.parted ? <Text kind="small" tone="ochre">{`▲ ${s.parted}`}</Text> : null}
          </View>
        </Row>
      ))}
    </View>
  );
}
