/** The frame of every screen: the bars, the tabs (below on a phone, at the left when wide), shortcuts by key. */
import { Link, router, usePathname } from 'expo-router';
import BedDouble from 'lucide-react-native/icons/rows-3';
import BookOpen from 'lucide-react-native/icons/book-open';
import Layers from 'lucide-react-native/icons/layers';
import Flame from 'lucide-react-native/icons/flame';
import Sprout from 'lucide-react-native/icons/sprout';
import { useEffect, useState, type ReactNode } from 'react';
import { Pressable, StyleSheet, useWindowDimensions, View } from 'react-native';
import { pressByKey } from '../../data/keys';
import { takeBack } from '../../data/undo';
import { useTheme } from '../../theme/theme';
import { WIDE } from '../../theme/tokens';
import { ConnectionBar, UndoBar } from './Bars';
import { PasscodeGate } from './PasscodeGate';
import { Text } from './Text';
import { frame as words } from '@fogata/words/en/screens/ui';

const TABS = [
  {
    href: '/',
    label: words.now,
    Icon: Flame,
    match: (p: string) => p === '/' || p === '/ahead' || p.startsWith('/place/'),
  },
  {
    href: '/beds',
    label: words.beds,
    Icon: BedDouble,
    match: (p: string) => /^\/(beds|planting|structure|bed|plan)(\/|$)/.test(p),
  },
  {
    href: '/season',
    label: words.season,
    Icon: Sprout,
    match: (p: string) => /^\/(season|story|board)(\/|$)/.test(p),
  },
  {
    href: '/log',
    label: words.log,
    Icon: BookOpen,
    match: (p: string) => p.startsWith('/log') || p.startsWith('/night'),
  },
  {
    href: '/kit',
    label: words.kit,
    Icon: Layers,
    match: (p: string) => /^\/(kit|settings|import|site|cover|cut|calc|files)(\/|$)/.test(p),
  },
] as const;

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE;
}

const SHORTCUTS: [string, string][] = [
  [words.words1To5, words.nowBedsSeasonLogKit],
  ['N', words.aNewNote],
  ['U', words.takeTheLastActBack],
  [words.spaceEnter, words.tickOpen],
  ['arrows', words.amongChoicesDownATable],
  ['?', words.thisList],
  [words.esc, 'back'],
];

function useShortcuts(toggleHelp: () => void, closeHelp: () => boolean): void {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const target = e.target as HTMLElement | null;
      if (e.ctrlKey || e.metaKey || e.altKey) return;
      if (target && /INPUT|TEXTAREA|SELECT/.test(target.tagName)) {
        // out of the field first: the next one goes back
        if (e.key === 'Escape') target.blur();
        return;
      }
      const tab = TABS[Number(e.key) - 1];
      if (tab) router.navigate(tab.href);
      else if (e.key === 'n') router.navigate('/log?note=new');
      else if (e.key === 'u') void takeBack();
      else if (e.key === '?') toggleHelp();
      else if (e.key === 'Escape') {
        if (!closeHelp() && router.canGoBack()) router.back();
      } else return;
      e.preventDefault();
    };
    // before the thing itself, which keeps the key to itself
    const onThing = (e: KeyboardEvent) => void pressByKey(e);
    globalThis.addEventListener?.('keydown', onThing, true);
    globalThis.addEventListener?.('keydown', onKey);
    return () => {
      globalThis.removeEventListener?.('keydown', onThing, true);
      globalThis.removeEventListener?.('keydown', onKey);
    };
  }, [toggleHelp, closeHelp]);
}

export function Frame({ children }: { children: ReactNode }) {
  const theme = useTheme();
  const wide = useWide();
  const path = usePathname();
  const [help, setHelp] = useState(false);
  useShortcuts(
    () => setHelp((h) => !h),
    () => {
      setHelp(false);
      return help;
    },
  );
  const tabs = TABS.map(({ href, label, Icon, match }) => {
    const on = match(path);
    return (
      <Link key={href} href={href} asChild>
        <Pressable
          role="link"
          aria-label={label}
          aria-current={on ? 'page' : undefined}
          style={wide ? styles.railTab : styles.tab}
          testID={`tab-${label}`}
        >
          <View
            style={[
              wide ? styles.railMark : styles.mark,
              { backgroundColor: on ? theme.emberFill : 'transparent' },
            ]}
          />
          <Icon size={22} color={on ? theme.ink : theme.quiet} aria-hidden />
          <Text kind="label" tone={on ? 'ink' : 'quiet'}>
            {label}
          </Text>
        </Pressable>
      </Link>
    );
  });
  return (
    <View style={[styles.fill, { backgroundColor: theme.ground, flexDirection: wide ? 'row' : 'column' }]}>
      {wide ? (
        <View
          role="navigation"
          aria-label={words.screens}
          style={[styles.rail, { borderColor: theme.hairline }]}
        >
          {tabs}
        </View>
      ) : null}
      <View style={styles.fill}>
        <ConnectionBar />
        <View role="main" style={styles.fill}>
          <PasscodeGate>{children}</PasscodeGate>
        </View>
        <UndoBar />
      </View>
      {wide ? null : (
        <View
          role="navigation"
          aria-label={words.screens}
          style={[styles.tabs, { borderColor: theme.hairline, backgroundColor: theme.raised }]}
        >
          {tabs}
        </View>
      )}
      {help ? (
        <Pressable
          role="dialog"
          aria-label={words.keys}
          aria-modal
          onPress={() => setHelp(false)}
          style={[styles.help, { backgroundColor: theme.raised, borderColor: theme.ink }]}
        >
          <Text kind="title" heading={2}>
            {words.keys}
          </Text>
          {SHORTCUTS.map(([key, what]) => (
            <View key={key} style={{ flexDirection: 'row', gap: 16 }}>
              <Text kind="label" style={{ width: 80 }}>
                {key}
              </Text>
              <Text>{what}</Text>
            </View>
          ))}
        </Pressable>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  fill: { flex: 1, minHeight: 0, minWidth: 0 },
  tabs: { flexDirection: 'row', borderTopWidth: 1 },
  tab: { flex: 1, alignItems: 'center', justifyContent: 'center', minHeight: 62, gap: 1 },
  mark: { position: 'absolute', top: -1, height: 3, width: '54%' },
  rail: { width: 84, borderRightWidth: 1, paddingTop: 18, gap: 4 },
  railTab: { alignItems: 'center', justifyContent: 'center', minHeight: 72, gap: 2 },
  railMark: { position: 'absolute', left: 0, width: 3, top: 8, bottom: 8 },
  help: {
    position: 'absolute',
    top: '20%',
    alignSelf: 'center',
    left: '50%',
    marginLeft: -180,
    width: 360,
    padding: 24,
    gap: 8,
    borderWidth: 1.5,
  },
});
