import { router, useLocalSearchParams } from 'expo-router';
import { Button } from '../../components/ui/Button';
import { Page, TopLine } from '../../components/ui/Page';
import { Text } from '../../components/ui/Text';
import { later } from '../../data/later';
import { night as words } from '@fogata/words/en/screens/data';

const NightScreen = later(() => import('../../screens/others').then((screen) => screen.NightScreen));

export default function Night() {
  const { night } = useLocalSearchParams<{ night: string }>();
  if (!/^\d{4}-\d{2}-\d{2}$/.test(night) || Number.isNaN(Date.parse(night)))
    return (
      <Page testID="night">
        <TopLine back={words.log} />
        <Text kind="title" heading={1}>
          {words.thereIsNoNight(night.slice(0, 40))}
        </Text>
        <Text style={{ paddingVertical: 8 }}>{words.aNightIsNamedBy}</Text>
        <Button label={words.goToTheLog} kind="main" onPress={() => router.replace('/log')} />
      </Page>
    );
  return <NightScreen night={night} key={night} />;
}
