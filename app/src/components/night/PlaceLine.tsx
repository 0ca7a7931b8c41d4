/** One place in the list: its stack, what stands there and what the night does to it, its lowest leaf temperature. */
import type { PlaceRow } from '@fogata/contract/told';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Format } from '../../data/format';
import { useTheme } from '../../theme/theme';
import { StackGlyph } from '../place/StackGlyph';
import { Text } from '../ui/Text';
import { placeLine as texts } from '@fogata/words/en/screens/night';

export function PlaceLine({
  place,
  format,
  onPress,
  chosen = false,
  first = false,
}: {
  place: PlaceRow;
  format: Format;
  onPress: () => void;
  chosen?: boolean;
  first?: boolean;
}) {
  const theme = useTheme();
  const hurt = place.marginK < 0;
  const words = texts.leaf({
    name: place.name,
    crop: place.crop,
    mid: format.t(place.leafC.mid),
    verdict: place.verdict,
  });
  return (
    <Pressable
      role="link"
      aria-label={words}
      onPress={onPress}
      testID="place-line"
      style={({ pressed }) => [
        styles.row,
        {
          borderColor: theme.hairline,
          borderTopWidth: first ? 1 : 0,
          backgroundColor: chosen ? theme.raised : 'transparent',
        },
        pressed && { opacity: 0.7 },
      ]}
    >
      <StackGlyph layers={place.stack} size={40} />
      <View style={{ flex: 1 }}>
        <Text kind="strong">{place.name}</Text>
        <Text kind="small" tone="quiet">
          {`${place.crop} · `}
          <Text
            kind="small"
            tone={hurt ? 'frost' : place.marginK < 1 ? 'ochre' : 'quiet'}
          >{`${hurt ? '▼ ' : place.marginK < 1 ? '▲ ' : ''}${place.verdict}`}</Text>
          {texts.harmBelow(format.t(place.harmC))}
        </Text>
      </View>
      <View style={{ alignItems: 'flex-end' }}>
        <Text kind="figure" tone={hurt ? 'frost' : 'ink'}>
          {format.t(place.leafC.mid)}
        </Text>
        <Text kind="small" tone="quiet">
          {format.range(place.leafC.low, place.leafC.high)}
        </Text>
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    minHeight: 66,
    borderBottomWidth: 1,
    paddingVertical: 8,
  },
});
