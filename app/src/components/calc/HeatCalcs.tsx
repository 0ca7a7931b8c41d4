/** Jugs of water and shade cloth, through the heat engine, on a bed of one's own and the weather that is forecast. */
import { amountForGain, type Bed } from '@fogata/core';
import { useState } from 'react';
import type { PlaceView } from '@fogata/contract/told';
import { useFormat } from '../../data/format';
import { usePlace } from '../../data/hooks';
import { useTried } from '../../data/useWhatIf';
import type { TryRequest } from '../../worker/whatIf';
import { Amount, Choose } from '../ui/Fields';
import { Loading } from '../ui/Page';
import { Text } from '../ui/Text';
import { asPlanned, dayWord, requestFor } from '../place/trial';
import { Answer } from './parts';

const LITRES = [0, 10, 20, 40, 80] as const;

function NoNight() {
  return (
    <Text tone="quiet">
      This reckoning runs a night of a bed of yours. Plant something in a bed first, then it can be worked out
      here.
    </Text>
  );
}

function withWater(base: TryRequest, litres: number): TryRequest {
  return {
    ...base,
    spec: { ...base.spec, mass: { waterLitres: (base.spec.mass?.waterLitres ?? 0) + litres } },
  };
}

function Jugs({ view }: { view: PlaceView }) {
  const format = useFormat();
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
        label="Warmer at the coldest by"
        value={gain}
        onChange={setGain}
        unit={`°${format.unit}`}
        step={0.1}
        bigStep={1}
        digits={1}
        min={0.1}
        max={20}
      />
      <Amount
        label="A jug holds"
        value={jug}
        onChange={setJug}
        unit="l"
        step={0.5}
        bigStep={5}
        digits={1}
        min={0.5}
        max={250}
      />
    </>
  );
  if (all.some((r) => r === null)) return <Loading what="Running the night with more and more water" />;
  const gainK = format.unit === 'F' ? gain / 1.8 : gain;
  const runs = all.map((r, n) => ({ amount: LITRES[n]!, leafC: r!.minLeafC }));
  const litres = amountForGain(runs, gainK);
  const jugs = litres === null ? null : Math.ceil((litres * areaM2) / jug);
  return (
    <>
      {fields}
      <Answer
        said={
          jugs === null ? `More than ${Math.round((80 * areaM2) / jug)} jugs` : `${jugs} jugs of ${jug} l`
        }
        working={[
          `${view.bed.name} tonight, under the covers that are planned:`,
          ...runs.map((r) => `${r.amount} l on each m²: leaf ${format.t(r.leafC)}.`),
          litres === null
            ? 'Even 80 l on each m² do not bring it: another cover does more.'
            : `${litres.toFixed(0)} l on each m² of ${areaM2.toFixed(0)} m².`,
          'Water that stood in the sun by day. Jugs that freeze burst; leave room in them.',
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
      label="Cloth"
      value={cloth}
      options={[
        { value: 'shade-30', label: '30 %' },
        { value: 'shade-50', label: '50 %' },
      ]}
      onChange={setCloth}
    />
  );
  if (!without || !withIt) return <Loading what="Running the day with and without it" />;
  const hot = (r: typeof without) => r.canopyC[r.maxIndex]!;
  return (
    <>
      {choice}
      <Answer
        said={`${format.diff(hot(withIt) - hot(without))} at the warmest`}
        working={[
          `${view.bed.name} ${dayWord(view, format.timeZone)}, covers off by day, as far open as it is:`,
          `without cloth ${format.t(hot(without))} at ${format.time(without.timesAtMs[without.maxIndex]!)};`,
          `under it ${format.t(hot(withIt))} at ${format.time(withIt.timesAtMs[withIt.maxIndex]!)}.`,
          `Left on overnight, the leaf is at ${format.t(withIt.minLeafC)} instead of ${format.t(without.minLeafC)}.`,
          'In the dark weeks light is what limits growth: shade costs it.',
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
        label="For the bed"
        value={bedId}
        options={beds.map((b) => ({ value: b.id, label: b.name }))}
        onChange={setBedId}
      />
      {!data || data.bed.id !== bedId || data.progress.state === 'computing' ? (
        <Loading what="Working out the night" />
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
