/** Two stacks side by side: the one that is held and the one that is switched, with what each leads to and costs. */
import type { GlyphLayer } from '@fogata/contract/told';
import { StyleSheet, View } from 'react-native';
import type { Format } from '../../data/format';
import { useTheme } from '../../theme/theme';
import type { TryResult } from '../../worker/whatIf';
import { Button } from '../ui/Button';
import { Curves } from '../ui/Curves';
import { PartTitle, Text } from '../ui/Text';
import { StackGlyph } from './StackGlyph';
import { compareStacks as words } from '@fogata/words/en/screens/trial';

export interface Side {
  title: string;
  glyph: GlyphLayer[];
  covers: string;
  minutes: number;
  result: TryResult;
}

interface Line {
  what: string;
  of: (s: Side) => string;
  /** Shown where the two differ: the right one less the left one. */
  less?: (a: Side, b: Side) => string;
}

function linesFor(format: Format): Line[] {
  const dawn = (s: Side) => s.result.soil5C[s.result.minIndex]!;
  const max = (s: Side) => s.result.canopyC[s.result.maxIndex]!;
  const diff = (of: (s: Side) => number) => (a: Side, b: Side) => format.diff(of(b) - of(a));
  return [
    {
      what: words.leafAtItsColdest,
      of: (s) => format.t(s.result.minLeafC),
      less: diff((s) => s.result.minLeafC),
    },
    { what: words.hoursFrozen, of: (s) => `${s.result.frozenH} h` },
    {
      what: words.thawedBy,
      of: (s) =>
        s.result.thawAtMs === null
          ? words.neverFrozen
          : s.result.thawAtMs === Infinity
            ? words.notByThen
            : format.time(s.result.thawAtMs),
    },
    { what: words.soilAt5CmThen, of: (s) => format.t(dawn(s)), less: diff(dawn) },
    {
      what: words.warmestAirByDay,
      of: (s) => words.at(format.t(max(s)), format.time(s.result.timesAtMs[s.result.maxIndex]!)),
      less: diff(max),
    },
    { what: words.toLay, of: (s) => (s.minutes > 0 ? words.min(Math.round(s.minutes)) : 'nothing') },
  ];
}

export function CompareStacks({
  held,
  now,
  format,
  width,
  onLetGo,
  onSwap,
}: {
  held: Side;
  now: Side;
  format: Format;
  width: number;
  onLetGo: () => void;
  onSwap: () => void;
}) {
  const theme = useTheme();
  const better = now.result.minLeafC - held.result.minLeafC;
  return (
    <View testID="compare">
      <PartTitle right={words.leftIsHeldRightIs}>{words.sideBySide}</PartTitle>
      <Text kind="strong" live testID="compare-sentence">
        {Math.abs(better) < 0.15
          ? words.theLeafEndsAsWarm
          : words.warmerOnTheRightColder({
              abs: format.diff(Math.abs(better)).replace('+', ''),
              better,
              minutesWords: minutesWords(now.minutes - held.minutes),
            })}
      </Text>
      <View style={[styles.row, { borderColor: theme.hairline, paddingTop: 10 }]}>
        {[held, now].map((s, i) => (
          <View key={i} style={[styles.side, i === 1 && { borderLeftWidth: 1, borderColor: theme.hairline }]}>
            <StackGlyph layers={s.glyph} size={92} />
            <Text kind="label" tone="quiet">
              {s.title}
            </Text>
            <Text kind="small">{s.covers}</Text>
          </View>
        ))}
      </View>
      {linesFor(format).map((l) => (
        <View key={l.what} style={[styles.row, { borderColor: theme.hairline, borderTopWidth: 1 }]}>
          {[held, now].map((s, i) => (
            <View
              key={i}
              style={[styles.side, i === 1 && { borderLeftWidth: 1, borderColor: theme.hairline }]}
            >
              <Text kind="small" tone="quiet">
                {l.what}
              </Text>
              <Text kind="figure">
                {l.of(s)}
                {i === 1 && l.less ? <Text kind="label" tone="quiet">{`  ${l.less(held, now)}`}</Text> : null}
              </Text>
            </View>
          ))}
        </View>
      ))}
      <Curves
        timesAtMs={now.result.timesAtMs}
        format={format}
        width={width}
        label={words.theLeafUnderBothStacks}
        curves={[
          { name: 'outside', c: now.result.outsideC, colour: theme.quiet, dash: [2, 3], thick: 1.5 },
          { name: words.leafHeld, c: held.result.leafC, colour: theme.ink, dash: [7, 4] },
          { name: words.leafSwitched, c: now.result.leafC, colour: theme.pine, thick: 3 },
        ]}
      />
      <View style={styles.buttons}>
        <Button label={words.swapThem} onPress={onSwap} testID="compare-swap" />
        <Button kind="plain" label={words.letGoOfTheHeld} onPress={onLetGo} testID="compare-let-go" />
      </View>
    </View>
  );
}

function minutesWords(more: number): string {
  if (Math.abs(more) < 0.5) return words.theSameWork;
  return words.minMoreLessWork(Math.round(Math.abs(more)), more);
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row' },
  side: { flex: 1, paddingVertical: 6, paddingHorizontal: 8, gap: 2 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 12 },
});
