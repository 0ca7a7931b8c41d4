/** Seed for a stand: how many a hole or a metre, how many grams, and when it is up. */
import { cropById, CROPS, germinationNow, standFor } from '@fogata/core';
import { useState } from 'react';
import { useFormat } from '../../data/format';
import { CropChoice } from '../ui/CropChoice';
import { Amount, Choose, Degrees, Metres } from '../ui/Fields';
import { Text } from '../ui/Text';
import { n1, Reckoned } from './parts';
import { seedsCalc as words } from '@fogata/words/en/screens/calc';

const SOWN = CROPS.filter((c) => c.sowing && c.emergence);

export function SeedsCalc() {
  const format = useFormat();
  const [i, set] = useState({
    crop: 'carrot',
    tested: null as number | null,
    ageYears: 1,
    soilC: 12,
    per: 'metre' as 'hole' | 'metre',
    plantsPerMetre: 33,
    count: 20,
    confidence: 0.9,
    spare: 0.1,
  });
  const crop = cropById(i.crop);
  const usual = crop.sowing?.germination ?? 0;
  return (
    <>
      <CropChoice
        crops={SOWN}
        value={i.crop}
        placeholder={words.carrots}
        onChange={(id) =>
          set({
            ...i,
            crop: id,
            tested: null,
            plantsPerMetre: Math.max(1, Math.round(1 / cropById(id).spacingM)),
          })
        }
      />
      <Choose
        label={words.sown}
        value={i.per}
        options={[
          { value: 'metre', label: words.alongARow },
          { value: 'hole', label: words.inHolesOrCellsOne },
        ]}
        onChange={(per) => set({ ...i, per })}
      />
      {i.per === 'metre' ? (
        <>
          <Metres
            label={words.rowToSow}
            value={i.count}
            onChange={(count) => set({ ...i, count })}
            step={1}
            bigStep={10}
            min={0.5}
          />
          <Amount
            label={words.plantsWanted}
            value={i.plantsPerMetre}
            onChange={(plantsPerMetre) => set({ ...i, plantsPerMetre })}
            unit={words.aMetre}
            bigStep={10}
            min={1}
            max={200}
          />
        </>
      ) : (
        <Amount
          label={words.holesOrCells}
          value={i.count}
          onChange={(count) => set({ ...i, count })}
          unit={words.holes}
          bigStep={50}
          min={1}
          max={100000}
        />
      )}
      <Amount
        label={words.testedOfAHundredSeeds}
        value={i.tested === null ? null : Math.round(i.tested * 100)}
        onChange={(v) => set({ ...i, tested: v / 100 })}
        unit={words.of100}
        step={5}
        bigStep={20}
        min={1}
        max={100}
        start={Math.round(usual * 100)}
        note={
          i.tested === null ? words.notTestedFreshAsIs(Math.round(usual * 100)) : words.asTestedItsAgeCounts
        }
      />
      <Amount
        label={words.theSeedsAge}
        value={i.ageYears}
        onChange={(ageYears) => set({ ...i, ageYears })}
        unit={words.years}
        min={0}
        max={20}
      />
      <Degrees
        label={words.soilAtTheSeedsDepth}
        value={i.soilC}
        onChange={(soilC) => set({ ...i, soilC })}
        min={-2}
        max={40}
      />
      <Choose
        label={words.howSureOfTheStand}
        value={String(i.confidence)}
        options={[
          { value: '0.8', label: words.words8In10 },
          { value: '0.9', label: words.words9In10 },
          { value: '0.98', label: words.words98In100 },
        ]}
        onChange={(v) => set({ ...i, confidence: Number(v) })}
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
      <Reckoned
        of={() => {
          const s = standFor({
            ...i,
            crop,
            germination: i.tested ?? usual,
            ageYears: i.tested === null ? i.ageYears : 0,
          });
          const per = words.aMetreAHole(i.per);
          return {
            said: words.seedsGInAll({
              seeds: s.seeds,
              per,
              grams: s.grams < 10 ? s.grams.toFixed(1) : Math.round(s.grams),
            }),
            working: [
              i.tested === null
                ? words.of100SeedsGerminateFresh({
                    usual: Math.round(usual * 100),
                    germinationNow: Math.round(
                      germinationNow(usual, i.ageYears, crop.sowing!.halfLifeYears) * 100,
                    ),
                    ageYears: i.ageYears,
                    halfLifeYears: crop.sowing!.halfLifeYears,
                  })
                : words.of100SeedsGerminateAs(Math.round(s.germination * 100)),
              words.inSoilOfItIs({
                soilC: format.t(i.soilC),
                daysUp: Math.round(s.daysUp),
                comesUp: Math.round(s.comesUp * 100),
              }),
              words.giveWhatIsWantedIn({ seeds: s.seeds, per, confidence: Math.round(i.confidence * 100) }),
              words.seedsWithToSpareMg({
                all: s.all,
                spare: Math.round(i.spare * 100),
                n1: n1(crop.sowing!.seedMg),
              }),
            ],
          };
        }}
      />
      <Text kind="small" tone="quiet">
        {words.germinationHalfLifeAndDays}
      </Text>
    </>
  );
}
