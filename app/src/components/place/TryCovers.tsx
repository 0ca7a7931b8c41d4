/**
 * Other covers tried on a bed. It answers: what would it be under these? The section at one hour, the switches, the leaf
 * at its coldest, another stack beside it, where the heat goes, the ribbon, and every layer by day and night.
 */
import type { GlyphLayer, PlaceView } from '@fogata/contract/told';
import { skySaid, withTried } from '@fogata/core';
import { memo, useDeferredValue, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { act, decide } from '../../data/actions';
import { useFormat } from '../../data/format';
import { useTried } from '../../data/useWhatIf';
import type { TryResult } from '../../worker/whatIf';
import { Problem } from '../ui/Bars';
import { Button } from '../ui/Button';
import { CompareStacks, type Side } from './CompareStacks';
import { HeatFlows } from './HeatFlows';
import { LayerSwitches } from './LayerSwitches';
import { Loading } from '../ui/Page';
import { Ribbon } from '../night/Ribbon';
import { Section } from '../ui/Section';
import { Stepper } from '../ui/Stepper';
import { PartTitle, Text } from '../ui/Text';
import { DayAndNight, IN_STRUCTURE, Tomorrow, type Tried } from './TryDay';
import {
  asPlanned,
  isOn,
  isTouched,
  minutesFor,
  namesFor,
  planKey,
  requestFor,
  specFor,
  type Trial,
} from './trial';
import { tryCovers as words } from '@fogata/words/en/screens/trial';

function sideOf(view: PlaceView, trial: Trial, result: TryResult, title: string): Side {
  const w = view.whatIf!;
  const names = namesFor(w, view.bed, trial, view.structure.name);
  return {
    title,
    glyph: names.map((n): GlyphLayer => ({
      name: n.name,
      state: 'on',
      opening: n.id === 'structure' ? trial.opening : 0,
    })),
    covers: stackList(names.map((n) => n.cover)),
    minutes: minutesFor(w, trial),
    result,
  };
}

/** "north house, 2 × fleece 30". */
function stackList(names: string[]): string {
  if (names.length === 0) return words.nothingOnIt;
  return [...new Set(names)]
    .map((n) => {
      const times = names.filter((x) => x === n).length;
      return times > 1 ? `${times} × ${n}` : n;
    })
    .join(', ');
}

/** Why the last of the tried covers cannot go in, if so. */
function problemOf(view: PlaceView, s: Trial): string | null {
  const last = s.extra.at(-1);
  if (!last) return null;
  const w = view.whatIf!;
  const before = specFor(w, view.bed, { ...s, extra: s.extra.slice(0, -1) }).stack;
  const tried = withTried(before, view.bed, last.material, last.use, w.base.crop?.heightM ?? 0.1);
  return typeof tried === 'string' ? tried : null;
}

export function TryCovers({ view, width, ribbon }: { view: PlaceView; width: number; ribbon: boolean }) {
  const format = useFormat();
  const w = view.whatIf!;
  const [trial, setTrial] = useState<Trial>(() => asPlanned(w));
  const [held, setHeld] = useState<Trial | null>(null);
  const [hour, setHour] = useState<number | null>(null);
  const { result, failed } = useTried(requestFor(w, view.bed, trial));
  const beside = useTried(held ? requestFor(w, view.bed, held) : null).result;
  const touched = isTouched(w, trial);
  // the big chart is drawn after what answers the finger
  const later = useDeferredValue(result);
  const laterTrial = useDeferredValue(trial);
  if (failed) return <Problem>{words.theCoversCannotBeTried}</Problem>;
  if (!result) return <Loading what={words.tryingTheCovers} />;
  const i = hour ?? result.minIndex;
  const harm = Math.max(...view.plantings.map((p) => p.harmC), -99);
  const names = namesFor(w, view.bed, trial, IN_STRUCTURE[view.structure.kind]);
  const drawn = [
    ...w.layers.filter((l) => l.drawn || l.id in trial.on).map((l) => ({ id: l.id, name: l.name })),
    ...names.filter((n) => n.id.startsWith('tried-')),
  ];
  const plan = planKey(w, trial);
  const shared = { view, trial, result, format, width };
  return (
    <View>
      <View style={styles.hour}>
        <Text kind="label" tone="quiet" live testID="section-hour">
          {words.coldestHour(hour, format.time(result.timesAtMs[i]!))}
        </Text>
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <Button label="‹" hint={words.anHourEarlier} onPress={() => setHour(Math.max(0, i - 1))} />
          <Button
            label="›"
            hint={words.anHourLater}
            onPress={() => setHour(Math.min(result.timesAtMs.length - 1, i + 1))}
          />
        </View>
      </View>
      <Section
        width={width}
        layers={drawn.map((l) => {
          const index = names.findIndex((n) => n.id === l.id);
          const airC = index >= 0 ? result.layersC[index]?.[i] : undefined;
          const open = result.timesAtMs[i]! >= w.dayFromAtMs ? trial.dayOpening : trial.opening;
          return {
            name: names[index]?.name ?? words.under(l.name.toLowerCase()),
            on: airC !== undefined && Number.isFinite(airC),
            opening: l.id === 'structure' && result.timesAtMs[i]! < w.dayToAtMs ? open : 0,
            airC: airC !== undefined && Number.isFinite(airC) ? airC : null,
          };
        })}
        outsideC={result.outsideC[i]!}
        skyC={result.skyC[i]!}
        leafC={result.leafC[i]!}
        skyWord={format.say(skySaid(w.weather[i]!.cloudFraction, w.weather[i]!.windMs))}
        sun={result.sunDeg[i]! > 0 ? { heightDeg: result.sunDeg[i]!, wm2: result.sunWm2[i]! } : null}
        soil0C={result.soil0C[i]!}
        soil5C={result.soil5C[i]!}
        soil10C={result.soil10C[i]!}
        soil30C={result.soil30C[i]!}
        soilGivesWm2={result.soilGivesWm2[i]!}
        t={(c) => format.tBare(c)}
        unit={format.unit}
        on={view.bed.on}
        harmC={harm}
      />
      {w.awayTo ? (
        <Text testID="away-to" style={{ paddingTop: 8 }}>
          {words.thePlanCarriesItsCrates(w.awayTo)}
        </Text>
      ) : null}
      <View style={{ paddingTop: 8, paddingBottom: 4 }}>
        <Text kind="figure" tone={result.minLeafC < harm ? 'frost' : 'pine'} live testID="tried-min">
          {words.leafAtItsColdestFrom({
            minLeafC: format.t(result.minLeafC),
            phase: view.clock.phase,
            touched,
            awayTo: view.whatIf?.awayTo,
          })}
        </Text>
      </View>
      <LayerSwitches
        view={view}
        trial={trial}
        onChange={setTrial}
        format={format}
        problem={problemOf(view, trial)}
      />
      {w.layers.some((l) => l.ventable && isOn(trial, l)) ? (
        <View style={{ paddingTop: 10, gap: 6 }}>
          <Text kind="label" tone="quiet">
            {words.howFarStandsOpenTonight(view.structure.name)}
          </Text>
          <Stepper
            label={words.opening}
            value={Math.round(trial.opening * 100)}
            onChange={(v) => setTrial({ ...trial, opening: v / 100 })}
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
      <View style={styles.buttons}>
        {touched && plan !== null ? (
          <Button
            kind="main"
            label={words.planNothingOnItPlan(plan)}
            testID="plan-this"
            onPress={() =>
              void decide(
                'changed',
                [{ bedId: view.bed.id, key: plan }],
                view.clock.window.night,
                view.clock.nowAtMs,
                words.planChanged(view.bed.name),
              )
            }
          />
        ) : null}
        {touched && trial.opening !== view.opening ? (
          <Button
            label={
              trial.opening === 0
                ? words.isNowShut(view.structure.name)
                : words.isNowOpen(view.structure.name, Math.round(trial.opening * 100))
            }
            onPress={() =>
              void act(
                words.open(view.structure.name, Math.round(trial.opening * 100)),
                [
                  {
                    kind: 'vent',
                    atMs: view.clock.nowAtMs,
                    structureId: view.structure.id,
                    fraction: trial.opening,
                  },
                ],
                view.clock.nowAtMs,
              )
            }
          />
        ) : null}
        {held ? null : (
          <Button
            label={words.holdThisToCompareCompare(touched)}
            onPress={() => setHeld(trial)}
            testID="compare-hold"
          />
        )}
        {touched ? (
          <Button
            kind="plain"
            label={words.backToHowItIs}
            onPress={() => setTrial(asPlanned(w))}
            testID="reset-switches"
          />
        ) : null}
      </View>
      {held && beside ? (
        <CompareStacks
          held={sideOf(view, held, beside, words.heldHeldAsPlanned(isTouched(w, held)))}
          now={sideOf(view, trial, result, words.asSwitchedAsPlanned(touched))}
          format={format}
          width={width}
          onLetGo={() => setHeld(null)}
          onSwap={() => {
            setHeld(trial);
            setTrial(held);
          }}
        />
      ) : null}
      <HeatFlows lines={format.say(result.flows[i]!)} at={format.time(result.timesAtMs[i]!)} />
      {ribbon && later ? (
        <NightRibbon view={view} trial={laterTrial} result={later} format={format} width={width} />
      ) : null}
      <Tomorrow {...shared} onChange={setTrial} />
      {later ? (
        <DayAndNight view={view} trial={laterTrial} result={later} format={format} width={width} />
      ) : null}
    </View>
  );
}

/** The night as planned, and as switched where that differs; drawn only when it has changed. */
const NightRibbon = memo(function NightRibbon({ view, trial, result, format, width }: Tried) {
  const w = view.whatIf!;
  if (!view.ribbon) return null;
  const touched = isTouched(w, trial);
  const names = namesFor(w, view.bed, trial, IN_STRUCTURE[view.structure.kind]);
  return (
    <>
      <PartTitle right={touched ? words.solidAsSwitched : undefined}>{words.theNightHourByHour}</PartTitle>
      <Ribbon
        view={view.ribbon}
        width={width}
        height={460}
        way="down"
        format={format}
        nowAtMs={view.clock.nowAtMs}
        tried={touched ? triedRibbon(view, result, names) : null}
      />
    </>
  );
});

/** The tried curves over the ribbon's own hours; the trial goes on through the day. */
function triedRibbon(view: PlaceView, result: TryResult, names: { name: string }[]) {
  const hours = view.ribbon!.timesAtMs.filter((ms) => ms >= result.timesAtMs[0]!).length;
  const cut = (list: number[]) => list.slice(0, hours);
  return {
    leafC: cut(result.leafC),
    layers: names.map((n, j) => ({ name: n.name, airC: cut(result.layersC[j] ?? []) })),
    soilC: cut(result.soil5C),
  };
}

const styles = StyleSheet.create({
  hour: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    minHeight: 48,
    paddingTop: 4,
  },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 12 },
});
