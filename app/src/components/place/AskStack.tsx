/**
 * What is over a bed, drawn large: the outermost arc is what stands there, the middle one what is put over it, the inner one
 * what lies on the leaves. A tap on an arc goes on to the next of its kind; what is there is full, what is not is thin.
 */
import { MIDDLE, onHoops, OUTER, type Middle, type Outer } from '@fogata/core';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Circle, Line, Path, Rect } from 'react-native-svg';
import { useTheme } from '../../theme/theme';
import { Text } from '../ui/Text';
import { askStack as texts } from '@fogata/words/en/screens/ask';

export const OUTER_WORDS: Record<Outer, string> = {
  none: texts.nothingStandsOverIt,
  'film-house': texts.aFilmHouse,
  glasshouse: texts.aGlasshouse,
  'cold-frame': texts.aColdFrame,
  'low-tunnel': texts.aLowTunnel,
};
export const middleWords = (m: Middle, outer: Outer): string =>
  m === 'none'
    ? texts.nothingOnHoopsOverThat(onHoops(outer))
    : texts.onHoopsOverThat(
        { fleece: 'fleece', blanket: texts.aFrostBlanket, film: 'film' }[m],
        onHoops(outer),
      );
export const laidWords = (laid: boolean): string => texts.lightFleeceOnTheLeaves(laid);

export interface Over {
  outer: Outer;
  middle: Middle;
  laid: boolean;
}

const next = <T,>(list: readonly T[], now: T): T => list[(list.indexOf(now) + 1) % list.length]!;
const WIDTH = 300;
const HEIGHT = 176;
const GROUND = 160;

const arc = (rx: number, ry: number) =>
  `M${WIDTH / 2 - rx} ${GROUND}A${rx} ${ry} 0 0 1 ${WIDTH / 2 + rx} ${GROUND}`;

function outerPath(outer: Outer): string {
  const c = WIDTH / 2;
  if (outer === 'glasshouse') return `M${c - 140} ${GROUND}V70L${c} 14L${c + 140} 70V${GROUND}`;
  if (outer === 'cold-frame') return `M${c - 140} ${GROUND}V48L${c + 140} 26V${GROUND}`;
  return arc(140, 146);
}

/** One arc as a thing to press: its row of the drawing, and its words. */
function Press({
  top,
  words,
  what,
  onPress,
  testID,
}: {
  top: number;
  words: string;
  what: string;
  onPress: () => void;
  testID: string;
}) {
  return (
    <Pressable
      role="button"
      aria-label={texts.changeIt(what, words)}
      onPress={onPress}
      testID={testID}
      style={({ pressed }) => [styles.press, { top }, pressed && { opacity: 0.6 }]}
    >
      <Text kind="label" style={styles.words}>
        {words}
      </Text>
    </Pressable>
  );
}

export function AskStack({ over, onChange }: { over: Over; onChange: (o: Partial<Over>) => void }) {
  const theme = useTheme();
  const line = (on: boolean) => ({
    fill: 'none' as const,
    stroke: on ? theme.ink : theme.quiet,
    strokeWidth: on ? 3.5 : 1,
    strokeDasharray: on ? undefined : '3 4',
  });
  return (
    <View style={styles.drawing} testID="ask-stack">
      <Svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
        <Rect x={0} y={GROUND} width={WIDTH} height={HEIGHT - GROUND} fill={theme.raised} />
        <Path d={outerPath(over.outer)} {...line(over.outer !== 'none')} />
        <Path d={arc(112, 98)} {...line(over.middle !== 'none')} />
        <Path d={arc(84, 50)} {...line(over.laid)} />
        <Line x1={0} y1={GROUND} x2={WIDTH} y2={GROUND} stroke={theme.ink} strokeWidth={1.6} />
        <Circle cx={WIDTH / 2} cy={GROUND} r={9} fill={theme.emberFill} />
      </Svg>
      <Press
        top={6}
        what={texts.overTheBed}
        words={OUTER_WORDS[over.outer]}
        onPress={() => onChange({ outer: next(OUTER, over.outer) })}
        testID="arc-outer"
      />
      <Press
        top={56}
        what={texts.besides}
        words={middleWords(over.middle, over.outer)}
        onPress={() => onChange({ middle: next(MIDDLE, over.middle) })}
        testID="arc-middle"
      />
      <Press
        top={106}
        what={texts.onTheLeaves}
        words={laidWords(over.laid)}
        onPress={() => onChange({ laid: !over.laid })}
        testID="arc-laid"
      />
    </View>
  );
}

const styles = StyleSheet.create({
  drawing: { width: WIDTH, height: HEIGHT, alignSelf: 'center' },
  press: {
    position: 'absolute',
    left: 0,
    right: 0,
    height: 48,
    alignItems: 'center',
    justifyContent: 'center',
  },
  words: { paddingHorizontal: 8, textDecorationLine: 'underline', textAlign: 'center' },
});
