/** A packet, in steps: what it is, what it says, what is in it. What it does not say stays as the book has it. */
import { CROPS, cropById, type Packet } from '@fogata/core';
import { packetDays } from '@fogata/core/season';
import { useState } from 'react';
import { useFormat, type Format } from '../../data/format';
import { CropChoice } from '../ui/CropChoice';
import { NoteField } from '../ui/Field';
import { Amount, Choose, Metres } from '../ui/Fields';
import { Steps } from '../ui/Steps';
import { Text } from '../ui/Text';

export interface Typed {
  crop: string;
  name: string;
  days: number | null;
  germination: number | null;
  seedsPerGram: number | null;
  spacingM: number | null;
  depthMm: number | null;
  year: number;
  holds: 'grams' | 'seeds';
  grams: number | null;
  seeds: number | null;
}

export const packetOf = (t: Typed): Packet => ({
  daysToHarvest: t.days,
  germination: t.germination === null ? null : t.germination / 100,
  seedsPerGram: t.seedsPerGram,
  spacingM: t.spacingM,
  depthMm: t.depthMm,
});

type StepId = 'what' | 'says' | 'holds';

/** What each part says while it is shut. */
export function saidOf(t: Typed, format: Pick<Format, 'metres'>): Record<StepId, string> {
  const says = [
    t.days === null ? '' : `${t.days} days to harvest`,
    t.germination === null ? '' : `${t.germination} of 100 come up`,
    t.seedsPerGram === null ? '' : `${t.seedsPerGram} seeds a gram`,
    t.spacingM === null ? '' : `${format.metres(t.spacingM)} apart`,
  ].filter(Boolean);
  const amount =
    t.holds === 'grams' ? t.grams !== null && `${t.grams} g` : t.seeds !== null && `${t.seeds} seeds`;
  return {
    what: [cropById(t.crop).name, t.name.trim()].filter(Boolean).join(' '),
    says: says.length > 0 ? says.join(', ') : 'nothing other than the book',
    holds: amount ? `${amount}, of ${t.year}` : `of ${t.year}, nobody has said how much`,
  };
}

export function PacketFields({
  typed: t,
  set,
  year,
}: {
  typed: Typed;
  set: (more: Partial<Typed>) => void;
  year: number;
}) {
  const [step, setStep] = useState<StepId | null>('what');
  const crop = cropById(t.crop);
  const said = saidOf(t, useFormat());
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
              <CropChoice
                crops={CROPS}
                value={t.crop}
                onChange={(id) =>
                  set({ crop: id, days: null, seedsPerGram: null, spacingM: null, depthMm: null })
                }
              />
              <NoteField
                label="Cultivar"
                value={t.name}
                onChange={(name) => set({ name })}
                placeholder="Brasa Verde"
                testID="packet-name"
              />
            </>
          ),
        },
        {
          id: 'says',
          title: 'What it says',
          said: said.says,
          content: (
            <>
              <Text kind="small" tone="quiet">
                Only what the packet says: the rest stays as the book has it.
              </Text>
              <Amount
                label="Days to harvest"
                value={t.days}
                onChange={(days) => set({ days })}
                unit="days"
                step={1}
                bigStep={10}
                min={10}
                max={400}
                start={Math.round(packetDays(crop))}
                testID="packet-days"
              />
              {crop.sowing ? (
                <>
                  <Amount
                    label="Of a hundred seeds, so many come up"
                    value={t.germination}
                    onChange={(germination) => set({ germination })}
                    unit="of 100"
                    step={1}
                    bigStep={10}
                    min={1}
                    max={100}
                    start={Math.round(100 * crop.sowing.germination)}
                    testID="packet-germination"
                  />
                  <Amount
                    label="Seeds in a gram"
                    value={t.seedsPerGram}
                    onChange={(seedsPerGram) => set({ seedsPerGram })}
                    unit="a gram"
                    step={10}
                    bigStep={100}
                    min={1}
                    max={50_000}
                    start={Math.round(1000 / crop.sowing.seedMg)}
                  />
                </>
              ) : null}
              <Metres
                label="From plant to plant"
                value={t.spacingM ?? crop.spacingM}
                onChange={(spacingM) => set({ spacingM })}
                step={0.01}
                bigStep={0.1}
                min={0.01}
                max={3}
              />
            </>
          ),
        },
        {
          id: 'holds',
          title: 'What is in it',
          said: said.holds,
          content: (
            <>
              <Amount
                label="Of the year"
                value={t.year}
                onChange={(y) => set({ year: y })}
                unit=""
                step={1}
                bigStep={5}
                min={1980}
                max={year + 1}
                testID="packet-year"
              />
              <Choose
                label="It holds so much, by"
                value={t.holds}
                options={[
                  { value: 'grams', label: 'weight' },
                  { value: 'seeds', label: 'number of seeds' },
                ]}
                onChange={(holds) => set({ holds })}
              />
              {t.holds === 'grams' ? (
                <Amount
                  label="Weight"
                  value={t.grams}
                  onChange={(grams) => set({ grams })}
                  unit="g"
                  step={1}
                  bigStep={25}
                  digits={1}
                  min={0}
                  max={100_000}
                  start={10}
                  testID="packet-grams"
                />
              ) : (
                <Amount
                  label="Seeds"
                  value={t.seeds}
                  onChange={(seeds) => set({ seeds })}
                  unit="seeds"
                  step={50}
                  bigStep={1000}
                  min={0}
                  max={10_000_000}
                  start={500}
                />
              )}
            </>
          ),
        },
      ]}
    />
  );
}
