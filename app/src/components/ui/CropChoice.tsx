/** One crop of many: typed at, then tapped. */
import { useState } from 'react';
import { View } from 'react-native';
import { Choice } from './Button';
import { NoteField } from './Field';
import { Text } from './Text';
import { cropChoice as words } from '@fogata/words/en/screens/ui';

export interface CropOffer {
  id: string;
  name: string;
}

export function CropChoice({
  crops,
  value,
  onChange,
  placeholder = 'lettuce',
}: {
  crops: readonly CropOffer[];
  value: string;
  onChange: (id: string) => void;
  placeholder?: string;
}) {
  const [search, setSearch] = useState('');
  const wanted = search.toLowerCase().trim();
  const found = crops.filter((c) => c.name.toLowerCase().includes(wanted));
  // what is chosen stands first while nothing is looked for
  const shown =
    wanted === '' && value
      ? [...found.filter((c) => c.id === value), ...found.filter((c) => c.id !== value)].slice(0, 8)
      : found.slice(0, 10);
  return (
    <View style={{ gap: 8 }}>
      <NoteField
        label={words.findACrop}
        value={search}
        onChange={setSearch}
        placeholder={placeholder}
        testID="crop-search"
      />
      <Choice
        label={words.crop}
        value={value}
        options={shown.map((c) => ({ value: c.id, label: c.name }))}
        onChange={onChange}
      />
      {found.length === 0 && wanted !== '' ? (
        <Text kind="small" tone="ochre">
          {words.noCropIsCalledIt(search)}
        </Text>
      ) : null}
    </View>
  );
}
