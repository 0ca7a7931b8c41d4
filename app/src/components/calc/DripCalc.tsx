/** Emitters and minutes of drip for a bed, and the same for every zone. */
import { dripFor, type Bed } from '@fogata/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { useBeds } from '../../data/hooks';
import { Amount, Choose, Metres } from '../ui/Fields';
import { PartTitle, Text } from '../ui/Text';
import { n1, Reckoned } from './parts';
import { dripCalc as words } from '../../words/en/calc';

export function DripCalc({ bed }: { bed: Bed | null }) {
  const { metres: m } = useFormat();
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
      <Amount
        label={words.flowOfAnEmitter}
        value={i.litresPerHour}
        onChange={(litresPerHour) => set({ ...i, litresPerHour })}
        unit="l/h"
        step={0.1}
        bigStep={1}
        digits={1}
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
        <Amount
          label={words.millimetres}
          value={i.mm}
          onChange={(mm) => set({ ...i, mm })}
          unit={words.mm}
          step={0.5}
          bigStep={5}
          digits={1}
          min={0}
          max={100}
        />
      ) : (
        <Amount
          label={words.litresForEachPot2}
          value={i.litresPerPot}
          onChange={(litresPerPot) => set({ ...i, litresPerPot })}
          unit="l"
          step={0.1}
          bigStep={1}
          digits={1}
          min={0}
          max={100}
        />
      )}
      <Reckoned
        of={() => {
          const d = dripFor({ ...i, ...same });
          return {
            said: words.minutes(n1(d.minutes)),
            working: [
              words.emittersOnEachLineIn({ perLine: d.perLine, emitters: d.emitters, m: m(d.lineM) }),
              i.per === 'mm'
                ? words.mmOnAreL({ n1: n1(i.mm), m: m(i.lengthM), m2: m(i.widthM), n12: n1(d.litres) })
                : words.lForEachOfPots({ n1: n1(i.litresPerPot), emitters: d.emitters, n12: n1(d.litres) }),
              words.allTogetherTheyGiveL(n1(d.litresPerHour)),
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
                        n1: n1(Math.max(...good.map((d) => d.minutes))),
                        n12: n1(litres),
                        count: beds.length,
                      })}
                </Text>
              );
            })}
        </View>
      ) : null}
    </>
  );
}
