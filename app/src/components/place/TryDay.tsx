/** The day after a tried night: whether covers come off, how far it stands open, how hot that gets, and every layer's curve. */
import type { PlaceView } from '@fogata/contract/told';
import { memo } from 'react';
import { View } from 'react-native';
import type { Format } from '../../data/format';
import { useTheme } from '../../theme/theme';
import type { TryResult } from '../../worker/whatIf';
import { Choice } from '../ui/Button';
import { Curves, type Curve } from '../ui/Curves';
import { Stepper } from '../ui/Stepper';
import { PartTitle, Text } from '../ui/Text';
import { dayWord, isOn, namesFor, type Trial } from './trial';
import { tryDay as words } from '@fogata/words/en/screens/trial';

export const IN_STRUCTURE = {
  house: words.inTheHouse,
  frame: words.inTheFrame,
  tunnel: words.inTheTunnel,
  open: '',
} as const;

/** Drawn only when what it shows has changed: the chart is the dearest thing on the screen. */
export const DayAndNight = memo(function DayAndNight({ view, trial, result, format, width }: Tried) {
  const theme = useTheme();
  const names = namesFor(view.whatIf!, view.bed, trial, IN_STRUCTURE[view.structure.kind]);
  const value = (c: number) => (Number.isFinite(c) ? c : null);
  const dashes = [undefined, [9, 4], [5, 3], [2, 3]];
  const curves: Curve[] = [
    { name: 'outside', c: result.outsideC.map(value), colour: theme.quiet, dash: [2, 3], thick: 1.5 },
    ...names.map((n, i) => ({
      name: n.name,
      c: (result.layersC[i] ?? []).map(value),
      colour: theme.ink,
      thick: 1.5,
      ...(dashes[i] ? { dash: dashes[i] } : {}),
    })),
    { name: words.airAtTheCrop, c: result.canopyC.map(value), colour: theme.pine, dash: [4, 3] },
    { name: 'leaf', c: result.leafC.map(value), colour: theme.pine, thick: 3 },
    { name: words.soilAt5Cm, c: result.soil5C.map(value), colour: theme.ember },
  ];
  return (
    <View>
      <PartTitle
        right={trial.dayOff ? words.coversOffFrom(format.time(view.whatIf!.dayFromAtMs)) : words.coversStayOn}
      >
        {words.dayAndNightEveryLayer}
      </PartTitle>
      <Curves
        timesAtMs={result.timesAtMs}
        curves={curves}
        format={format}
        width={width}
        label={words.fromNowToTheEvening(view.bed.name)}
      />
    </View>
  );
});

export interface Tried {
  view: PlaceView;
  trial: Trial;
  result: TryResult;
  format: Format;
  width: number;
}

/** What tomorrow looks like: whether covers come off, how far it stands open, how hot that gets. */
export function Tomorrow({
  view,
  trial,
  result,
  format,
  onChange,
}: Tried & { onChange: (t: Trial) => void }) {
  const warmest = result.canopyC[result.maxIndex]!;
  const ventable = view.whatIf!.layers.some((l) => l.ventable && isOn(trial, l));
  return (
    <View style={{ gap: 8 }}>
      <PartTitle right={words.to(format.time(view.whatIf!.dayFromAtMs), format.time(view.whatIf!.dayToAtMs))}>
        {words.todayByDayTomorrowBy(dayWord(view, format.timeZone))}
      </PartTitle>
      <Text kind="figure" tone={warmest > 28 ? 'ochre' : 'ink'} live testID="tried-max">
        {words.airAtItsWarmest({
          warmest,
          warmest2: format.t(warmest),
          timesAtMs: format.time(result.timesAtMs[result.maxIndex]!),
        })}
      </Text>
      <Choice
        label={words.coversByDay}
        options={[
          { value: 'off', label: words.coversOffByDay },
          { value: 'on', label: words.leftOn },
        ]}
        value={trial.dayOff ? 'off' : 'on'}
        onChange={(v) => onChange({ ...trial, dayOff: v === 'off' })}
      />
      {ventable ? (
        <>
          <Text kind="label" tone="quiet">
            {words.howFarStandsOpenBy(view.structure.name)}
          </Text>
          <Stepper
            label={words.openingByDay}
            value={Math.round(trial.dayOpening * 100)}
            onChange={(v) => onChange({ ...trial, dayOpening: v / 100 })}
            step={5}
            bigStep={25}
            digits={0}
            unit="%"
            min={0}
            max={100}
            testID="day-opening"
          />
        </>
      ) : null}
    </View>
  );
}
