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
import { placeOptions as words } from '@fogata/words/en/screens/place';

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
      <PartTitle right={words.mostExpectedFirst}>{words.whatTheCoversWouldGive}</PartTitle>
      {shown.map((o, n) => (
        <Row key={o.key} first={n === 0}>
          <View style={{ flex: 1 }}>
            <Text kind="strong">{o.names.length === 0 ? words.nothingOnIt : o.names.join(' + ')}</Text>
            <Text kind="small" tone="quiet">
              {[
                words.thePlan(o.chosen, null),
                words.asItIs(o.current, null),
                words.aboutAtRisk(format.currency, Math.round(o.loss)),
                o.minutes > 0 ? words.min(Math.round(o.minutes)) : null,
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
              label={words.use}
              hint={words.useOn(o.names.join(' + ') || 'nothing', view.bed.name)}
              onPress={() =>
                void decide(
                  'changed',
                  [{ bedId: view.bed.id, key: o.key }],
                  view.clock.window.night,
                  view.clock.nowAtMs,
                  words.planChanged(view.bed.name),
                )
              }
            />
          )}
        </Row>
      ))}
      <View style={{ paddingTop: 8, flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {more > 0 ? (
          <Button
            label={words.showMore(more)}
            hint={words.showMoreStacks(more)}
            onPress={() => setAll(true)}
            testID="all-options"
          />
        ) : null}
        <Button
          kind="plain"
          label={words.leaveThisBedToThe}
          onPress={() =>
            void decide(
              'withdrawn',
              [{ bedId: view.bed.id, key: null }],
              view.clock.window.night,
              view.clock.nowAtMs,
              words.backToThePlan(view.bed.name),
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
      <PartTitle>{words.onTheBedNow}</PartTitle>
      {view.covers.map(({ cover, use, on }, n) => (
        <Row key={`${cover.id} ${cover.use}`} first={n === 0}>
          <Text style={{ flex: 1 }}>
            {words.isOn({ name: cover.name, wayWords: wayWords(cover.use), onWord: on })}
          </Text>
          <Button
            label={words.tookItOffPutIt(on)}
            hint={words.tookItOffPutIt2({ name: cover.name, wayWords: wayWords(cover.use), onWord: on })}
            onPress={() =>
              void act(
                words.offOn({ name: cover.name, onWord: on, name2: view.bed.name }),
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
