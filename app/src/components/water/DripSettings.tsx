/** Drip lines, as most beds have them: what minutes are reckoned from. */
import type { Farm } from '@fogata/contract';
import { View } from 'react-native';
import { Button } from '../ui/Button';
import { Amount, Metres } from '../ui/Fields';
import { Text } from '../ui/Text';

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
          Water is said in millimetres and litres. With drip lines it is said in minutes as well.
        </Text>
        <View style={{ flexDirection: 'row' }}>
          <Button label="Beds have drip lines" onPress={() => onChange(USUAL)} testID="drip-on" />
        </View>
      </View>
    );
  const set = (patch: Partial<Drip>) => onChange({ ...drip, ...patch });
  return (
    <View style={{ gap: 12 }}>
      <Amount
        label="Lines on a bed"
        value={drip.lines}
        onChange={(lines) => set({ lines })}
        unit="lines"
        min={1}
        max={12}
        testID="drip-lines"
      />
      <Metres
        label="From emitter to emitter"
        value={drip.spacingM}
        onChange={(spacingM) => set({ spacingM })}
        step={0.05}
        bigStep={0.1}
        min={0.05}
        max={2}
      />
      <Amount
        label="An emitter gives"
        value={drip.litresPerHour}
        onChange={(litresPerHour) => set({ litresPerHour })}
        unit="l/h"
        step={0.1}
        bigStep={1}
        digits={1}
        min={0.1}
        max={20}
        note="As its maker says, at your pressure. On a slope the low end gets more: measure with a cup at both ends."
      />
      <Amount
        label="The poor end of a line gets less, by"
        value={Math.round(100 * (drip.uneven ?? 0))}
        onChange={(v) => set({ uneven: v / 100 })}
        unit="%"
        step={5}
        bigStep={20}
        min={0}
        max={60}
        note="By the cup at both ends. The minutes are then for the poor end; the other gets more than it needs: turn the lines round now and then."
        testID="drip-uneven"
      />
      <View style={{ flexDirection: 'row' }}>
        <Button kind="plain" label="No drip lines" onPress={() => onChange(null)} />
      </View>
    </View>
  );
}
