/** The sheet over a bed, and the hoops under it. */
import { holdingFor, hoopsFor, sheetFor, USUAL_SIDE_M, type Bed } from '@fogata/core';
import { useState } from 'react';
import { useFormat } from '../../data/format';
import { useFarm } from '../../data/hooks';
import { Choose, Metres } from '../ui/Fields';
import { Reckoned } from './parts';
import { sheetCalc as words } from '@fogata/words/en/screens/calc';

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
        label={words.lengthOfTheBed}
        value={i.lengthM}
        onChange={(lengthM) => set({ ...i, lengthM })}
        step={0.5}
        bigStep={5}
      />
      <Metres
        label={words.widthOverTheHoopsFeet}
        value={i.widthM}
        onChange={(widthM) => set({ ...i, widthM })}
      />
      <Metres
        label={words.heightOfTheHoops}
        value={i.hoopHeightM}
        onChange={(hoopHeightM) => set({ ...i, hoopHeightM })}
        max={2}
      />
      <Metres
        label={words.onTheGroundAtEach}
        value={i.sideM}
        onChange={(sideM) => set({ ...i, sideM })}
        step={0.05}
        bigStep={0.2}
        max={2}
      />
      <Choose
        label={words.itsEnds}
        value={i.ends}
        options={[
          { value: 'closed', label: words.comeDownToTheGround },
          { value: 'open', label: words.stayOpen },
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
                ? words.overTheHoopsHalfAn({ m: m(i.widthM), m2: m(i.hoopHeightM), m3: m(s.arcM) })
                : words.laidFlat(m(i.widthM)),
              words.widthAndTwiceUpTo({ m: m(s.arcM), m2: m(i.sideM), m3: m(s.widthM) }),
              words.lengthAndTwiceAtThe({ m: m(i.lengthM), m2: m(s.endM), m3: m(s.lengthM) }),
              words.toHoldItAsA(hold.bags, hold.pegs),
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
        label={words.lengthOfTheBed}
        value={i.lengthM}
        onChange={(lengthM) => set({ ...i, lengthM })}
        step={0.5}
        bigStep={5}
      />
      <Metres
        label={words.widthBetweenTheirFeet}
        value={i.widthM}
        onChange={(widthM) => set({ ...i, widthM })}
      />
      <Metres label={words.height} value={i.heightM} onChange={(heightM) => set({ ...i, heightM })} max={2} />
      <Metres
        label={words.noFurtherApartThan}
        value={i.spacingM}
        onChange={(spacingM) => set({ ...i, spacingM })}
      />
      <Metres
        label={words.inTheGroundAtEach}
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
            said: words.hoopsOf(h.hoops, m(h.rodM)),
            working: [
              words.inGapsEach({ m: m(i.lengthM), hoops: h.hoops - 1, m2: m(h.everyM) }),
              words.eachRodOverTheBed(m(arcM), m(i.footM)),
              words.ofRodInAll(m(h.rodsM)),
              words.closerWhereSnowLiesOr,
            ],
          };
        }}
      />
    </>
  );
}
