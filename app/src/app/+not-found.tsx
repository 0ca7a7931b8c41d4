import { router } from 'expo-router';
import { Button } from '../components/ui/Button';
import { Page } from '../components/ui/Page';
import { Text } from '../components/ui/Text';
import { notFound as words } from '@fogata/words/en/screens/data';

export default function NotFound() {
  return (
    <Page>
      <Text kind="title" heading={1}>
        {words.thereIsNothingAtThis}
      </Text>
      <Button label={words.goToNow} kind="main" onPress={() => router.replace('/')} />
    </Page>
  );
}
