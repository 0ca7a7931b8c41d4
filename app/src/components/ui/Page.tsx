/** A screen's page: header line, content that scrolls, one column on a phone and a readable measure when wide. */
import { router } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { useFormat } from '../../data/format';
import { useFarm } from '../../data/hooks';
import { useTheme } from '../../theme/theme';
import { TOUCH } from '../../theme/tokens';
import { Text } from './Text';
import { page as words } from '@fogata/words/en/screens/ui';

export function TopLine({ back, left, right }: { back?: string; left?: string; right?: string }) {
  const { data } = useFarm();
  const format = useFormat();
  const when = data ? `${format.day(data.clock.nowAtMs)} · ${format.time(data.clock.nowAtMs)}` : '';
  return (
    <View style={styles.top}>
      {back ? (
        <Pressable
          role="link"
          aria-label={words.backTo(back)}
          onPress={() => (router.canGoBack() ? router.back() : router.replace('/'))}
          style={styles.back}
          testID="back"
        >
          <Text kind="label" tone="quiet">{`‹ ${back}`}</Text>
        </Pressable>
      ) : (
        <Text kind="label" tone="quiet">
          {left ?? data?.farm.name ?? words.fogata}
        </Text>
      )}
      <Text kind="label" tone="quiet" testID="clock">
        {right ?? when}
      </Text>
    </View>
  );
}

export function Page({
  children,
  testID,
  width = 640,
}: {
  children: ReactNode;
  testID?: string;
  width?: number;
}) {
  return (
    <ScrollView
      style={{ flex: 1 }}
      contentContainerStyle={[styles.page, { maxWidth: width }]}
      testID={testID}
      tabIndex={0}
    >
      {children}
    </ScrollView>
  );
}

/** A row between hairlines. */
export function Row({
  children,
  first = false,
  style,
}: {
  children: ReactNode;
  first?: boolean;
  style?: object;
}) {
  const theme = useTheme();
  return (
    <View style={[styles.row, { borderColor: theme.hairline, borderTopWidth: first ? 1 : 0 }, style]}>
      {children}
    </View>
  );
}

export function Loading({ what }: { what: string }) {
  return (
    <View style={{ paddingVertical: 24 }} role="status">
      <Text tone="quiet">{`${what}…`}</Text>
    </View>
  );
}

const styles = StyleSheet.create({
  top: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'center',
    minHeight: 40,
    gap: 12,
  },
  back: { minHeight: TOUCH, minWidth: TOUCH, justifyContent: 'center', paddingRight: 16 },
  page: { paddingHorizontal: 18, paddingTop: 8, paddingBottom: 32, width: '100%' },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    borderBottomWidth: 1,
    minHeight: 60,
    gap: 12,
    paddingVertical: 8,
  },
});
