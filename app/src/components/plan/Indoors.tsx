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
import { indoors as words } from '@fogata/words/en/screens/covers';

/** One that is new, named as most farms have one. */
export const newPlace = (id: string): Cover => ({
  id,
  name: words.packingRoom,
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
      <PartTitle>{words.indoorsAndLowerDown}</PartTitle>
      {places.length === 0 ? (
        <Text tone="quiet" style={{ paddingBottom: 8 }}>
          {words.cratesAndPotsCanBe}
        </Text>
      ) : null}
      {places.map((p, n) => (
        <Row key={p.id} first={n === 0}>
          <View style={{ flex: 1 }} testID="place-indoors">
            <Text kind="strong">{p.name}</Text>
            <Text kind="small" tone="quiet">
              {words.roomForCrates(
                countWord(p.count),
                isLower(p)
                  ? words.againstTheBench(format.diff(warmerKOf(p)))
                  : words.downToAtNight(format.t(nightCOf(p), 0)),
              )}
            </Text>
            {p.beds.length > 0 ? (
              <Text kind="small" tone="ember">
                {words.inIt(p.beds.join(', '))}
              </Text>
            ) : null}
          </View>
          <Button
            kind="plain"
            label={words.change}
            hint={words.change2(p.name)}
            onPress={() => router.push(`/cover/${p.id}`)}
          />
        </Row>
      ))}
      <View style={{ flexDirection: 'row', paddingTop: 8 }}>
        <Button
          label={words.addAPlaceForCrates}
          onPress={() => router.push('/cover/indoors')}
          testID="add-indoors"
        />
      </View>
    </>
  );
}

const floorOf = (house: string) => words.floorOf(house);

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
        label={words.name}
        value={place.name}
        onChange={(name) => onChange({ name })}
        testID="cover-name"
      />
      {benches.length > 0 ? (
        <Choose
          label={words.whatItIs}
          value={place.lowerIn ?? ''}
          options={[
            { value: '', label: words.aRoom },
            ...benches.map((s) => ({ value: s.structure.id, label: words.lowerDownIn(s.structure.name) })),
          ]}
          // a name of one's own stays
          onChange={(id) => {
            const names = [words.packingRoom, ...benches.map((b) => floorOf(b.structure.name))];
            const { name } = benches.find((b) => b.structure.id === id)?.structure ?? {};
            const named = name === undefined ? words.packingRoom : floorOf(name);
            onChange({
              lowerIn: id === '' ? null : id,
              ...(names.includes(place.name) ? { name: named } : {}),
            });
          }}
          note={words.lowerDownUnderTheBench}
        />
      ) : null}
      <Amount
        label={words.cratesThatItHasRoom}
        value={place.count}
        onChange={(count) => onChange({ count })}
        unit={words.crates}
        bigStep={5}
        min={0}
        max={999}
        note={words.aBedOfCratesGoes}
        testID="cover-count"
      />
      {lower ? (
        <Degrees
          difference
          label={words.warmerThereThanOnThe}
          min={0}
          max={8}
          step={0.5}
          value={warmerKOf(place)}
          onChange={(warmerK) => onChange({ warmerK })}
          note={words.layAThermometerThereAnd(format.diff(USUAL_LOWER_K))}
        />
      ) : (
        <Degrees
          label={words.theColdestItGetsThere}
          min={-10}
          max={30}
          value={nightCOf(place)}
          onChange={(nightC) => onChange({ nightC })}
          note={words.asYouKnowItOr}
        />
      )}
      <Amount
        label={words.minutesToSetOneDown(lower)}
        value={place.minutes}
        onChange={(minutes) => onChange({ minutes })}
        unit={words.min}
        step={0.1}
        digits={1}
        bigStep={1}
        min={0}
        max={60}
      />
      <Text kind="small" tone="ochre">
        {words.itIsDarkAndDamp(lower)}
      </Text>
    </>
  );
}
