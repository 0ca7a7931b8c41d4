/** Emitters and minutes of drip for a bed, and the same for every zone. */
import { dripFor, measureText, type Bed } from '@fogata/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { useBeds } from '../../data/hooks';
import { Amount, Choose, Measured, Metres } from '../ui/Fields';
import { PartTitle, Text } from '../ui/Text';
import { n1, Reckoned } from './parts';
import { dripCalc as words } from '@fogata/words/en/screens/calc';

export function DripCalc({ bed }: { bed: Bed | null }) {
  const { metres: m, length } = useFormat();
  const water = (litres: number) => measureText(litres, 'volume', length);
  // a tenth of an inch or of a gallon is much on a bed
  const digits = length === 'm' ? 1 : 2;
  const { data } = useBeds();
  const [i, set] = useState({
    lengthM: bed?.lengthM ?? 20,
    widthM: bed?.widthM ?? 1,
    lines: 2,
    spacingM: 0.3,
    litresPerHour: 1.6,
    per: 'mm' as 'mm' | 'pot',
    mm: 5,
    litresPerPot: 1,
  });
  const amount = i.per === 'mm' ? { mm: i.mm } : { litresPerPot: i.litresPerPot };
  const same = { lines: i.lines, spacingM: i.spacingM, litresPerHour: i.litresPerHour, ...amount };
  return (
    <>
      <Metres
        label={words.lengthOfTheBed}
        value={i.lengthM}
        onChange={(lengthM) => set({ ...i, lengthM })}
        step={0.5}
        bigStep={5}
      />
      <Metres label={words.widthOfTheBed} value={i.widthM} onChange={(widthM) => set({ ...i, widthM })} />
      <Amount
        label={words.linesAlongIt}
        value={i.lines}
        onChange={(lines) => set({ ...i, lines })}
        unit={words.lines}
        min={1}
        max={20}
      />
      <Metres
        label={words.fromEmitterToEmitter}
        value={i.spacingM}
        onChange={(spacingM) => set({ ...i, spacingM })}
        step={0.05}
        bigStep={0.1}
      />
      <Measured
        label={words.flowOfAnEmitter}
        what="flow"
        value={i.litresPerHour}
        onChange={(litresPerHour) => set({ ...i, litresPerHour })}
        steps={{ si: [0.1, 1], feet: [0.05, 0.25] }}
        digits={digits}
        min={0}
        max={50}
      />
      <Choose
        label={words.howMuch}
        value={i.per}
        options={[
          { value: 'mm', label: words.millimetresOnTheBed },
          { value: 'pot', label: words.litresForEachPot },
        ]}
        onChange={(per) => set({ ...i, per })}
      />
      {i.per === 'mm' ? (
        <Measured
          label={words.millimetres}
          what="rain"
          value={i.mm}
          onChange={(mm) => set({ ...i, mm })}
          steps={{ si: [0.5, 5], feet: [0.05, 0.25] }}
          digits={digits}
          min={0}
          max={100}
        />
      ) : (
        <Measured
          label={words.litresForEachPot2}
          what="volume"
          value={i.litresPerPot}
          onChange={(litresPerPot) => set({ ...i, litresPerPot })}
          steps={{ si: [0.1, 1], feet: [0.05, 0.25] }}
          digits={digits}
          min={0}
          max={100}
        />
      )}
      <Reckoned
        of={() => {
          const d = dripFor({ lengthM: i.lengthM, widthM: i.widthM, ...same });
          return {
            said: words.minutes(n1(d.minutes)),
            working: [
              words.emittersOnEachLineIn({ perLine: d.perLine, emitters: d.emitters, m: m(d.lineM) }),
              i.per === 'mm'
                ? words.mmOnAreL({
                    depth: measureText(i.mm, 'rain', length, digits),
                    length: m(i.lengthM),
                    width: m(i.widthM),
                    water: water(d.litres),
                  })
                : words.lForEachOfPots({
                    each: measureText(i.litresPerPot, 'volume', length, digits),
                    emitters: d.emitters,
                    water: water(d.litres),
                  }),
              words.allTogetherTheyGiveL(water(d.litresPerHour)),
              words.neverOnAFreezingDay,
            ],
          };
        }}
      />
      {data && data.structures.some((s) => s.beds.length > 0) ? (
        <View style={{ gap: 2 }}>
          <PartTitle right={words.withTheSameLinesAnd}>{words.byZone}</PartTitle>
          {data.structures
            .filter((s) => s.beds.length > 0)
            .map(({ structure, beds }) => {
              const each = beds.map((b) => {
                try {
                  return dripFor({ ...same, lengthM: b.bed.lengthM, widthM: b.bed.widthM });
                } catch {
                  return null;
                }
              });
              const good = each.filter((x) => x !== null);
              const litres = good.reduce((s, d) => s + d.litres, 0);
              return (
                <Text key={structure.id}>
                  {good.length === 0
                    ? words.nothingToGive(structure.name)
                    : words.minLOnBedBeds({
                        name: structure.name,
                        minutes: n1(Math.max(...good.map((d) => d.minutes))),
                        water: water(litres),
                        beds: beds.length,
                      })}
                </Text>
              );
            })}
        </View>
      ) : null}
    </>
  );
}
