/**
 * A screen fetched when it is first opened, so that Now does not wait for what it does not show.
 * In: how to fetch the module and which of its components is meant. Out: that component, with the same props.
 * A fetch that fails says so and is tried again by a tap; nothing else on the page is lost.
 */
import { Component, lazy, Suspense, useEffect, useState, type ComponentType, type ReactNode } from 'react';
import { View } from 'react-native';
import { Button } from '../components/ui/Button';
import { Page } from '../components/ui/Page';
import { Text } from '../components/ui/Text';
import { later as words } from '@fogata/words/en/screens/data';

class Caught extends Component<{ children: ReactNode; otherwise: ReactNode }, { failed: boolean }> {
  override state = { failed: false };
  static getDerivedStateFromError(error: unknown): { failed: boolean } {
    // only a screen that could not be fetched is ours to mend; a fault of its own goes on up
    if (!(error instanceof NotFetched)) throw error;
    return { failed: true };
  }
  override render(): ReactNode {
    return this.state.failed ? this.props.otherwise : this.props.children;
  }
}

class NotFetched extends Error {}

export function later<P extends object>(fetchIt: () => Promise<ComponentType<P>>): ComponentType<P> {
  const make = () =>
    lazy(async () => {
      try {
        return { default: await fetchIt() };
      } catch (cause) {
        throw new NotFetched(words.thisScreenCouldNotBe, { cause });
      }
    });
  let Fetched = make();
  return function Later(props: P) {
    const [tries, setTries] = useState(0);
    const again = () => {
      Fetched = make();
      setTries(tries + 1);
    };
    return (
      <Caught key={tries} otherwise={<NotHere onRetry={again} />}>
        <Suspense fallback={<Opening />}>
          <Fetched {...props} />
        </Suspense>
      </Caught>
    );
  };
}

function NotHere({ onRetry }: { onRetry: () => void }) {
  return (
    <Page>
      <Text kind="title" heading={1}>
        {words.thisPageHasNotReached}
      </Text>
      <Text style={{ paddingVertical: 8 }}>{words.itIsFetchedOnceWhere}</Text>
      <Button label={words.tryAgain} kind="main" onPress={onRetry} />
    </Page>
  );
}

/** Nothing for half a second, which is nearly always enough; then a word. */
function Opening() {
  const [slow, setSlow] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setSlow(true), 500);
    return () => clearTimeout(timer);
  }, []);
  return (
    <View role="status" aria-busy style={{ padding: 16 }}>
      {slow ? <Text tone="quiet">{words.opening}</Text> : null}
    </View>
  );
}
