/** Seed for a stand: how many a hole or a metre, how many grams, and when it is up. */
import { cropById, CROPS, germinationNow, standFor } from '@fogata/core';
import { useState } from 'react';
import { useFormat } from '../../data/format';
import { CropChoice } from '../ui/CropChoice';
import { Amount, Choose, Degrees, Metres } from '../ui/Fields';
import { Text } from '../ui/Text';
import { n1, Reckoned } from './parts';

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
        placeholder="carrots"
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
        label="Sown"
        value={i.per}
        options={[
          { value: 'metre', label: 'along a row' },
          { value: 'hole', label: 'in holes or cells, one plant in each' },
        ]}
        onChange={(per) => set({ ...i, per })}
      />
      {i.per === 'metre' ? (
        <>
          <Metres
            label="Row to sow"
            value={i.count}
            onChange={(count) => set({ ...i, count })}
            step={1}
            bigStep={10}
            min={0.5}
          />
          <Amount
            label="Plants wanted"
            value={i.plantsPerMetre}
            onChange={(plantsPerMetre) => set({ ...i, plantsPerMetre })}
            unit="a metre"
            bigStep={10}
            min={1}
            max={200}
          />
        </>
      ) : (
        <Amount
          label="Holes or cells"
          value={i.count}
          onChange={(count) => set({ ...i, count })}
          unit="holes"
          bigStep={50}
          min={1}
          max={100000}
        />
      )}
      <Amount
        label="Tested: of a hundred seeds, so many come up"
        value={i.tested === null ? null : Math.round(i.tested * 100)}
        onChange={(v) => set({ ...i, tested: v / 100 })}
        unit="of 100"
        step={5}
        bigStep={20}
        min={1}
        max={100}
        start={Math.round(usual * 100)}
        note={
          i.tested === null
            ? `Not tested: ${Math.round(usual * 100)} fresh, as is usual, and what its age has left.`
            : 'As tested; its age counts no more.'
        }
      />
      <Amount
        label="The seed's age"
        value={i.ageYears}
        onChange={(ageYears) => set({ ...i, ageYears })}
        unit="years"
        min={0}
        max={20}
      />
      <Degrees
        label="Soil at the seed's depth"
        value={i.soilC}
        onChange={(soilC) => set({ ...i, soilC })}
        min={-2}
        max={40}
      />
      <Choose
        label="How sure of the stand"
        value={String(i.confidence)}
        options={[
          { value: '0.8', label: '8 in 10' },
          { value: '0.9', label: '9 in 10' },
          { value: '0.98', label: '98 in 100' },
        ]}
        onChange={(v) => set({ ...i, confidence: Number(v) })}
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
      <Reckoned
        of={() => {
          const s = standFor({
            ...i,
            crop,
            germination: i.tested ?? usual,
            ageYears: i.tested === null ? i.ageYears : 0,
          });
          const per = i.per === 'metre' ? 'a metre' : 'a hole';
          return {
            said: `${s.seeds} seeds ${per}, ${s.grams < 10 ? s.grams.toFixed(1) : Math.round(s.grams)} g in all`,
            working: [
              i.tested === null
                ? `Of 100 seeds ${Math.round(usual * 100)} germinate fresh, ${Math.round(germinationNow(usual, i.ageYears, crop.sowing!.halfLifeYears) * 100)} after ${i.ageYears} ${i.ageYears === 1 ? 'year' : 'years'}: half are gone in ${crop.sowing!.halfLifeYears}.`
                : `Of 100 seeds ${Math.round(s.germination * 100)} germinate, as tested.`,
              `In soil of ${format.t(i.soilC)} it is up after about ${Math.round(s.daysUp)} days; of 100 seeds ${Math.round(s.comesUp * 100)} get there.`,
              `${s.seeds} ${per} give what is wanted in ${Math.round(i.confidence * 100)} of 100.`,
              `${s.all} seeds with ${Math.round(i.spare * 100)} % to spare, ${n1(crop.sowing!.seedMg)} mg each.`,
            ],
          };
        }}
      />
      <Text kind="small" tone="quiet">
        Germination, half-life and days are starting values; a test of your own lot on wet paper is better.
      </Text>
    </>
  );
}
