/** How far the night is worked out: beds done of all, as a bar and in words. */
import type { PlanProgress } from '@fogata/contract/told';
import { View } from 'react-native';
import { planAgain } from '../../data/hooks';
import { useTheme } from '../../theme/theme';
import { Problem } from './Bars';
import { Text } from './Text';
import { progress as texts } from '@fogata/words/en/screens/ui';

/** What is said while it is worked out. */
function words({ done, of, first }: PlanProgress): string {
  if (first) return texts.aFirstLookAtMost(first.members, first.of);
  return texts.ofBedsEveryCoverUnder(of, done);
}

/** `still`: while what was worked out last stands below, a hair's line that moves nothing under a finger. */
export function Progress({ progress, still = false }: { progress: PlanProgress; still?: boolean }) {
  const theme = useTheme();
  if (progress.state === 'ready' || progress.state === 'empty' || progress.state === 'waiting') return null;
  if (progress.state === 'failed')
    return <Problem onRetry={() => void planAgain()}>{progress.message ?? texts.theNightCouldNotBe}</Problem>;
  const share = progress.of > 0 ? progress.done / progress.of : 0;
  return (
    <View
      role="progressbar"
      aria-label={texts.workingOutTheNight}
      aria-valuemin={0}
      aria-valuemax={progress.of}
      aria-valuenow={progress.done}
      style={still ? { height: 0 } : { gap: 6, paddingVertical: 10 }}
    >
      <View
        style={[
          { height: 4, backgroundColor: theme.hairline },
          still && { position: 'absolute', left: 0, right: 0, top: 0 },
        ]}
      >
        <View style={{ height: 4, width: `${Math.round(share * 100)}%`, backgroundColor: theme.emberFill }} />
      </View>
      {still ? null : (
        <Text kind="small" tone="quiet" testID="working">
          {words(progress)}
        </Text>
      )}
    </View>
  );
}
