/** Crates on a bench, trays on a shelf. */
import { cratesFor, traysFor, type Bed } from '@fogata/core';
import { useState } from 'react';
import { useFormat } from '../../data/format';
import { Amount, Metres } from '../ui/Fields';
import { Reckoned } from './parts';
import { nurseryCalcs as words } from '@fogata/words/en/screens/calc';

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
        label={words.lengthOfTheBench}
        value={i.benchLengthM}
        onChange={(benchLengthM) => set({ ...i, benchLengthM })}
        step={0.5}
      />
      <Metres
        label={words.widthOfTheBench}
        value={i.benchWidthM}
        onChange={(benchWidthM) => set({ ...i, benchWidthM })}
      />
      <Amount
        label={words.benchesLikeItInThe}
        value={i.benches}
        onChange={(benches) => set({ ...i, benches })}
        unit={words.benches}
        min={1}
        max={200}
      />
      <Metres
        label={words.lengthOfACrate}
        value={i.crateLengthM}
        onChange={(crateLengthM) => set({ ...i, crateLengthM })}
        step={0.05}
        bigStep={0.2}
      />
      <Metres
        label={words.widthOfACrate}
        value={i.crateWidthM}
        onChange={(crateWidthM) => set({ ...i, crateWidthM })}
        step={0.05}
        bigStep={0.2}
      />
      <Metres
        label={words.gapBetweenCrates}
        value={i.gapM}
        onChange={(gapM) => set({ ...i, gapM })}
        step={0.01}
        bigStep={0.05}
      />
      <Amount
        label={words.plantsInEach}
        value={i.plantsEach}
        onChange={(plantsEach) => set({ ...i, plantsEach })}
        unit={words.plants}
        min={1}
        max={2000}
      />
      <Reckoned
        of={() => {
          const c = cratesFor(i);
          return {
            said: words.cratesPlants(c.crates, c.plants),
            working: [
              words.cratesAcrossTheBenchCrates({
                turned: c.turned,
                inRow: c.inRow,
                rows: c.rows,
                perBench: c.perBench,
                m: m(i.benchLengthM),
                m2: m(i.benchWidthM),
              }),
              words.onEachOfBenchBenches({ perBench: c.perBench, benches: i.benches, crates: c.crates }),
              words.plantsInEach2(i.plantsEach, c.plants),
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
        label={words.plantsWanted}
        value={i.plants}
        onChange={(plants) => set({ ...i, plants })}
        unit={words.plants}
        step={10}
        bigStep={100}
        min={0}
        max={100000}
      />
      <Amount
        label={words.ofAHundredSeedsSo}
        value={Math.round(i.emerges * 100)}
        onChange={(v) => set({ ...i, emerges: v / 100 })}
        unit={words.of100}
        step={5}
        bigStep={20}
        min={0}
        max={100}
      />
      <Amount
        label={words.toSpare}
        value={Math.round(i.spare * 100)}
        onChange={(v) => set({ ...i, spare: v / 100 })}
        unit="%"
        step={5}
        bigStep={20}
        min={0}
        max={200}
      />
      <Amount
        label={words.cellsOfATray}
        value={i.cells}
        onChange={(cells) => set({ ...i, cells })}
        unit={words.cells}
        bigStep={10}
        min={1}
        max={600}
      />
      <Amount
        label={words.seedsInEachCell}
        value={i.seedsPerCell}
        onChange={(seedsPerCell) => set({ ...i, seedsPerCell })}
        unit={words.seeds}
        min={1}
        max={20}
      />
      <Metres
        label={words.lengthOfATray}
        value={i.trayLengthM}
        onChange={(trayLengthM) => set({ ...i, trayLengthM })}
        step={0.01}
        bigStep={0.1}
      />
      <Metres
        label={words.widthOfATray}
        value={i.trayWidthM}
        onChange={(trayWidthM) => set({ ...i, trayWidthM })}
        step={0.01}
        bigStep={0.1}
      />
      <Metres
        label={words.depthOfTheShelf}
        value={i.shelfDepthM}
        onChange={(shelfDepthM) => set({ ...i, shelfDepthM })}
        step={0.05}
        bigStep={0.2}
      />
      <Reckoned
        of={() => {
          const t = traysFor(i);
          return {
            said: words.traysOfShelf(t.trays, m(t.shelfM)),
            working: [
              words.plantsAndToSpareFrom({
                plants: i.plants,
                spare: Math.round(i.spare * 100),
                sownCells: t.sownCells,
              }),
              words.seedsInEachCell2(t.seeds, i.seedsPerCell),
              words.cellsAtATrayTrays({ sownCells: t.sownCells, cells: i.cells, trays: t.trays }),
              words.trayTraysDeepOnThe(t.rows, m(t.shelfM)),
            ],
          };
        }}
      />
    </>
  );
}
