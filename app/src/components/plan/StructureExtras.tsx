/** What some structures have besides: age of the cover, shade, water, heat, a maker's rating; each with its caution. */
import type { Structure } from '@fogata/core';
import { Amount, Choose, Fold, Measured } from '../ui/Fields';
import { Text } from '../ui/Text';

const HEAT_NOTE = {
  manure: 'Fresh manure: gloves, and none on what is eaten raw for the months your rules ask.',
  cable: 'Only with a residual-current device, laid and checked by a licensed electrician.',
  air: 'Only as the maker and local code allow: ventilation, a carbon monoxide alarm, never beside fabric.',
} as const;

export function StructureExtras({ s, set }: { s: Structure; set: (patch: Partial<Structure>) => void }) {
  return (
    <>
      <Fold title="Shade, water, heat" open={Boolean(s.shade || s.waterLitres || s.heat)}>
        <Choose
          label="Shade cloth that stays on"
          value={s.shade ?? 'none'}
          options={[
            { value: 'none', label: 'none' },
            { value: 'shade-30', label: '30 %' },
            { value: 'shade-50', label: '50 %' },
          ]}
          onChange={(v) => set({ shade: v === 'none' ? null : v })}
        />
        <Measured
          what="volume"
          label="Water in jugs and barrels"
          value={s.waterLitres ?? 0}
          onChange={(waterLitres) => set({ waterLitres })}
          steps={{ si: [10, 100], feet: [5, 25] }}
          min={0}
          max={50000}
        />
        <Choose
          label="Heat, if any"
          value={s.heat?.kind ?? 'none'}
          options={[
            { value: 'none', label: 'none' },
            { value: 'manure', label: 'fermenting manure' },
            { value: 'cable', label: 'soil cable' },
            { value: 'air', label: 'air heater' },
          ]}
          onChange={(v) => set({ heat: v === 'none' ? null : { kind: v, wm2: s.heat?.wm2 ?? 50 } })}
        />
        {s.heat ? (
          <>
            <Amount
              label="Heat for each m² of floor"
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
      <Fold title="Age, and what its maker rates it for" open={Boolean(s.snowRatingKgM2 ?? s.windRatingMps)}>
        <Amount
          label="Covered in the year"
          value={s.coveredYear ?? null}
          onChange={(coveredYear) => set({ coveredYear })}
          unit=""
          min={1950}
          max={2200}
          note="Old film passes less light and tears sooner; the night is not much colder for it."
        />
        <Measured
          what="load"
          label="Snow it is rated for"
          value={s.snowRatingKgM2 ?? null}
          onChange={(snowRatingKgM2) => set({ snowRatingKgM2 })}
          steps={{ si: [5, 25], feet: [1, 5] }}
          min={0}
          max={1000}
        />
        <Measured
          what="speed"
          label="Wind it is rated for"
          value={s.windRatingMps ?? null}
          onChange={(windRatingMps) => set({ windRatingMps })}
          steps={{ si: [1, 5], feet: [5, 10] }}
          min={0}
          max={100}
        />
        <Text kind="small" tone="ochre">
          ▲ Only the maker’s or an engineer’s figure counts here. Leave it empty where you have none: the tool
          then says so.
        </Text>
      </Fold>
    </>
  );
}
