/** A switch for each layer with what it is worth; covers that are not in stock can be tried as well. */
import type { PlaceView } from '@fogata/contract/told';
import { MATERIAL_IDS, MATERIALS, type MaterialId } from '@fogata/core';
import { useDeferredValue, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Format } from '../../data/format';
import { useTried } from '../../data/useWhatIf';
import { Button, Choice, Toggle } from '../ui/Button';
import { Row } from '../ui/Page';
import { Text } from '../ui/Text';
import { isOn, requestFor, type Trial, type TriedLayer } from './trial';
import { layerSwitches as words } from '@fogata/words/en/screens/trial';

interface Shared {
  view: PlaceView;
  trial: Trial;
  onChange: (next: Trial) => void;
  format: Format;
}

/** What a switch is worth: the leaf's minimum with it less the minimum without. */
function useWorth({ view, trial: newest }: Shared, id: string): number | null {
  const w = view.whatIf!;
  // the answer that was asked for comes first; what each layer is worth follows
  const trial = useDeferredValue(newest);
  const flip = (on: boolean) => requestFor(w, view.bed, { ...trial, on: { ...trial.on, [id]: on } });
  const withIt = useTried(flip(true)).result;
  const without = useTried(flip(false)).result;
  return withIt && without ? withIt.minLeafC - without.minLeafC : null;
}

function LayerSwitch(p: Shared & { layer: TriedLayer; first: boolean }) {
  const { layer, trial, format } = p;
  const on = isOn(trial, layer);
  const worth = useWorth(p, layer.id);
  return (
    <Row first={p.first}>
      <View style={{ flex: 1 }}>
        <Text kind="strong">{layer.name}</Text>
        <Text kind="small" tone="quiet">
          {[layer.note, layer.stock].filter(Boolean).join(' · ')}
        </Text>
      </View>
      <Text kind="figure" tone={on ? 'ink' : 'quiet'}>
        {worth === null ? '' : format.diff(worth)}
      </Text>
      <Toggle
        on={on}
        onChange={(next) => p.onChange({ ...trial, on: { ...trial.on, [layer.id]: next } })}
        label={words.onOff(layer.name, on)}
        testID={`layer-${layer.id}`}
      />
    </Row>
  );
}

/** Anything that a cover could be made of, tried on hoops or laid on the crop. */
function Another({ trial, onChange }: Pick<Shared, 'trial' | 'onChange'>) {
  const [open, setOpen] = useState(false);
  const [use, setUse] = useState<'hoops' | 'flat'>('hoops');
  if (!open)
    return (
      <Button kind="plain" label={words.tryACoverYouDo} onPress={() => setOpen(true)} testID="try-another" />
    );
  return (
    <View style={styles.another}>
      <Choice
        label={words.howItLies}
        options={[
          { value: 'hoops', label: words.onHoops },
          { value: 'flat', label: words.laidOnTheCrop },
        ]}
        value={use}
        onChange={setUse}
      />
      <Choice<MaterialId>
        label={words.whatItIsMadeOf}
        options={MATERIAL_IDS.map((id) => ({ value: id, label: MATERIALS[id].name }))}
        value={null}
        onChange={(material) => {
          onChange({ ...trial, extra: [...trial.extra, { material, use }] });
          setOpen(false);
        }}
      />
    </View>
  );
}

export function LayerSwitches(p: Shared & { problem: string | null }) {
  const { trial } = p;
  return (
    <View>
      {p.view.whatIf!.layers.map((layer, n) => (
        <LayerSwitch key={layer.id} {...p} layer={layer} first={n === 0} />
      ))}
      {trial.extra.map((e, i) => (
        <Row key={`${e.material}-${i}`}>
          <View style={{ flex: 1 }}>
            <Text kind="strong">{MATERIALS[e.material].name.replace(/^./, (c) => c.toUpperCase())}</Text>
            <Text kind="small" tone="quiet">
              {words.triedOnHoopsLaidOn(e.use)}
            </Text>
          </View>
          <Button
            label={words.away}
            hint={words.takeTheAwayAgain(MATERIALS[e.material].name)}
            onPress={() => p.onChange({ ...trial, extra: trial.extra.filter((_, j) => j !== i) })}
          />
        </Row>
      ))}
      {p.problem ? (
        <Text kind="small" tone="ochre">
          {`▲ ${p.problem}`}
        </Text>
      ) : null}
      <View style={{ alignItems: 'flex-start' }}>
        <Another trial={trial} onChange={p.onChange} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({ another: { gap: 8, paddingVertical: 10 } });
