/** Drip lines, as most beds have them: what minutes are reckoned from. */
import type { Farm } from '@fogata/contract';
import { View } from 'react-native';
import { Button } from '../ui/Button';
import { Amount, Metres } from '../ui/Fields';
import { Text } from '../ui/Text';
import { dripSettings as words } from '@fogata/words/en/screens/water';

type Drip = NonNullable<Farm['drip']>;
const USUAL: Drip = { lines: 2, spacingM: 0.2, litresPerHour: 1, uneven: 0 };

export function DripSettings({
  drip,
  onChange,
}: {
  drip: Drip | null;
  onChange: (drip: Drip | null) => void;
}) {
  if (!drip)
    return (
      <View style={{ gap: 8 }}>
        <Text kind="small" tone="quiet">
          {words.waterIsSaidInMillimetres}
        </Text>
        <View style={{ flexDirection: 'row' }}>
          <Button label={words.bedsHaveDripLines} onPress={() => onChange(USUAL)} testID="drip-on" />
        </View>
      </View>
    );
  const set = (patch: Partial<Drip>) => onChange({ ...drip, ...patch });
  return (
    <View style={{ gap: 12 }}>
      <Amount
        label={words.linesOnABed}
        value={drip.lines}
        onChange={(lines) => set({ lines })}
        unit={words.lines}
        min={1}
        max={12}
        testID="drip-lines"
      />
      <Metres
        label={words.fromEmitterToEmitter}
        value={drip.spacingM}
        onChange={(spacingM) => set({ spacingM })}
        step={0.05}
        bigStep={0.1}
        min={0.05}
        max={2}
      />
      <Amount
        label={words.anEmitterGives}
        value={drip.litresPerHour}
        onChange={(litresPerHour) => set({ litresPerHour })}
        unit="l/h"
        step={0.1}
        bigStep={1}
        digits={1}
        min={0.1}
        max={20}
        note={words.asItsMakerSaysAt}
      />
      <Amount
        label={words.thePoorEndOfA}
        value={Math.round(100 * (drip.uneven ?? 0))}
        onChange={(v) => set({ uneven: v / 100 })}
        unit="%"
        step={5}
        bigStep={20}
        min={0}
        max={60}
        note={words.byTheCupAtBoth}
        testID="drip-uneven"
      />
      <View style={{ flexDirection: 'row' }}>
        <Button kind="plain" label={words.noDripLines} onPress={() => onChange(null)} />
      </View>
    </View>
  );
}
