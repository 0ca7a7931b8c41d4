/** A kind of sheet, in steps: what it is, how large, how it lies, where it is kept. */
import { bears, countWord, MATERIAL_IDS, MATERIALS, upper, type Cover, type MaterialId } from '@fogata/core';
import { useState } from 'react';
import { useFormat, type Format } from '../../data/format';
import { NoteField } from '../ui/Field';
import { Amount, Choose, Metres } from '../ui/Fields';
import { Steps } from '../ui/Steps';
import { CoverWays, WORDS } from './CoverWays';

type StepId = 'what' | 'size' | 'lies' | 'kept';

/** What each part says while it is shut. */
export function saidOf(c: Cover, format: Format): Record<StepId, string> {
  const state = c.condition ?? 'good';
  const ways = (c.ways ?? bears(c.material)).filter((u) => u !== c.use).length;
  const minutes = `${c.minutes} min to lay one`;
  return {
    what: `${MATERIALS[c.material].name}, ${state}`,
    size: `${format.metres(c.lengthM)} × ${format.metres(c.widthM)}, ${countWord(c.count)} ${c.count === 1 ? 'piece' : 'pieces'}`,
    lies: `${WORDS[c.use]}${ways === 0 ? '' : `, or in ${countWord(ways)} other ${ways === 1 ? 'way' : 'ways'}`}`,
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
          title: 'What it is',
          said: said.what,
          content: (
            <>
              <Choose<MaterialId>
                label="Made of"
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
              <NoteField label="Name" value={c.name} onChange={(name) => set({ name })} testID="cover-name" />
              <Choose
                label="Their state"
                value={c.condition ?? 'good'}
                options={[
                  { value: 'good', label: 'good' },
                  { value: 'worn', label: 'worn' },
                  { value: 'torn', label: 'torn' },
                ]}
                onChange={(condition) => set({ condition })}
                {...(c.condition === 'torn'
                  ? {
                      note: 'A torn one counts as draughty on the bed, and is not counted on for a bed of its own.',
                    }
                  : {})}
              />
            </>
          ),
        },
        {
          id: 'size',
          title: 'How large, how many',
          said: said.size,
          content: (
            <>
              <Metres
                label="Length"
                value={c.lengthM}
                onChange={(lengthM) => set({ lengthM })}
                step={0.5}
                bigStep={5}
                testID="cover-length"
              />
              <Metres
                label="Width"
                value={c.widthM}
                onChange={(widthM) => set({ widthM })}
                testID="cover-width"
              />
              <Amount
                label="Pieces"
                value={c.count}
                onChange={(count) => set({ count })}
                unit="pieces"
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
          title: 'How it lies',
          said: said.lies,
          content: (
            <>
              <Choose
                label="How it usually lies"
                value={c.use}
                options={[
                  { value: 'hoops', label: 'on hoops' },
                  { value: 'flat', label: 'laid on the crop' },
                  { value: 'over', label: 'over frames and tunnels' },
                ]}
                onChange={(use) => set({ use })}
              />
              <CoverWays cover={c} onChange={(ways) => set({ ways })} />
            </>
          ),
        },
        {
          id: 'kept',
          title: 'Where it is kept',
          said: said.kept,
          content: (
            <>
              <NoteField
                label="Where they are kept"
                value={c.keptAt ?? ''}
                onChange={(keptAt) => set({ keptAt })}
                placeholder="shed, left wall"
              />
              <NoteField
                label="Cut or sewn for"
                value={c.madeFor ?? ''}
                onChange={(madeFor) => set({ madeFor })}
                placeholder="the long beds"
              />
              <Amount
                label="Minutes to fetch and lay one"
                value={c.minutes}
                onChange={(minutes) => set({ minutes })}
                unit="min"
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
