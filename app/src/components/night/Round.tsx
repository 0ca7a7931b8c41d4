/** The morning round: one thermometer after the other, on big steppers, with what was said beside it. */
import type { RoundItem } from '@fogata/contract/told';
import { useState } from 'react';
import { View } from 'react-native';
import { act } from '../../data/actions';
import type { Format } from '../../data/format';
import { readStored, store } from '../../data/storage';
import { whoDid } from '../../data/who';
import { Button } from '../ui/Button';
import { Row } from '../ui/Page';
import { Stepper } from '../ui/Stepper';
import { PartTitle, Text } from '../ui/Text';
import { round as words } from '@fogata/words/en/screens/round';

interface Typed {
  minC: number | null;
  maxC: number | null;
}

export function Round({
  items,
  night,
  nowAtMs,
  format,
  bare = false,
  who = {},
}: {
  items: readonly RoundItem[];
  night: string;
  nowAtMs: number;
  format: Format;
  /** One stop of a walk: no title of its own. */
  bare?: boolean;
  /** Who made which record. */
  who?: Readonly<Record<string, string>>;
}) {
  const [typed, setTyped] = useState<Record<string, Typed>>(() => readStored(`round:${night}`, {}));
  const [chosen, setChosen] = useState<string | null>(null);
  const next = items.find((i) => i.reading === null);
  const item = items.find((i) => i.spot === chosen) ?? next;
  const done = items.filter((i) => i.reading !== null).length;
  const keep = (spot: string, value: Typed) => {
    const all = { ...typed, [spot]: value };
    setTyped(all);
    // what was typed survives a reload before it is noted
    store(`round:${night}`, all);
  };
  if (items.length === 0) return null;
  const after = items.find((i) => i.reading === null && i.spot !== item?.spot);
  const now = item
    ? (typed[item.spot] ?? { minC: item.reading?.minC ?? null, maxC: item.reading?.maxC ?? null })
    : null;
  const note = (value: Typed, source: 'grower' | 'thermometer') => {
    if (!item) return;
    setChosen(null);
    void act(
      words.noted(item.name, value.minC === null ? '' : format.t(value.minC)),
      [
        {
          kind: 'reading',
          atMs: nowAtMs,
          spot: item.spot,
          night,
          minC: value.minC,
          maxC: value.maxC,
          source,
        },
      ],
      nowAtMs,
    );
  };
  return (
    <View testID="round">
      {bare ? null : <PartTitle right={words.ofRead(done, items.length)}>{words.morningRound}</PartTitle>}
      {item && now ? (
        <View style={{ gap: 10, paddingBottom: 12 }}>
          <Text kind="label">{words.lowest(item.name)}</Text>
          <Stepper
            label={words.lowest2(item.name)}
            value={now.minC === null ? null : Number(format.inUnit(now.minC).toFixed(1))}
            start={Number(format.inUnit(item.predictedC?.mid ?? 0).toFixed(1))}
            onChange={(v) => keep(item.spot, { ...now, minC: format.fromUnit(v) })}
            step={0.1}
            bigStep={1}
            digits={1}
            unit={`°${format.unit}`}
            min={-60}
            max={140}
            signed
            large
            testID="reading-min"
          />
          <Text kind="small" tone="quiet">
            {item.predictedC
              ? words.said(
                  format.t(item.predictedC.mid),
                  format.range(item.predictedC.low, item.predictedC.high),
                )
              : words.nothingWasPredictedForIt}
            {item.thermometer
              ? words.thermometerReadsHighest(
                  format.t(item.thermometer.minC),
                  format.t(item.thermometer.maxC),
                )
              : ''}
          </Text>
          <Text kind="label">{words.highest}</Text>
          <Stepper
            label={words.highest2(item.name)}
            value={now.maxC === null ? null : Number(format.inUnit(now.maxC).toFixed(1))}
            start={Number(format.inUnit(item.thermometer?.maxC ?? 10).toFixed(1))}
            onChange={(v) => keep(item.spot, { ...now, maxC: format.fromUnit(v) })}
            step={0.1}
            bigStep={1}
            digits={1}
            unit={`°${format.unit}`}
            min={-60}
            max={160}
            signed
            testID="reading-max"
          />
          {item.thermometer ? (
            <Button
              wide
              label={words.takeTheThermometers}
              onPress={() => keep(item.spot, { minC: item.thermometer!.minC, maxC: item.thermometer!.maxC })}
              testID="take-thermometer"
            />
          ) : null}
          <Button
            wide
            kind="main"
            disabled={now.minC === null && now.maxC === null}
            label={after ? words.noteItNext(after.name) : words.noteIt}
            onPress={() => note(now, now.minC === item.thermometer?.minC ? 'thermometer' : 'grower')}
            testID="note-reading"
          />
        </View>
      ) : bare ? null : (
        <Text tone="quiet" style={{ paddingVertical: 8 }}>
          {words.everyThermometerHasBeenRead}
        </Text>
      )}
      {items
        .filter((i) => i.reading !== null)
        .map((i, n) => (
          <Row key={i.spot} first={n === 0}>
            <Text style={{ flex: 1 }}>
              {[i.name, whoDid([i.reading!.recordId], who)].filter(Boolean).join(' · ')}
            </Text>
            <Text kind="figure" tone={(i.reading!.minC ?? 1) < 0 ? 'frost' : 'ink'}>
              {i.reading!.minC === null ? '–' : format.t(i.reading!.minC)}
            </Text>
            <Button
              kind="plain"
              label={words.correct}
              hint={words.correct2(i.name)}
              onPress={() => setChosen(i.spot)}
            />
          </Row>
        ))}
    </View>
  );
}
