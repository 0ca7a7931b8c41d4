/** Emitters and minutes of drip for a bed, and the same for every zone. */
import { dripFor, type Bed } from '@fogata/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { useBeds } from '../../data/hooks';
import { Amount, Choose, Metres } from '../ui/Fields';
import { PartTitle, Text } from '../ui/Text';
import { n1, Reckoned } from './parts';

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
        label="Length of the bed"
        value={i.lengthM}
        onChange={(lengthM) => set({ ...i, lengthM })}
        step={0.5}
        bigStep={5}
      />
      <Metres label="Width of the bed" value={i.widthM} onChange={(widthM) => set({ ...i, widthM })} />
      <Amount
        label="Lines along it"
        value={i.lines}
        onChange={(lines) => set({ ...i, lines })}
        unit="lines"
        min={1}
        max={20}
      />
      <Metres
        label="From emitter to emitter"
        value={i.spacingM}
        onChange={(spacingM) => set({ ...i, spacingM })}
        step={0.05}
        bigStep={0.1}
      />
      <Amount
        label="Flow of an emitter"
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
        label="How much"
        value={i.per}
        options={[
          { value: 'mm', label: 'millimetres on the bed' },
          { value: 'pot', label: 'litres for each pot' },
        ]}
        onChange={(per) => set({ ...i, per })}
      />
      {i.per === 'mm' ? (
        <Amount
          label="Millimetres"
          value={i.mm}
          onChange={(mm) => set({ ...i, mm })}
          unit="mm"
          step={0.5}
          bigStep={5}
          digits={1}
          min={0}
          max={100}
        />
      ) : (
        <Amount
          label="Litres for each pot"
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
            said: `${n1(d.minutes)} minutes`,
            working: [
              `${d.perLine} emitters on each line, ${d.emitters} in all, on ${m(d.lineM)} of line.`,
              i.per === 'mm'
                ? `${n1(i.mm)} mm on ${m(i.lengthM)} × ${m(i.widthM)} are ${n1(d.litres)} l.`
                : `${n1(i.litresPerPot)} l for each of ${d.emitters} pots are ${n1(d.litres)} l.`,
              `All together they give ${n1(d.litresPerHour)} l an hour.`,
              'Never on a freezing day: wet plants and soil freeze hard. A day ahead at the latest.',
            ],
          };
        }}
      />
      {data && data.structures.some((s) => s.beds.length > 0) ? (
        <View style={{ gap: 2 }}>
          <PartTitle right="with the same lines and amount">By zone</PartTitle>
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
                    ? `${structure.name}: nothing to give.`
                    : `${structure.name}: ${n1(Math.max(...good.map((d) => d.minutes)))} min, ${n1(litres)} l on ${beds.length} ${beds.length === 1 ? 'bed' : 'beds'}.`}
                </Text>
              );
            })}
        </View>
      ) : null}
    </>
  );
}
