/** Places for what can be carried, indoors or lower down. They answer: where could crates stand for a bitter night, how many, and how cold does it get there? */
import {
  countWord,
  isLower,
  nightCOf,
  USUAL_INDOORS_C,
  USUAL_LOWER_K,
  warmerKOf,
  type Cover,
} from '@fogata/core';
import type { KitView } from '@fogata/contract/told';
import { router } from 'expo-router';
import { View } from 'react-native';
import { useFormat, type Format } from '../../data/format';
import { Button } from '../ui/Button';
import { NoteField } from '../ui/Field';
import { useBeds } from '../../data/hooks';
import { Amount, Choose, Degrees } from '../ui/Fields';
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
      <PartTitle>Indoors and lower down</PartTitle>
      {places.length === 0 ? (
        <Text tone="quiet" style={{ paddingBottom: 8 }}>
          Crates and pots can be carried in before a bitter night, or set down on the floor, if the plan knows
          where to and how many fit.
        </Text>
      ) : null}
      {places.map((p, n) => (
        <Row key={p.id} first={n === 0}>
          <View style={{ flex: 1 }} testID="place-indoors">
            <Text kind="strong">{p.name}</Text>
            <Text
              kind="small"
              tone="quiet"
            >{`room for ${countWord(p.count)} crates · ${isLower(p) ? `${format.diff(warmerKOf(p))} against the bench` : `down to ${format.t(nightCOf(p), 0)} at night`}`}</Text>
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
          label="Add a place for crates"
          onPress={() => router.push('/cover/indoors')}
          testID="add-indoors"
        />
      </View>
    </>
  );
}

const floorOf = (house: string) => `Floor of ${house}`;

export function IndoorsFields({
  place,
  onChange,
}: {
  place: Cover;
  onChange: (more: Partial<Cover>) => void;
}) {
  const { data } = useBeds();
  const format = useFormat();
  const benches = (data?.structures ?? []).filter((s) => s.beds.some((b) => b.bed.crates));
  const lower = isLower(place);
  return (
    <>
      <NoteField
        label="Name"
        value={place.name}
        onChange={(name) => onChange({ name })}
        testID="cover-name"
      />
      {benches.length > 0 ? (
        <Choose
          label="What it is"
          value={place.lowerIn ?? ''}
          options={[
            { value: '', label: 'a room' },
            ...benches.map((s) => ({ value: s.structure.id, label: `lower down in ${s.structure.name}` })),
          ]}
          // a name of one's own stays
          onChange={(id) => {
            const names = ['Packing room', ...benches.map((b) => floorOf(b.structure.name))];
            const { name } = benches.find((b) => b.structure.id === id)?.structure ?? {};
            const named = name === undefined ? 'Packing room' : floorOf(name);
            onChange({
              lowerIn: id === '' ? null : id,
              ...(names.includes(place.name) ? { name: named } : {}),
            });
          }}
          note="Lower down: under the bench or on the floor of the same house, for crates that stand there."
        />
      ) : null}
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
      {lower ? (
        <Degrees
          difference
          label="Warmer there than on the bench"
          min={0}
          max={8}
          step={0.5}
          value={warmerKOf(place)}
          onChange={(warmerK) => onChange({ warmerK })}
          note={`Lay a thermometer there and one on the bench for a clear night. Until then ${format.diff(USUAL_LOWER_K)} is a starting value.`}
        />
      ) : (
        <Degrees
          label="The coldest it gets there in a night"
          min={-10}
          max={30}
          value={nightCOf(place)}
          onChange={(nightC) => onChange({ nightC })}
          note="As you know it, or as a thermometer left there shows: the plan takes your word for it."
        />
      )}
      <Amount
        label={lower ? 'Minutes to set one down' : 'Minutes to carry one in'}
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
        {lower
          ? '▲ It is dark and damp down there: up again by day. Keep the paths clear. Heavy crates are for two.'
          : '▲ Not beside a heater that burns: carbon monoxide, and dry heat on cold leaves. Heavy crates are for two.'}
      </Text>
    </>
  );
}
