/** Crates on a bench, trays on a shelf. */
import { cratesFor, traysFor, type Bed } from '@fogata/core';
import { useState } from 'react';
import { useFormat } from '../../data/format';
import { Amount, Metres } from '../ui/Fields';
import { Reckoned } from './parts';

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
