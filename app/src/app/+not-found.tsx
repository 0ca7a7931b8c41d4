import { router } from 'expo-router';
import { Button } from '../components/ui/Button';
import { Page } from '../components/ui/Page';
import { Text } from '../components/ui/Text';

export default function NotFound() {
  return (
    <Page>
      <Text kind="title" heading={1}>
        There is nothing at this address.
      </Text>
      <Button label="Go to Now" kind="main" onPress={() => router.replace('/')} />
    </Page>
  );
}
