/** A kind of sheet, in steps: what it is, how large, how it lies, where it is kept. */
import { bears, countWord, MATERIAL_IDS, MATERIALS, upper, type Cover, type MaterialId } from '@fogata/core';
import { useState } from 'react';
import { useFormat, type Format } from '../../data/format';
import { NoteField } from '../ui/Field';
import { Amount, Choose, Metres } from '../ui/Fields';
import { Steps } from '../ui/Steps';
import { CoverWays, WORDS } from './CoverWays';
import { sheetFields as words } from '@fogata/words/en/screens/covers';

type StepId = 'what' | 'size' | 'lies' | 'kept';

/** What each part says while it is shut. */
export function saidOf(c: Cover, format: Format): Record<StepId, string> {
  const state = c.condition ?? 'good';
  const ways = (c.ways ?? bears(c.material)).filter((u) => u !== c.use).length;
  const minutes = words.minToLayOne(c.minutes);
  return {
    what: `${MATERIALS[c.material].name}, ${state}`,
    size: words.piecePieces({
      lengthM: format.metres(c.lengthM),
      widthM: format.metres(c.widthM),
      countWord: countWord(c.count),
      count: c.count,
    }),
    lies: `${WORDS[c.use]}${ways === 0 ? '' : words.orInOtherWayWays(countWord(ways), ways)}`,
    kept: c.keptAt ? `${c.keptAt}, ${minutes}` : minutes,
  };
}

export function SheetFields({
  sheet: c,
  onChange: set,
}: {
  sheet: Cover;
  onChange: (more: Partial<Cover>) => void;
}) {
  const [step, setStep] = useState<StepId | null>('what');
  const said = saidOf(c, useFormat());
  const named = upper(MATERIALS[c.material].name);
  return (
    <Steps<StepId>
      open={step}
      onOpen={setStep}
      steps={[
        {
          id: 'what',
          title: words.whatItIs,
          said: said.what,
          content: (
            <>
              <Choose<MaterialId>
                label={words.madeOf}
                value={c.material}
                options={MATERIAL_IDS.map((m) => ({ value: m, label: MATERIALS[m].name }))}
                // a name of one's own stays
                onChange={(material) =>
                  set({
                    material,
                    ways: undefined,
                    ...(c.name === named ? { name: upper(MATERIALS[material].name) } : {}),
                  })
                }
              />
              <NoteField
                label={words.name}
                value={c.name}
                onChange={(name) => set({ name })}
                testID="cover-name"
              />
              <Choose
                label={words.theirState}
                value={c.condition ?? 'good'}
                options={[
                  { value: 'good', label: words.good },
                  { value: 'worn', label: words.worn },
                  { value: 'torn', label: words.torn },
                ]}
                onChange={(condition) => set({ condition })}
                {...(c.condition === 'torn'
                  ? {
                      note: words.aTornOneCountsAs,
                    }
                  : {})}
              />
            </>
          ),
        },
        {
          id: 'size',
          title: words.howLargeHowMany,
          said: said.size,
          content: (
            <>
              <Metres
                label={words.length}
                value={c.lengthM}
                onChange={(lengthM) => set({ lengthM })}
                step={0.5}
                bigStep={5}
                testID="cover-length"
              />
              <Metres
                label={words.width}
                value={c.widthM}
                onChange={(widthM) => set({ widthM })}
                testID="cover-width"
              />
              <Amount
                label={words.pieces}
                value={c.count}
                onChange={(count) => set({ count })}
                unit={words.pieces2}
                bigStep={5}
                min={0}
                max={999}
                testID="cover-count"
              />
            </>
          ),
        },
        {
          id: 'lies',
          title: words.howItLies,
          said: said.lies,
          content: (
            <>
              <Choose
                label={words.howItUsuallyLies}
                value={c.use}
                options={[
                  { value: 'hoops', label: words.onHoops },
                  { value: 'flat', label: words.laidOnTheCrop },
                  { value: 'over', label: words.overFramesAndTunnels },
                ]}
                onChange={(use) => set({ use })}
              />
              <CoverWays cover={c} onChange={(ways) => set({ ways })} />
            </>
          ),
        },
        {
          id: 'kept',
          title: words.whereItIsKept,
          said: said.kept,
          content: (
            <>
              <NoteField
                label={words.whereTheyAreKept}
                value={c.keptAt ?? ''}
                onChange={(keptAt) => set({ keptAt })}
                placeholder={words.shedLeftWall}
              />
              <NoteField
                label={words.cutOrSewnFor}
                value={c.madeFor ?? ''}
                onChange={(madeFor) => set({ madeFor })}
                placeholder={words.theLongBeds}
              />
              <Amount
                label={words.minutesToFetchAndLay}
                value={c.minutes}
                onChange={(minutes) => set({ minutes })}
                unit={words.min}
                bigStep={5}
                min={0}
                max={240}
              />
            </>
          ),
        },
      ]}
    />
  );
}
