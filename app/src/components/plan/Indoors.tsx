/** Places indoors for what can be carried. They answer: where could crates stand for a bitter night, how many, and how cold does it get there? */
import { countWord, nightCOf, USUAL_INDOORS_C, type Cover } from '@fogata/core';
import type { KitView } from '@fogata/contract';
import { router } from 'expo-router';
import { View } from 'react-native';
import type { Format } from '../../data/format';
import { Button } from '../ui/Button';
import { NoteField } from '../ui/Field';
import { Amount, Degrees } from '../ui/Fields';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';

/** One that is new, named as most farms have one. */
export const newPlace = (id: string): Cover => ({
  id,
  name: 'Packing room',
  use: 'indoors',
  count: 10,
  minutes: 0.5,
  nightC: USUAL_INDOORS_C,
  order: 200,
  // of no account: it is not laid
  material: 'tarp',
  plies: 1,
  lengthM: 1,
  widthM: 1,
});

export function PlacesIndoors({ places, format }: { places: KitView['covers']; format: Format }) {
  return (
    <>
      <PartTitle>Indoors</PartTitle>
      {places.length === 0 ? (
        <Text tone="quiet" style={{ paddingBottom: 8 }}>
          Crates and pots can be carried in before a bitter night, if the plan knows where to and how many
          fit.
        </Text>
      ) : null}
      {places.map((p, n) => (
        <Row key={p.id} first={n === 0}>
          <View style={{ flex: 1 }} testID="place-indoors">
            <Text kind="strong">{p.name}</Text>
            <Text
              kind="small"
              tone="quiet"
            >{`room for ${countWord(p.count)} crates · down to ${format.t(nightCOf(p), 0)} at night`}</Text>
            {p.beds.length > 0 ? (
              <Text kind="small" tone="ember">{`in it: ${p.beds.join(', ')}`}</Text>
            ) : null}
          </View>
          <Button
            kind="plain"
            label="Change"
            hint={`Change ${p.name}`}
            onPress={() => router.push(`/cover/${p.id}`)}
          />
        </Row>
      ))}
      <View style={{ flexDirection: 'row', paddingTop: 8 }}>
        <Button
          label="Add a place indoors"
          onPress={() => router.push('/cover/indoors')}
          testID="add-indoors"
        />
      </View>
    </>
  );
}

export function IndoorsFields({
  place,
  onChange,
}: {
  place: Cover;
  onChange: (more: Partial<Cover>) => void;
}) {
  return (
    <>
      <NoteField
        label="Name"
        value={place.name}
        onChange={(name) => onChange({ name })}
        testID="cover-name"
      />
      <Amount
        label="Crates that it has room for"
        value={place.count}
        onChange={(count) => onChange({ count })}
        unit="crates"
        bigStep={5}
        min={0}
        max={999}
        note="A bed of crates goes in whole or not at all: part a long bench into two beds where half of it would do."
        testID="cover-count"
      />
      <Degrees
        label="The coldest it gets there in a night"
        min={-10}
        max={30}
        value={nightCOf(place)}
        onChange={(nightC) => onChange({ nightC })}
        note="As you know it, or as a thermometer left there shows: the plan takes your word for it."
      />
      <Amount
        label="Minutes to carry one in"
        value={place.minutes}
        onChange={(minutes) => onChange({ minutes })}
        unit="min"
        step={0.1}
        digits={1}
        bigStep={1}
        min={0}
        max={60}
      />
      <Text kind="small" tone="ochre">
        ▲ Not beside a heater that burns: carbon monoxide, and dry heat on cold leaves. Heavy crates are for
        two.
      </Text>
    </>
  );
}
