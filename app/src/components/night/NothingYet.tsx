/** Now where there is nothing to say yet: an empty farm, or no forecast of the night. Each offers the quickest way on first. */
import { router } from 'expo-router';
import { View } from 'react-native';
import { Button } from '../ui/Button';
import { Text } from '../ui/Text';

export function Empty() {
  return (
    <View style={{ gap: 12, paddingTop: 16 }} testID="empty-farm">
      <Text>
        Ask about one bed first: what is over it, what grows there, how cold it gets. It takes a dozen taps,
        and what you said can stay as your first bed.
      </Text>
      <Button
        wide
        kind="main"
        label="Will it stand tonight?"
        onPress={() => router.push('/ask')}
        testID="open-ask"
      />
      <Button
        wide
        label="Start from a farm like yours"
        onPress={() => router.push('/start')}
        testID="open-start"
      />
      <Text>
        Or piece by piece. To plan the whole farm Fogata needs three things: where it is, what stands on it,
        and what covers you own.
      </Text>
      <Button wide label="Set the place" onPress={() => router.push('/site')} />
      <Button wide label="Add a structure" onPress={() => router.push('/structure/new')} />
      <Button wide label="See your beds" onPress={() => router.push('/beds')} />
    </View>
  );
}

/** No forecast reaches through the night: it is asked for, the quickest way first. */
export function Tell({ told }: { told: boolean }) {
  if (told)
    return (
      <View style={{ flexDirection: 'row', paddingTop: 8 }} testID="tell-weather">
        <Button label="See or change tonight’s weather" onPress={() => router.push('/forecast')} />
      </View>
    );
  return (
    <View style={{ gap: 12, paddingTop: 16 }} testID="tell-weather">
      <Text>
        Lowest, highest, wind and sky are enough; it takes twenty seconds. Until then no figure of the night
        is shown.
      </Text>
      <Button
        wide
        kind="main"
        label="Tell tonight’s weather"
        onPress={() => router.push('/forecast')}
        testID="tell-forecast"
      />
      <Button wide label="Bring a table of hours" onPress={() => router.push('/import')} />
    </View>
  );
}
