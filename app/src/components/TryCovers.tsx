/** Other covers tried on a bed: the section, a switch for each layer with what it is worth, where the heat goes, the ribbon. */
import type { PlaceView, WhatIf } from '@fogata/contract';
import { BARE, type BedSpec } from '@fogata/core';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { act, decide } from '../data/actions';
import { useFormat, type Format } from '../data/format';
import { useWhatIf } from '../data/useWhatIf';
import type { TryRequest } from '../worker/whatIf';
import { Problem } from './Bars';
import { Button, Toggle } from './Button';
import { Loading, Row } from './Page';
import { Ribbon } from './Ribbon';
import { Section } from './Section';
import { Stepper } from './Stepper';
import { PartTitle, Text } from './Text';

interface Switches {
  on: Record<string, boolean>;
  opening: number;
}

/** The bed with the layers that are switched on, all night long, and the structure as far open. */
function specFor(w: WhatIf, s: Switches): BedSpec {
  return {
    ...w.base,
    stack: w.layers
      .filter((l) => s.on[l.id] ?? l.on)
      .map((l) =>
        l.id === 'structure' && s.opening > 0
          ? { ...l.spec, open: [{ from: w.weather[0]!.time, fraction: s.opening }] }
          : l.spec,
      ),
  };
}

function useTried(w: WhatIf | null, s: Switches) {
  const request = useMemo<TryRequest | null>(
    () =>
      w
        ? {
            site: w.site,
            weather: w.weather,
            initial: w.initial,
            spec: specFor(w, s),
            countFromMs: w.countFromMs,
            calibration: w.calibration,
          }
        : null,
    [w, s],
  );
  return useWhatIf(request);
}

/** What each switch is worth: the leaf's minimum with it less the minimum without. */
function useWorth(w: WhatIf, s: Switches, id: string): number | null {
  const flip = (on: boolean): Switches => ({ ...s, on: { ...s.on, [id]: on } });
  const withIt = useTried(w, flip(true)).result;
  const without = useTried(w, flip(false)).result;
  return withIt && without ? withIt.minLeafC - without.minLeafC : null;
}

function LayerSwitch({
  w,
  s,
  layer,
  onChange,
  format,
  first,
}: {
  w: WhatIf;
  s: Switches;
  layer: WhatIf['layers'][number];
  onChange: (on: boolean) => void;
  format: Format;
  first: boolean;
}) {
  const on = s.on[layer.id] ?? layer.on;
  const worth = useWorth(w, s, layer.id);
  return (
    <Row first={first}>
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
        onChange={onChange}
        label={`${layer.name} ${on ? 'on' : 'off'}`}
        testID={`layer-${layer.id}`}
      />
    </Row>
  );
}

export function TryCovers({ view, width, ribbon }: { view: PlaceView; width: number; ribbon: boolean }) {
  const format = useFormat();
  const w = view.whatIf!;
  const [s, setS] = useState<Switches>({ on: {}, opening: w.opening });
  const [hour, setHour] = useState<number | null>(null);
  const { result, failed } = useTried(w, s);
  const touched = Object.keys(s.on).length > 0 || s.opening !== w.opening;
  if (failed)
    return (
      <Problem>
        The covers cannot be tried in this browser. The plan and the options below still hold.
      </Problem>
    );
  if (!result) return <Loading what="Trying the covers" />;
  const i = hour ?? result.minIndex;
  const shown = w.layers.filter((l) => s.on[l.id] ?? l.on);
  const harm = Math.max(...view.plantings.map((p) => p.harmC), -99);
  const sky = w.weather[i]!;
  const layerName = (id: string, name: string) =>
    id === 'structure'
      ? view.structure.kind === 'house'
        ? 'in the house'
        : view.structure.kind === 'frame'
          ? 'in the frame'
          : 'in the tunnel'
      : `under ${name.toLowerCase().replace(', a second one', ', twice')}`;
  const chosenKey = w.layers
    .filter((l) => l.id !== 'structure' && (s.on[l.id] ?? l.on))
    .map((l) => l.id.replace('#2', ''));
  const drawn = w.layers.filter((l) => l.drawn || l.id in s.on);
  return (
    <View>
      <View style={styles.hour}>
        <Text
          kind="label"
          tone="quiet"
          live
          testID="section-hour"
        >{`${hour === null ? 'coldest hour, ' : ''}${format.time(result.timesMs[i]!)}`}</Text>
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <Button label="‹" hint="An hour earlier" onPress={() => setHour(Math.max(0, i - 1))} />
          <Button
            label="›"
            hint="An hour later"
            onPress={() => setHour(Math.min(result.timesMs.length - 1, i + 1))}
          />
        </View>
      </View>
      <Section
        width={width}
        layers={drawn.map((l) => {
          const on = s.on[l.id] ?? l.on;
          const index = shown.indexOf(l);
          return {
            name: layerName(l.id, l.name),
            on,
            opening: l.id === 'structure' ? s.opening : 0,
            airC: on && index >= 0 ? (result.layersC[index]?.[i] ?? null) : null,
          };
        })}
        outsideC={result.outsideC[i]!}
        skyC={result.skyC[i]!}
        leafC={result.leafC[i]!}
        skyWord={`${sky.cloudFraction < 0.25 ? 'clear' : sky.cloudFraction < 0.7 ? 'broken cloud' : 'overcast'}, ${sky.windMs < 1.3 ? 'still' : sky.windMs < 4 ? 'light wind' : 'windy'}`}
        soil5C={result.soil5C[i]!}
        soil30C={result.soil30C[i]!}
        soilGivesWm2={result.soilGivesWm2[i]!}
        t={(c) => format.tBare(c)}
        unit={format.unit}
        on={view.bed.on}
        harmC={harm}
      />
      <View style={{ paddingTop: 8, paddingBottom: 4 }}>
        <Text kind="figure" tone={result.minLeafC < harm ? 'frost' : 'pine'} live testID="tried-min">
          {`Leaf ${format.t(result.minLeafC)} at its coldest${touched ? ', as switched' : ', as planned'}`}
        </Text>
      </View>
      {w.layers.map((l, n) => (
        <LayerSwitch
          key={l.id}
          w={w}
          s={s}
          layer={l}
          format={format}
          first={n === 0}
          onChange={(on) => setS({ ...s, on: { ...s.on, [l.id]: on } })}
        />
      ))}
      {w.layers.some((l) => l.ventable && (s.on[l.id] ?? l.on)) ? (
        <View style={{ paddingTop: 10, gap: 6 }}>
          <Text kind="label" tone="quiet">{`How far ${view.structure.name} stands open`}</Text>
          <Stepper
            label="Opening"
            value={Math.round(s.opening * 100)}
            onChange={(v) => setS({ ...s, opening: v / 100 })}
            step={5}
            bigStep={25}
            digits={0}
            unit="%"
            min={0}
            max={100}
            testID="opening"
          />
        </View>
      ) : null}
      {touched ? (
        <View style={styles.buttons}>
          <Button
            kind="main"
            label={chosenKey.length === 0 ? 'Plan nothing on it' : 'Plan this for tonight'}
            testID="plan-this"
            onPress={() =>
              void decide(
                'changed',
                [{ bedId: view.bed.id, key: chosenKey.length === 0 ? BARE : chosenKey.join('+') }],
                view.clock.window.night,
                view.clock.nowMs,
                `${view.bed.name}: plan changed`,
              )
            }
          />
          {s.opening !== view.opening ? (
            <Button
              label={
                s.opening === 0
                  ? `${view.structure.name} is now shut`
                  : `${view.structure.name} is now ${Math.round(s.opening * 100)} % open`
              }
              onPress={() =>
                void act(
                  `${view.structure.name}: ${Math.round(s.opening * 100)} % open`,
                  [
                    {
                      kind: 'vent',
                      atMs: view.clock.nowMs,
                      structureId: view.structure.id,
                      fraction: s.opening,
                    },
                  ],
                  view.clock.nowMs,
                )
              }
            />
          ) : null}
          <Button
            kind="plain"
            label="Back to how it is"
            onPress={() => setS({ on: {}, opening: w.opening })}
            testID="reset-switches"
          />
        </View>
      ) : null}
      {result.flows[i]!.length > 0 ? (
        <View testID="flows">
          <PartTitle right={`at ${format.time(result.timesMs[i]!)}, for each m²`}>
            Where its heat goes
          </PartTitle>
          {result.flows[i]!.map((l, n) => (
            <Row key={l.words} first={n === 0} style={styles.flow}>
              <Text style={{ flex: 1 }}>{l.words.replace(/^./, (c) => c.toUpperCase())}</Text>
              <Text
                kind="label"
                tone={l.way === 'in' ? 'ember' : 'ink'}
              >{`${l.way === 'in' ? '+' : '−'}${Math.round(l.wattsM2)} W`}</Text>
            </Row>
          ))}
        </View>
      ) : null}
      {ribbon && view.ribbon ? (
        <>
          <PartTitle right={touched ? 'solid: as switched, thin: as planned' : undefined}>
            The night, hour by hour
          </PartTitle>
          <Ribbon
            view={view.ribbon}
            width={width}
            height={460}
            way="down"
            format={format}
            nowMs={view.clock.nowMs}
            tried={
              touched
                ? {
                    leafC: result.leafC,
                    layers: shown.map((l, n) => ({
                      name: layerName(l.id, l.name),
                      airC: result.layersC[n]!,
                    })),
                    soilC: result.soil5C,
                  }
                : null
            }
          />
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  flow: { minHeight: 40, paddingVertical: 6 },
  hour: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    minHeight: 48,
    paddingTop: 4,
  },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 12 },
});
