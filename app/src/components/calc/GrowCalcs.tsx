/** Drip, crates, trays and soil mix. */
import { cratesFor, dripFor, mixFor, traysFor, type Bed } from '@fogata/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { useBeds } from '../../data/hooks';
import { Button } from '../Button';
import { NoteField } from '../Field';
import { Amount, Choose, Metres } from '../Fields';
import { PartTitle, Text } from '../Text';
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

export function CratesCalc({ bed }: { bed: Bed | null }) {
  const { metres: m } = useFormat();
  const [i, set] = useState({
    benchLengthM: bed?.lengthM ?? 8,
    benchWidthM: bed?.widthM ?? 0.8,
    benches: 1,
    crateLengthM: bed?.crates?.lengthM ?? 0.6,
    crateWidthM: bed?.crates?.widthM ?? 0.4,
    gapM: 0,
    plantsEach: bed?.crates?.plantsEach ?? 8,
  });
  return (
    <>
      <Metres
        label="Length of the bench"
        value={i.benchLengthM}
        onChange={(benchLengthM) => set({ ...i, benchLengthM })}
        step={0.5}
      />
      <Metres
        label="Width of the bench"
        value={i.benchWidthM}
        onChange={(benchWidthM) => set({ ...i, benchWidthM })}
      />
      <Amount
        label="Benches like it in the house"
        value={i.benches}
        onChange={(benches) => set({ ...i, benches })}
        unit="benches"
        min={1}
        max={200}
      />
      <Metres
        label="Length of a crate"
        value={i.crateLengthM}
        onChange={(crateLengthM) => set({ ...i, crateLengthM })}
        step={0.05}
        bigStep={0.2}
      />
      <Metres
        label="Width of a crate"
        value={i.crateWidthM}
        onChange={(crateWidthM) => set({ ...i, crateWidthM })}
        step={0.05}
        bigStep={0.2}
      />
      <Metres
        label="Gap between crates"
        value={i.gapM}
        onChange={(gapM) => set({ ...i, gapM })}
        step={0.01}
        bigStep={0.05}
      />
      <Amount
        label="Plants in each"
        value={i.plantsEach}
        onChange={(plantsEach) => set({ ...i, plantsEach })}
        unit="plants"
        min={1}
        max={2000}
      />
      <Reckoned
        of={() => {
          const c = cratesFor(i);
          return {
            said: `${c.crates} crates, ${c.plants} plants`,
            working: [
              `${c.turned ? 'Crates across the bench' : 'Crates along the bench'}: ${c.inRow} in a row, ${c.rows} ${c.rows === 1 ? 'row' : 'rows'}, ${c.perBench} on a bench of ${m(i.benchLengthM)} × ${m(i.benchWidthM)}.`,
              `${c.perBench} on each of ${i.benches} ${i.benches === 1 ? 'bench' : 'benches'}: ${c.crates} crates.`,
              `${i.plantsEach} plants in each: ${c.plants}.`,
            ],
          };
        }}
      />
    </>
  );
}

export function TraysCalc() {
  const { metres: m } = useFormat();
  const [i, set] = useState({
    plants: 300,
    emerges: 0.8,
    spare: 0.1,
    cells: 60,
    seedsPerCell: 1,
    trayLengthM: 0.53,
    trayWidthM: 0.31,
    shelfDepthM: 0.65,
  });
  return (
    <>
      <Amount
        label="Plants wanted"
        value={i.plants}
        onChange={(plants) => set({ ...i, plants })}
        unit="plants"
        step={10}
        bigStep={100}
        min={0}
        max={100000}
      />
      <Amount
        label="Of a hundred seeds, so many come up"
        value={Math.round(i.emerges * 100)}
        onChange={(v) => set({ ...i, emerges: v / 100 })}
        unit="of 100"
        step={5}
        bigStep={20}
        min={0}
        max={100}
      />
      <Amount
        label="To spare"
        value={Math.round(i.spare * 100)}
        onChange={(v) => set({ ...i, spare: v / 100 })}
        unit="%"
        step={5}
        bigStep={20}
        min={0}
        max={200}
      />
      <Amount
        label="Cells of a tray"
        value={i.cells}
        onChange={(cells) => set({ ...i, cells })}
        unit="cells"
        bigStep={10}
        min={1}
        max={600}
      />
      <Amount
        label="Seeds in each cell"
        value={i.seedsPerCell}
        onChange={(seedsPerCell) => set({ ...i, seedsPerCell })}
        unit="seeds"
        min={1}
        max={20}
      />
      <Metres
        label="Length of a tray"
        value={i.trayLengthM}
        onChange={(trayLengthM) => set({ ...i, trayLengthM })}
        step={0.01}
        bigStep={0.1}
      />
      <Metres
        label="Width of a tray"
        value={i.trayWidthM}
        onChange={(trayWidthM) => set({ ...i, trayWidthM })}
        step={0.01}
        bigStep={0.1}
      />
      <Metres
        label="Depth of the shelf"
        value={i.shelfDepthM}
        onChange={(shelfDepthM) => set({ ...i, shelfDepthM })}
        step={0.05}
        bigStep={0.2}
      />
      <Reckoned
        of={() => {
          const t = traysFor(i);
          return {
            said: `${t.trays} trays, ${m(t.shelfM)} of shelf`,
            working: [
              `${i.plants} plants and ${Math.round(i.spare * 100)} % to spare, from cells of which some stay empty: ${t.sownCells} cells.`,
              `${t.seeds} seeds, ${i.seedsPerCell} in each cell.`,
              `${t.sownCells} cells at ${i.cells} a tray: ${t.trays} trays.`,
              `${t.rows} ${t.rows === 1 ? 'tray' : 'trays'} deep on the shelf: ${m(t.shelfM)} of it.`,
            ],
          };
        }}
      />
    </>
  );
}

export function MixCalc() {
  const [vessels, setVessels] = useState(26);
  const [litresEach, setLitres] = useState(30);
  const [settles, setSettles] = useState(0.15);
  const [parts, setParts] = useState([
    { name: 'compost', parts: 2 },
    { name: 'garden soil', parts: 1 },
    { name: 'sand', parts: 1 },
  ]);
  const put = (n: number, patch: Partial<(typeof parts)[number]>) =>
    setParts(parts.map((p, j) => (j === n ? { ...p, ...patch } : p)));
  return (
    <>
      <Amount
        label="Crates or pots"
        value={vessels}
        onChange={setVessels}
        unit="vessels"
        bigStep={10}
        min={0}
        max={10000}
      />
      <Amount
        label="Litres in each"
        value={litresEach}
        onChange={setLitres}
        unit="l"
        step={0.5}
        bigStep={5}
        digits={1}
        min={0}
        max={2000}
      />
      <Amount
        label="It settles by"
        value={Math.round(settles * 100)}
        onChange={(v) => setSettles(v / 100)}
        unit="%"
        step={5}
        min={0}
        max={60}
      />
      {parts.map((p, n) => (
        <View key={n} style={{ gap: 6 }}>
          <NoteField label={`Part ${n + 1}`} value={p.name} onChange={(name) => put(n, { name })} />
          <Amount
            label={`Parts of ${p.name || 'it'}`}
            value={p.parts}
            onChange={(v) => put(n, { parts: v })}
            unit="parts"
            step={0.5}
            digits={1}
            min={0}
            max={100}
          />
        </View>
      ))}
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button
          label="One more part"
          onPress={() => setParts([...parts, { name: 'leaf mould', parts: 1 }])}
        />
        {parts.length > 1 ? (
          <Button kind="plain" label="Take the last away" onPress={() => setParts(parts.slice(0, -1))} />
        ) : null}
      </View>
      <Reckoned
        of={() => {
          const mix = mixFor({ vessels, litresEach, settles, parts });
          return {
            said: `${Math.ceil(mix.litres)} litres in all`,
            working: [
              `${vessels} × ${n1(litresEach)} l, and ${Math.round(settles * 100)} % for what settles.`,
              ...mix.of.map((o) => `${o.name}: ${n1(o.litres)} l.`),
            ],
          };
        }}
      />
    </>
  );
}
