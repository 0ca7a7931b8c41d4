/** All text: the few kinds there are. Figures are tabular, so that a number does not dance when it changes. */
import type { ReactNode } from 'react';
import { Text as RNText, type StyleProp, type TextStyle } from 'react-native';
import { useTheme } from '../../theme/theme';
import { FONT, SIZE, type Palette } from '../../theme/tokens';

export type Kind = 'hero' | 'title' | 'figure' | 'label' | 'body' | 'strong' | 'small';
export type Tone = 'ink' | 'quiet' | 'ember' | 'frost' | 'ochre' | 'pine' | 'onEmber';

const KIND: Record<Kind, TextStyle> = {
  hero: { fontFamily: FONT.figure, fontSize: SIZE.hero, lineHeight: 56 },
  title: { fontFamily: FONT.figure, fontSize: SIZE.title, lineHeight: 34 },
  figure: { fontFamily: FONT.figure, fontSize: SIZE.figure, lineHeight: 28 },
  label: { fontFamily: FONT.label, fontSize: SIZE.label, lineHeight: 22, letterSpacing: 0.3 },
  body: { fontFamily: FONT.text, fontSize: SIZE.text, lineHeight: 23 },
  strong: { fontFamily: FONT.strong, fontSize: SIZE.text, lineHeight: 23 },
  small: { fontFamily: FONT.text, fontSize: SIZE.small, lineHeight: 20 },
};

export interface TextProps {
  kind?: Kind;
  tone?: Tone;
  style?: StyleProp<TextStyle>;
  heading?: 1 | 2 | 3;
  children: ReactNode;
  numberOfLines?: number;
  testID?: string;
  live?: boolean;
}

export function toneColour(theme: Palette, tone: Tone): string {
  return theme[tone];
}

export function Text({
  kind = 'body',
  tone = 'ink',
  style,
  heading,
  children,
  numberOfLines,
  testID,
  live,
}: TextProps) {
  const theme = useTheme();
  return (
    <RNText
      {...(heading ? { role: 'heading' as const, 'aria-level': heading } : {})}
      {...(live ? { 'aria-live': 'polite' as const } : {})}
      numberOfLines={numberOfLines}
      testID={testID}
      style={[KIND[kind], { color: toneColour(theme, tone), fontVariant: ['tabular-nums'] }, style]}
    >
      {children}
    </RNText>
  );
}

/** A heading of a part of a screen: small, spaced, with something on the right. */
export function PartTitle({ children, right }: { children: string; right?: ReactNode }) {
  const theme = useTheme();
  return (
    <RNText
      role="heading"
      aria-level={2}
      style={{
        fontFamily: FONT.label,
        fontSize: SIZE.label,
        letterSpacing: 1.1,
        textTransform: 'uppercase',
        color: theme.quiet,
        paddingTop: 22,
        paddingBottom: 6,
      }}
    >
      {children}
      {right ? (
        <RNText style={{ letterSpacing: 0.3, textTransform: 'none' }}>
          {'  ·  '}
          {right}
        </RNText>
      ) : null}
    </RNText>
  );
}
