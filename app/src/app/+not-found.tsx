import { router } from 'expo-router';
import { Button } from '../components/Button';
import { Page } from '../components/Page';
import { Text } from '../components/Text';

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
