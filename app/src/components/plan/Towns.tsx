/** Towns to be near to, for those who do not know their latitude. */
import type { Farm } from '@fogata/contract';
import type { TownRow } from '@fogata/contract/told';
import { measureText } from '@fogata/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useFormat } from '../../data/format';
import { useTowns } from '../../data/hooks';
import { Button } from '../ui/Button';
import { NoteField } from '../ui/Field';
import { Row } from '../ui/Page';
import { Text } from '../ui/Text';
import { towns as words } from '@fogata/words/en/screens/plan';

/** "47.38° north, 8.54° east" */
export const sides = (farm: Pick<Farm, 'latitude' | 'longitude'>) =>
  words.northSouthEastWest({
    abs: Math.abs(farm.latitude).toFixed(2),
    latitude: farm.latitude,
    abs2: Math.abs(farm.longitude).toFixed(2),
    longitude: farm.longitude,
  });

/** A town near by, found as its name is typed. */
export function Towns({ onPick }: { onPick: (town: TownRow) => void }) {
  const format = useFormat();
  const [text, setText] = useState('');
  const { data, error } = useTowns(text);
  const found = text.trim() === '' ? [] : (data ?? []);
  return (
    <View style={{ gap: 6 }}>
      <NoteField
        label={words.aTownNearBy}
        value={text}
        onChange={setText}
        placeholder={words.salamanca}
        testID="town"
      />
      {found.map((t, n) => (
        <Pressable
          key={`${t.name}${t.country}${t.latitude}`}
          role="button"
          aria-label={`${t.name}, ${t.country}`}
          onPress={() => {
            onPick(t);
            setText('');
          }}
        >
          <Row first={n === 0}>
            <View style={{ flex: 1 }}>
              <Text kind="strong">{`${t.name}, ${t.country}`}</Text>
              <Text
                kind="small"
                tone="quiet"
              >{`${sides(t)} · ${measureText(t.elevationM, 'height', format.length, 0)} · ${t.timeZone}`}</Text>
            </View>
          </Row>
        </Pressable>
      ))}
      {text.trim() !== '' && (error || (data && found.length === 0)) ? (
        <Text kind="small" tone="quiet">
          {words.theListOfTownsIs(Boolean(error))}
        </Text>
      ) : null}
    </View>
  );
}

/** "Near Madrid, Spain", to be changed. */
export function NearTown({ town, onPick }: { town: TownRow | null; onPick: (t: TownRow) => void }) {
  const [elsewhere, setElsewhere] = useState(false);
  return (
    <View style={{ gap: 6 }}>
      <Text kind="label" tone="quiet">
        {town ? words.near(town.name, town.country) : words.whereAreYou}
      </Text>
      {town && !elsewhere ? (
        <View style={{ flexDirection: 'row', marginLeft: -8 }}>
          <Button
            kind="plain"
            label={words.somewhereElse}
            onPress={() => setElsewhere(true)}
            testID="elsewhere"
          />
        </View>
      ) : (
        <Towns
          onPick={(t) => {
            onPick(t);
            setElsewhere(false);
          }}
        />
      )}
    </View>
  );
}
