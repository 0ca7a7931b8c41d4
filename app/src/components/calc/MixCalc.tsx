/** Soil mix by volume. */
import { measureIn, measureText, measureUnit, mixFor } from '@fogata/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { Button } from '../ui/Button';
import { NoteField } from '../ui/Field';
import { Amount, Measured } from '../ui/Fields';
import { Reckoned } from './parts';
import { mixCalc as words } from '@fogata/words/en/screens/calc';

export function MixCalc() {
  const { length } = useFormat();
  const soil = (litres: number) => measureText(litres, 'volume', length);
  const [vessels, setVessels] = useState(26);
  const [litresEach, setLitres] = useState(30);
  const [settles, setSettles] = useState(0.15);
  const [parts, setParts] = useState([
    { name: 'compost', parts: 2 },
    { name: words.gardenSoil, parts: 1 },
    { name: 'sand', parts: 1 },
  ]);
  const put = (n: number, patch: Partial<(typeof parts)[number]>) =>
    setParts(parts.map((p, j) => (j === n ? { ...p, ...patch } : p)));
  return (
    <>
      <Amount
        label={words.cratesOrPots}
        value={vessels}
        onChange={setVessels}
        unit={words.vessels}
        bigStep={10}
        min={0}
        max={10000}
      />
      <Measured
        label={words.litresInEach}
        what="volume"
        value={litresEach}
        onChange={setLitres}
        steps={{ si: [0.5, 5], feet: [0.1, 1] }}
        digits={1}
        min={0}
        max={2000}
      />
      <Amount
        label={words.itSettlesBy}
        value={Math.round(settles * 100)}
        onChange={(v) => setSettles(v / 100)}
        unit="%"
        step={5}
        min={0}
        max={60}
      />
      {parts.map((p, n) => (
        <View key={n} style={{ gap: 6 }}>
          <NoteField label={words.part(n + 1)} value={p.name} onChange={(name) => put(n, { name })} />
          <Amount
            label={words.partsOf(p.name || 'it')}
            value={p.parts}
            onChange={(v) => put(n, { parts: v })}
            unit={words.parts}
            step={0.5}
            digits={1}
            min={0}
            max={100}
          />
        </View>
      ))}
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button
          label={words.oneMorePart}
          onPress={() => setParts([...parts, { name: words.leafMould, parts: 1 }])}
        />
        {parts.length > 1 ? (
          <Button kind="plain" label={words.takeTheLastAway} onPress={() => setParts(parts.slice(0, -1))} />
        ) : null}
      </View>
      <Reckoned
        of={() => {
          const mix = mixFor({ vessels, litresEach, settles, parts });
          return {
            said: words.litresInAll(
              `${Math.ceil(measureIn(mix.litres, 'volume', length))} ${measureUnit('volume', length)}`,
            ),
            working: [
              words.lAndForWhatSettles({
                vessels,
                each: soil(litresEach),
                settles: Math.round(settles * 100),
              }),
              ...mix.of.map((o) => words.ofPart(o.name, soil(o.litres))),
            ],
          };
        }}
      />
    </>
  );
}
