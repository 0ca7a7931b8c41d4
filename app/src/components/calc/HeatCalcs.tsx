/** Jugs of water and shade cloth, through the heat engine, on a bed of one's own and the weather that is forecast. */
import { amountForGain, measureIn, measureText, measureUnit, type Bed } from '@fogata/core';
import { useState } from 'react';
import type { PlaceView } from '@fogata/contract/told';
import { useFormat } from '../../data/format';
import { usePlace } from '../../data/hooks';
import { useTried } from '../../data/useWhatIf';
import type { TryRequest } from '../../worker/whatIf';
import { Amount, Choose, Measured } from '../ui/Fields';
import { Loading } from '../ui/Page';
import { Text } from '../ui/Text';
import { asPlanned, dayWord, requestFor } from '../place/trial';
import { Answer } from './parts';
import { heatCalcs as words } from '@fogata/words/en/screens/calc';

const LITRES = [0, 10, 20, 40, 80] as const;

function NoNight() {
  return <Text tone="quiet">{words.thisReckoningRunsANight}</Text>;
}

function withWater(base: TryRequest, litres: number): TryRequest {
  return {
    ...base,
    spec: { ...base.spec, mass: { waterLitres: (base.spec.mass?.waterLitres ?? 0) + litres } },
  };
}

function Jugs({ view }: { view: PlaceView }) {
  const format = useFormat();
  const { length } = format;
  /** Litres on each square metre, as the farm counts them. */
  const onEach = (litresM2: number) =>
    words.onEach(
      measureText(litresM2 / measureIn(1, 'area', length), 'volume', length, length === 'm' ? 0 : 2),
      measureUnit('area', length),
    );
  const [gain, setGain] = useState(1);
  const [jug, setJug] = useState(5);
  const w = view.whatIf!;
  const base = requestFor(w, view.bed, asPlanned(w));
  const a = useTried(withWater(base, LITRES[0])).result;
  const b = useTried(withWater(base, LITRES[1])).result;
  const c = useTried(withWater(base, LITRES[2])).result;
  const d = useTried(withWater(base, LITRES[3])).result;
  const e = useTried(withWater(base, LITRES[4])).result;
  const all = [a, b, c, d, e];
  // in a house jugs warm the air of all its beds: so many for its whole floor
  const whole = (base.spec.shared ?? 0) > 0;
  const floor = whole ? view.structure : view.bed;
  const areaM2 = floor.lengthM * floor.widthM;
  const fields = (
    <>
      <Amount
        label={words.warmerAtTheColdestBy}
        value={gain}
        onChange={setGain}
        unit={`°${format.unit}`}
        step={0.1}
        bigStep={1}
        digits={1}
        min={0.1}
        max={20}
      />
      <Measured
        label={words.aJugHolds}
        what="volume"
        value={jug}
        onChange={setJug}
        steps={{ si: [0.5, 5], feet: [0.1, 1] }}
        digits={1}
        min={0.5}
        max={250}
      />
    </>
  );
  if (all.some((r) => r === null)) return <Loading what={words.runningTheNightWithMore} />;
  const gainK = format.unit === 'F' ? gain / 1.8 : gain;
  const runs = all.map((r, n) => ({ amount: LITRES[n]!, leafC: r!.minLeafC }));
  const litres = amountForGain(runs, gainK);
  const jugs = litres === null ? null : Math.ceil((litres * areaM2) / jug);
  return (
    <>
      {fields}
      <Answer
        said={
          jugs === null
            ? words.moreThanJugs(Math.round((80 * areaM2) / jug))
            : words.jugsOfL(jugs, measureText(jug, 'volume', length))
        }
        working={[
          words.tonightUnderTheCoversThat(view.bed.name),
          ...runs.map((r) => words.lOnEachMLeaf(onEach(r.amount), format.t(r.leafC))),
          litres === null
            ? words.even80LOnEach(onEach(LITRES.at(-1)!))
            : words.lOnEachMOf(onEach(litres), measureText(areaM2, 'area', length, 0)),
          words.waterThatStoodInThe,
        ]}
      />
    </>
  );
}

function Shade({ view }: { view: PlaceView }) {
  const format = useFormat();
  const [cloth, setCloth] = useState<'shade-30' | 'shade-50'>('shade-30');
  const w = view.whatIf!;
  const base = requestFor(w, view.bed, asPlanned(w));
  const top = base.spec.stack[0];
  const shaded: TryRequest = {
    ...base,
    spec: {
      ...base.spec,
      ...(base.spec.shared ? { shared: base.spec.shared + 1 } : {}),
      stack: [
        {
          lengthM: (top?.lengthM ?? view.bed.lengthM) + 0.2,
          widthM: (top?.widthM ?? view.bed.widthM) + 0.2,
          heightM: (top?.heightM ?? 0.6) + 0.1,
          shape: top?.shape === 'box' ? 'box' : 'arch',
          material: cloth,
          tightness: 'drafty',
        },
        ...base.spec.stack.slice(0, 3),
      ],
    },
  };
  const without = useTried(base).result;
  const withIt = useTried(shaded).result;
  const choice = (
    <Choose
      label={words.cloth}
      value={cloth}
      options={[
        { value: 'shade-30', label: '30 %' },
        { value: 'shade-50', label: '50 %' },
      ]}
      onChange={setCloth}
    />
  );
  if (!without || !withIt) return <Loading what={words.runningTheDayWithAnd} />;
  const hot = (r: typeof without) => r.canopyC[r.maxIndex]!;
  return (
    <>
      {choice}
      <Answer
        said={words.atTheWarmest(format.diff(hot(withIt) - hot(without)))}
        working={[
          words.coversOffByDayAs(view.bed.name, dayWord(view, format.timeZone)),
          words.withoutClothAt(format.t(hot(without)), format.time(without.timesAtMs[without.maxIndex]!)),
          words.underItAt(format.t(hot(withIt)), format.time(withIt.timesAtMs[withIt.maxIndex]!)),
          words.leftOnOvernightTheLeaf(format.t(withIt.minLeafC), format.t(without.minLeafC)),
          words.inTheDarkWeeksLight,
        ]}
      />
    </>
  );
}

export function HeatCalc({
  what,
  beds,
  first,
}: {
  what: 'jugs' | 'shade';
  beds: readonly Bed[];
  first: string | null;
}) {
  const [bedId, setBedId] = useState(first ?? beds[0]?.id ?? null);
  const { data } = usePlace(bedId);
  if (beds.length === 0) return <NoNight />;
  return (
    <>
      <Choose
        label={words.forTheBed}
        value={bedId}
        options={beds.map((b) => ({ value: b.id, label: b.name }))}
        onChange={setBedId}
      />
      {!data || data.bed.id !== bedId || data.progress.state === 'computing' ? (
        <Loading what={words.workingOutTheNight} />
      ) : !data.whatIf ? (
        <NoNight />
      ) : what === 'jugs' ? (
        <Jugs view={data} key={bedId} />
      ) : (
        <Shade view={data} key={bedId} />
      )}
    </>
  );
}
