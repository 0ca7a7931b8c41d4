/** What some structures have besides: age of the cover, shade, water, heat, a maker's rating; each with its caution. */
import type { Structure } from '@fogata/core';
import { Amount, Choose, Fold, Measured } from '../ui/Fields';
import { Text } from '../ui/Text';
import { structureExtras as words } from '@fogata/words/en/screens/structures';

const HEAT_NOTE = {
  manure: words.freshManureGlovesAndNone,
  cable: words.onlyWithAResidualCurrent,
  air: words.onlyAsTheMakerAnd,
} as const;

export function StructureExtras({ s, set }: { s: Structure; set: (patch: Partial<Structure>) => void }) {
  return (
    <>
      <Fold title={words.shadeWaterHeat} open={Boolean(s.shade || s.waterLitres || s.heat)}>
        <Choose
          label={words.shadeClothThatStaysOn}
          value={s.shade ?? 'none'}
          options={[
            { value: 'none', label: words.none },
            { value: 'shade-30', label: '30 %' },
            { value: 'shade-50', label: '50 %' },
          ]}
          onChange={(v) => set({ shade: v === 'none' ? null : v })}
        />
        <Measured
          what="volume"
          label={words.waterInJugsAndBarrels}
          value={s.waterLitres ?? 0}
          onChange={(waterLitres) => set({ waterLitres })}
          steps={{ si: [10, 100], feet: [5, 25] }}
          min={0}
          max={50000}
        />
        <Choose
          label={words.heatIfAny}
          value={s.heat?.kind ?? 'none'}
          options={[
            { value: 'none', label: words.none },
            { value: 'manure', label: words.fermentingManure },
            { value: 'cable', label: words.soilCable },
            { value: 'air', label: words.airHeater },
          ]}
          onChange={(v) => set({ heat: v === 'none' ? null : { kind: v, wm2: s.heat?.wm2 ?? 50 } })}
        />
        {s.heat ? (
          <>
            <Amount
              label={words.heatForEachMOf}
              value={s.heat.wm2}
              onChange={(wm2) => set({ heat: { ...s.heat!, wm2 } })}
              unit="W/m²"
              step={5}
              bigStep={25}
              min={0}
              max={300}
            />
            <Text kind="small" tone="ochre">{`▲ ${HEAT_NOTE[s.heat.kind]}`}</Text>
          </>
        ) : null}
      </Fold>
      <Fold title={words.ageAndWhatItsMaker} open={Boolean(s.snowRatingKgM2 ?? s.windRatingMps)}>
        <Amount
          label={words.coveredInTheYear}
          value={s.coveredYear ?? null}
          onChange={(coveredYear) => set({ coveredYear })}
          unit=""
          min={1950}
          max={2200}
          note={words.oldFilmPassesLessLight}
        />
        <Measured
          what="load"
          label={words.snowItIsRatedFor}
          value={s.snowRatingKgM2 ?? null}
          onChange={(snowRatingKgM2) => set({ snowRatingKgM2 })}
          steps={{ si: [5, 25], feet: [1, 5] }}
          min={0}
          max={1000}
        />
        <Measured
          what="speed"
          label={words.windItIsRatedFor}
          value={s.windRatingMps ?? null}
          onChange={(windRatingMps) => set({ windRatingMps })}
          steps={{ si: [1, 5], feet: [5, 10] }}
          min={0}
          max={100}
        />
        <Text kind="small" tone="ochre">
          {words.onlyTheMakersOrAn}
        </Text>
      </Fold>
    </>
  );
}
