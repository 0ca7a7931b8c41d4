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
import { packetFields as words } from '@fogata/words/en/screens/seeds';

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
    t.days === null ? '' : words.daysToHarvest(t.days),
    t.germination === null ? '' : words.of100ComeUp(t.germination),
    t.seedsPerGram === null ? '' : words.seedsAGram(t.seedsPerGram),
    t.spacingM === null ? '' : words.apart(format.metres(t.spacingM)),
  ].filter(Boolean);
  const amount =
    t.holds === 'grams' ? t.grams !== null && `${t.grams} g` : t.seeds !== null && words.seeds(t.seeds);
  return {
    what: [cropById(t.crop).name, t.name.trim()].filter(Boolean).join(' '),
    says: says.length > 0 ? says.join(', ') : words.nothingOtherThanTheBook,
    holds: words.ofOfNobodyHasSaid(amount, t.year),
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
          title: words.whatItIs,
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
                label={words.cultivar}
                value={t.name}
                onChange={(name) => set({ name })}
                placeholder={words.brasaVerde}
                testID="packet-name"
              />
            </>
          ),
        },
        {
          id: 'says',
          title: words.whatItSays,
          said: said.says,
          content: (
            <>
              <Text kind="small" tone="quiet">
                {words.onlyWhatThePacketSays}
              </Text>
              <Amount
                label={words.daysToHarvest2}
                value={t.days}
                onChange={(days) => set({ days })}
                unit={words.days}
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
                    label={words.ofAHundredSeedsSo}
                    value={t.germination}
                    onChange={(germination) => set({ germination })}
                    unit={words.of100}
                    step={1}
                    bigStep={10}
                    min={1}
                    max={100}
                    start={Math.round(100 * crop.sowing.germination)}
                    testID="packet-germination"
                  />
                  <Amount
                    label={words.seedsInAGram}
                    value={t.seedsPerGram}
                    onChange={(seedsPerGram) => set({ seedsPerGram })}
                    unit={words.aGram}
                    step={10}
                    bigStep={100}
                    min={1}
                    max={50_000}
                    start={Math.round(1000 / crop.sowing.seedMg)}
                  />
                </>
              ) : null}
              <Metres
                label={words.fromPlantToPlant}
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
          title: words.whatIsInIt,
          said: said.holds,
          content: (
            <>
              <Amount
                label={words.ofTheYear}
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
                label={words.itHoldsSoMuchBy}
                value={t.holds}
                options={[
                  { value: 'grams', label: words.weight },
                  { value: 'seeds', label: words.numberOfSeeds },
                ]}
                onChange={(holds) => set({ holds })}
              />
              {t.holds === 'grams' ? (
                <Amount
                  label={words.weight2}
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
                  label={words.seeds2}
                  value={t.seeds}
                  onChange={(seeds) => set({ seeds })}
                  unit={words.seeds3}
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
