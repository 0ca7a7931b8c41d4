/** What becomes of a crop begun on a day, in the place that is meant: said under the date as it is moved. */
import { Link } from 'expo-router';
import { View } from 'react-native';
import { useSeasonCrop } from '../../data/hooks';
import { Text } from '../ui/Text';
import { dateSentence, dayShort, placeTitle, rowAt } from '@fogata/words/en/screens/seasonWords';
import { dateChance as words } from '@fogata/words/en/screens/season';

export function DateChance({ crop, structureId, date }: { crop: string; structureId: string; date: string }) {
  const { data } = useSeasonCrop(crop === '' ? null : crop, null);
  if (crop === '' || !data || data.crop !== crop) return null;
  // as it would be used: with its sheet on cold nights, where one fits
  const place = data.places.filter((p) => p.structureId === structureId).at(-1);
  if (!place)
    return data.progress.state === 'computing' ? (
      <Text kind="small" tone="quiet" live>
        {words.goingThroughAHundredPlausible}
      </Text>
    ) : null;
  const at = date.slice(5);
  const open = place.windows.filter((w) => w.school === 'risk' && w.earliest && w.latest);
  const spans = open.map((w) => words.to(dayShort(w.earliest!), dayShort(w.latest!))).join(' and ');
  return (
    <View style={{ gap: 4 }} testID="date-chance">
      <Text live>
        {dateSentence(rowAt(place.dates, at), at, data.planted ? 'planted' : 'sown', data.crop)}
      </Text>
      <Text kind="small" tone="quiet">
        {words.onNoDayHereDoes(spans, placeTitle(place))}
      </Text>
      <Link href={`/season/${crop}`}>
        <Text kind="label">{words.itsWholeYear}</Text>
      </Link>
    </View>
  );
}
