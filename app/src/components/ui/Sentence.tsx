/** The sentence that a screen opens with: one heading whose parts carry cold and action in colour. */
import type { Segment } from '@fogata/core';
import { Text as RNText } from 'react-native';
import { useTheme } from '../../theme/theme';
import { FONT, SIZE } from '../../theme/tokens';

export function Sentence({ parts, testID = 'sentence' }: { parts: readonly Segment[]; testID?: string }) {
  const theme = useTheme();
  const colour = {
    plain: theme.ink,
    frost: theme.frost,
    ember: theme.ember,
    ochre: theme.ochre,
    pine: theme.pine,
  };
  return (
    <RNText
      role="heading"
      aria-level={1}
      testID={testID}
      style={{ fontFamily: FONT.figure, fontSize: SIZE.title, lineHeight: 35, color: theme.ink }}
    >
      {parts.map((p, i) => (
        <RNText key={i} style={{ color: colour[p.tone] }}>
          {p.text}
        </RNText>
      ))}
    </RNText>
  );
}
