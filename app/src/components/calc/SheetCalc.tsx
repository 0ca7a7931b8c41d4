/** The sheet over a bed, and the hoops under it. */
import { holdingFor, hoopsFor, sheetFor, USUAL_SIDE_M, type Bed } from '@fogata/core';
import { useState } from 'react';
import { useFormat } from '../../data/format';
import { useFarm } from '../../data/hooks';
import { Choose, Metres } from '../ui/Fields';
import { Reckoned } from './parts';

export function SheetCalc({ bed }: { bed: Bed | null }) {
  const format = useFormat();
  const { data } = useFarm();
  const [i, set] = useState({
    lengthM: bed?.lengthM ?? 20,
    widthM: bed?.widthM ?? 1,
    hoopHeightM: bed?.hoopHeightM ?? 0.5,
    sideM: USUAL_SIDE_M,
    ends: 'closed' as 'closed' | 'open',
  });
  const m = format.metres;
  return (
    <>
      <Metres
        label="Length of the bed"
        value={i.lengthM}
        onChange={(lengthM) => set({ ...i, lengthM })}
        step={0.5}
        bigStep={5}
      />
      <Metres
        label="Width over the hoops’ feet"
        value={i.widthM}
        onChange={(widthM) => set({ ...i, widthM })}
      />
      <Metres
        label="Height of the hoops"
        value={i.hoopHeightM}
        onChange={(hoopHeightM) => set({ ...i, hoopHeightM })}
        max={2}
      />
      <Metres
        label="On the ground at each side"
        value={i.sideM}
        onChange={(sideM) => set({ ...i, sideM })}
        step={0.05}
        bigStep={0.2}
        max={2}
      />
      <Choose
        label="Its ends"
        value={i.ends}
        options={[
          { value: 'closed', label: 'come down to the ground' },
          { value: 'open', label: 'stay open' },
        ]}
        onChange={(ends) => set({ ...i, ends })}
      />
      <Reckoned
        of={() => {
          const s = sheetFor(i);
          const hold = holdingFor(s.lengthM, s.widthM, data?.farm.wind ?? 'open');
          return {
            said: `${m(s.lengthM)} × ${m(s.widthM)}`,
            working: [
              i.hoopHeightM > 0
                ? `Over the hoops, half an ellipse ${m(i.widthM)} wide and ${m(i.hoopHeightM)} high: ${m(s.arcM)}.`
                : `Laid flat: ${m(i.widthM)}.`,
              `Width: ${m(s.arcM)} and twice ${m(i.sideM)}, up to the next tenth: ${m(s.widthM)}.`,
              `Length: ${m(i.lengthM)} and twice ${m(s.endM)} at the ends: ${m(s.lengthM)}.`,
              `To hold it, as a starting value: ${hold.bags} sandbags or ${hold.pegs} pegs.`,
            ],
          };
        }}
      />
    </>
  );
}

export function HoopsCalc({ bed }: { bed: Bed | null }) {
  const format = useFormat();
  const m = format.metres;
  const [i, set] = useState({
    lengthM: bed?.lengthM ?? 20,
    widthM: bed?.widthM ?? 1,
    heightM: bed?.hoopHeightM || 0.5,
    spacingM: 1.5,
    footM: 0.2,
  });
  return (
    <>
      <Metres
        label="Length of the bed"
        value={i.lengthM}
        onChange={(lengthM) => set({ ...i, lengthM })}
        step={0.5}
        bigStep={5}
      />
      <Metres
        label="Width between their feet"
        value={i.widthM}
        onChange={(widthM) => set({ ...i, widthM })}
      />
      <Metres label="Height" value={i.heightM} onChange={(heightM) => set({ ...i, heightM })} max={2} />
      <Metres
        label="No further apart than"
        value={i.spacingM}
        onChange={(spacingM) => set({ ...i, spacingM })}
      />
      <Metres
        label="In the ground at each foot"
        value={i.footM}
        onChange={(footM) => set({ ...i, footM })}
        step={0.05}
        bigStep={0.2}
      />
      <Reckoned
        of={() => {
          const { arcM } = sheetFor({ ...i, hoopHeightM: i.heightM, sideM: 0, ends: 'open' });
          const h = hoopsFor({ ...i, arcM });
          return {
            said: `${h.hoops} hoops of ${m(h.rodM)}`,
            working: [
              `${m(i.lengthM)} in ${h.hoops - 1} gaps, ${m(h.everyM)} each.`,
              `Each rod: ${m(arcM)} over the bed and twice ${m(i.footM)} in the ground.`,
              `${m(h.rodsM)} of rod in all.`,
              'Closer where snow lies or wind is hard; the maker of the rod knows what it bears.',
            ],
          };
        }}
      />
    </>
  );
}
