/** Now where there is nothing to say yet: an empty farm, or no forecast of the night. Each offers the quickest way on first. */
import { router } from 'expo-router';
import { View } from 'react-native';
import { Button } from '../ui/Button';
import { Text } from '../ui/Text';
import { nothingYet as words } from '@fogata/words/en/screens/night';

export function Empty() {
  return (
    <View style={{ gap: 12, paddingTop: 16 }} testID="empty-farm">
      <Text>{words.askAboutOneBedFirst}</Text>
      <Button
        wide
        kind="main"
        label={words.willItStandTonight}
        onPress={() => router.push('/ask')}
        testID="open-ask"
      />
      <Button
        wide
        label={words.startFromAFarmLike}
        onPress={() => router.push('/start')}
        testID="open-start"
      />
      <Text>{words.orPieceByPieceTo}</Text>
      <Button wide label={words.setThePlace} onPress={() => router.push('/site')} />
      <Button wide label={words.addAStructure} onPress={() => router.push('/structure/new')} />
      <Button wide label={words.seeYourBeds} onPress={() => router.push('/beds')} />
    </View>
  );
}

/** No forecast reaches through the night: it is asked for, the quickest way first. */
export function Tell({ told }: { told: boolean }) {
  if (told)
    return (
      <View style={{ flexDirection: 'row', paddingTop: 8 }} testID="tell-weather">
        <Button label={words.seeOrChangeTonightsWeather} onPress={() => router.push('/forecast')} />
      </View>
    );
  return (
    <View style={{ gap: 12, paddingTop: 16 }} testID="tell-weather">
      <Text>{words.lowestHighestWindAndSky}</Text>
      <Button
        wide
        kind="main"
        label={words.tellTonightsWeather}
        onPress={() => router.push('/forecast')}
        testID="tell-forecast"
      />
      <Button wide label={words.bringATableOfHours} onPress={() => router.push('/import')} />
    </View>
  );
}
