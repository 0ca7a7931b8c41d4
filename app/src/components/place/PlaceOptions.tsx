/** What every stack of covers would give this bed tonight, and what lies on it now: to choose, and to say what was done. */
import type { PlaceView } from '@fogata/contract/told';
import { wayWords } from '@fogata/core/words';
import { useState } from 'react';
import { View } from 'react-native';
import { act, decide } from '../../data/actions';
import { useFormat } from '../../data/format';
import { Button } from '../ui/Button';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';

/** So many stacks are shown at first. */
const SHOWN = 8;

export function Options({ view }: { view: PlaceView }) {
  const format = useFormat();
  const [all, setAll] = useState(false);
  if (view.options.length < 2) return null;
  // the warmest, and whatever is planned or lies there; the rest on demand
  const shown = view.options.filter((o, n) => all || n < SHOWN || o.chosen || o.current || o.key === 'bare');
  const more = view.options.length - shown.length;
  return (
    <View testID="options">
      <PartTitle right="most expected first">What the covers would give</PartTitle>
      {shown.map((o, n) => (
        <Row key={o.key} first={n === 0}>
          <View style={{ flex: 1 }}>
            <Text kind="strong">{o.names.length === 0 ? 'Nothing on it' : o.names.join(' + ')}</Text>
            <Text kind="small" tone="quiet">
              {[
                o.chosen ? '● the plan' : null,
                o.current ? 'as it is' : null,
                `about ${format.currency}${Math.round(o.loss)} at risk`,
                o.minutes > 0 ? `${Math.round(o.minutes)} min` : null,
              ]
                .filter(Boolean)
                .join(' · ')}
            </Text>
          </View>
          <View style={{ alignItems: 'flex-end' }}>
            <Text kind="figure">{format.t(o.leafC.mid)}</Text>
            <Text kind="small" tone="quiet">
              {format.range(o.leafC.low, o.leafC.high)}
            </Text>
          </View>
          {o.chosen ? null : (
            <Button
              label="Use"
              hint={`Use ${o.names.join(' + ') || 'nothing'} on ${view.bed.name}`}
              onPress={() =>
                void decide(
                  'changed',
                  [{ bedId: view.bed.id, key: o.key }],
                  view.clock.window.night,
                  view.clock.nowAtMs,
                  `${view.bed.name}: plan changed`,
                )
              }
            />
          )}
        </Row>
      ))}
      <View style={{ paddingTop: 8, flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {more > 0 ? (
          <Button
            label={`Show ${more} more`}
            hint={`Show ${more} more stacks`}
            onPress={() => setAll(true)}
            testID="all-options"
          />
        ) : null}
        <Button
          kind="plain"
          label="Leave this bed to the plan"
          onPress={() =>
            void decide(
              'withdrawn',
              [{ bedId: view.bed.id, key: null }],
              view.clock.window.night,
              view.clock.nowAtMs,
              `${view.bed.name}: back to the plan`,
            )
          }
        />
      </View>
    </View>
  );
}

export function OnNow({ view }: { view: PlaceView }) {
  const nowAtMs = view.clock.nowAtMs;
  if (view.covers.length === 0) return null;
  return (
    <View testID="on-now">
      <PartTitle>On the bed now</PartTitle>
      {view.covers.map(({ cover, use, on }, n) => (
        <Row key={`${cover.id} ${cover.use}`} first={n === 0}>
          <Text style={{ flex: 1 }}>{`${cover.name}, ${wayWords(cover.use)}${on ? ': is on' : ''}`}</Text>
          <Button
            label={on ? 'Took it off' : 'Put it on'}
            hint={`${cover.name}, ${wayWords(cover.use)}: ${on ? 'took it off' : 'put it on'}`}
            onPress={() =>
              void act(
                `${cover.name} ${on ? 'off' : 'on'} ${view.bed.name}`,
                [
                  {
                    kind: 'cover',
                    atMs: nowAtMs,
                    bedId: view.bed.id,
                    coverId: cover.id,
                    ...(use ? { use } : {}),
                    on: !on,
                  },
                ],
                nowAtMs,
              )
            }
          />
        </Row>
      ))}
    </View>
  );
}
