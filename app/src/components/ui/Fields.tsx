/** Fields of a form that are counted or chosen: a label, and the steppers or choices under it. Lengths in the farm's own unit. */
import { measureFrom, measureIn, measureUnit, temperatureIn, type Measure } from '@fogata/core';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { Button, Choice } from './Button';
import { Stepper } from './Stepper';
import { PartTitle, Text } from './Text';

const FOOT_M = 0.3048;

export function Labelled({ label, note, children }: { label: string; note?: string; children: ReactNode }) {
  return (
    <View style={{ gap: 4 }}>
      <Text kind="label" tone="quiet">
        {label}
      </Text>
      {children}
      {note ? (
        <Text kind="small" tone="quiet">
          {note}
        </Text>
      ) : null}
    </View>
  );
}

export interface AmountProps {
  label: string;
  value: number | null;
  onChange: (v: number) => void;
  unit: string;
  step?: number;
  bigStep?: number;
  digits?: number;
  min?: number;
  max?: number;
  signed?: boolean;
  /** Where the first tap of a stepper that has no value yet begins. */
  start?: number;
  note?: string;
  testID?: string;
}

export function Amount({ label, note, step = 1, digits = 0, ...p }: AmountProps) {
  return (
    <Labelled label={label} {...(note ? { note } : {})}>
      <Stepper label={label} step={step} digits={digits} {...p} />
    </Labelled>
  );
}

/** A length, in metres inside and in metres or feet on screen. */
export function Metres({
  value,
  onChange,
  step = 0.1,
  bigStep = 1,
  min = 0,
  max = 1000,
  ...p
}: Omit<AmountProps, 'unit' | 'digits'> & { value: number }) {
  const format = useFormat();
  const k = format.length === 'm' ? 1 : FOOT_M;
  const own = (m: number) => Number((m / k).toFixed(2));
  return (
    <Amount
      {...p}
      value={own(value)}
      onChange={(v) => onChange(Number((v * k).toFixed(4)))}
      step={step}
      bigStep={bigStep}
      digits={2}
      unit={format.length}
      min={own(min)}
      max={own(max)}
    />
  );
}

/** An area, a height, a volume, a load or a speed: SI inside, the farm's own unit on screen, with steps that suit it. */
export function Measured({
  what,
  value,
  onChange,
  min,
  max,
  steps,
  digits = 0,
  ...p
}: Omit<AmountProps, 'unit' | 'step' | 'bigStep' | 'min' | 'max'> & {
  what: Measure;
  min: number;
  max: number;
  /** Small and large step in SI, and in the units of a farm in feet. */
  steps: { si: [number, number]; feet: [number, number] };
}) {
  const { length } = useFormat();
  const own = (x: number) => Number(measureIn(x, what, length).toFixed(digits));
  const [step, bigStep] = length === 'm' ? steps.si : steps.feet;
  return (
    <Amount
      {...p}
      value={value === null ? null : own(value)}
      onChange={(v) => onChange(Number(measureFrom(v, what, length).toFixed(4)))}
      step={step}
      bigStep={bigStep}
      digits={digits}
      unit={measureUnit(what, length)}
      min={own(min)}
      max={own(max)}
    />
  );
}

/** A temperature, or with `difference` a step between two: °C inside, the farm's unit on screen. */
export function Degrees({
  value,
  onChange,
  min,
  max,
  start,
  difference = false,
  digits = 1,
  ...p
}: Omit<AmountProps, 'unit' | 'value' | 'min' | 'max'> & {
  value: number | null;
  min: number;
  max: number;
  difference?: boolean;
}) {
  const { unit } = useFormat();
  const zero = difference ? 0 : temperatureIn(0, unit);
  const per = temperatureIn(1, unit) - temperatureIn(0, unit);
  const own = (c: number) => Number((zero + c * per).toFixed(digits));
  return (
    <Amount
      {...p}
      value={value === null ? null : own(value)}
      {...(start === undefined ? {} : { start: own(start) })}
      onChange={(v) => onChange(Number(((v - zero) / per).toFixed(3)))}
      digits={digits}
      unit={`°${unit}`}
      min={own(min)}
      max={own(max)}
    />
  );
}

export function Choose<T extends string | number>({
  label,
  note,
  value,
  options,
  onChange,
}: {
  label: string;
  note?: string;
  value: T | null;
  options: readonly { value: T; label: string }[];
  onChange: (v: T) => void;
}) {
  return (
    <Labelled label={label} {...(note ? { note } : {})}>
      <Choice label={label} value={value} options={options} onChange={onChange} />
    </Labelled>
  );
}

/** A part of a form that most can leave alone: shut until asked for. */
export function Fold({ title, open, children }: { title: string; open?: boolean; children: ReactNode }) {
  const [shown, setShown] = useState(open ?? false);
  return (
    <View style={{ gap: 12 }}>
      {shown ? (
        <>
          <PartTitle>{title}</PartTitle>
          {children}
        </>
      ) : (
        <Button kind="plain" label={`${title} ›`} onPress={() => setShown(true)} />
      )}
    </View>
  );
}
