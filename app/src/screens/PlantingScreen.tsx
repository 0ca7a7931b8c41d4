/** A planting, new or changed. It answers: what stands in these rows, since when, and what is its cover for? */
import { api, call } from '@fogata/contract/client';
import { plantingSchema, type PlantingBody } from '@fogata/contract';
import type { BedsView } from '@fogata/contract/told';
import { cropById, localDate, RESTS, STORED } from '@fogata/core';
import { zodResolver } from '@hookform/resolvers/zod';
import { router } from 'expo-router';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button, Choice } from '../components/ui/Button';
import { CropChoice } from '../components/ui/CropChoice';
import { DateStepper } from '../components/ui/DateStepper';
import { NoteField } from '../components/ui/Field';
import { Amount, Metres } from '../components/ui/Fields';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { DateChance } from '../components/season/DateChance';
import { Cultivars } from '../components/seeds/Cultivars';
import { PlantingHow } from '../components/plan/PlantingHow';
import { AIMS, saidOf, STEP_OF, type StepId } from '../components/plan/plantingParts';
import { SharedRows } from '../components/place/SharedRows';
import { FORM_WIDTH, Steps } from '../components/ui/Steps';
import { Text } from '../components/ui/Text';
import { retract } from '../data/actions';
import { useExpects } from '../data/expects';
import { useFormat } from '../data/format';
import { change, useBeds, useCrops, useFarm } from '../data/hooks';
import { newId } from '../data/id';
import { readStored, store } from '../data/storage';
import { offerUndo } from '../data/undo';
import { plantingScreen as words } from '@fogata/words/en/screens/planting';

function Form({
  start,
  isNew,
  beds,
  nowAtMs,
}: {
  start: PlantingBody;
  isNew: boolean;
  beds: BedsView;
  nowAtMs: number;
}) {
  const { data: crops } = useCrops();
  const expects = useExpects();
  const [problem, setProblem] = useState<string | null>(null);
  const draftKey = `planting:${isNew ? start.bedId : start.id}`;
  const { control, handleSubmit, setValue, getValues, formState, setError } = useForm<PlantingBody>({
    resolver: zodResolver(plantingSchema, expects.options),
    defaultValues: { ...start, ...readStored<Partial<PlantingBody>>(draftKey, {}) },
  });
  const crop = useWatch({ control, name: 'crop' });
  const typed = { ...start, ...useWatch({ control }) };
  const { bed, plantings } = beds.structures.flatMap((s) => s.beds).find((b) => b.bed.id === start.bedId)!;
  const format = useFormat();
  const [step, setStep] = useState<StepId | null>('what');
  const said = saidOf(typed, format);
  const keep = () => store(draftKey, getValues());
  const done = (label: string, recordId: string | null) => {
    store(draftKey, {});
    // saved as it was there is nothing to take back
    if (recordId !== null) offerUndo(label, () => retract([recordId], nowAtMs));
    if (router.canGoBack()) router.back();
    else router.replace('/beds');
  };
  /** Into the form, and onto the device. */
  const put =
    <T,>(field: { onChange: (v: T) => void }) =>
    (v: T) => {
      field.onChange(v);
      keep();
    };
  const save = handleSubmit(
    async (body) => {
      try {
        const r = await change(call(api.putPlanting, { id: body.id }), body);
        done(words.addedChanged(cropById(body.crop).name, isNew), r.recordId);
      } catch (e) {
        const field = (e as { field?: string }).field;
        if (field && field in body) {
          setError(field as keyof PlantingBody, { message: (e as Error).message });
          setStep(STEP_OF[field as keyof PlantingBody] ?? 'how');
        }
        setProblem(words.whatYouTypedIsKept((e as Error).message));
      }
    },
    (wrong) => setStep(STEP_OF[Object.keys(wrong)[0] as keyof PlantingBody] ?? 'how'),
  );
  const clear = async () => {
    try {
      const r = await change(call(api.clearPlanting, { id: start.id }));
      done(words.cleared(cropById(start.crop).name), r.recordId);
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  const error = expects.told(Object.values(formState.errors)[0]?.message);
  return (
    <View style={{ gap: 16 }}>
      <Text kind="title" heading={1}>
        {isNew ? words.whatGoesInto(bed.name) : words.inWord(cropById(start.crop).name, bed.name)}
      </Text>
      <Steps
        steps={[
          {
            id: 'what',
            title: words.what,
            said: said.what,
            content: (
              <>
                <CropChoice
                  crops={crops ? [...crops, ...RESTS, ...(bed.crates ? STORED : [])] : []}
                  value={crop}
                  onChange={(id) => {
                    setValue('crop', id);
                    setValue('aim', cropById(id).aim);
                    keep();
                  }}
                />
                <Controller
                  control={control}
                  name="cultivar"
                  render={({ field }) => (
                    <View style={{ gap: 6 }}>
                      <NoteField
                        label={words.cultivar}
                        value={field.value}
                        onChange={put(field)}
                        testID="cultivar"
                      />
                      <Cultivars crop={crop} value={field.value} onChange={put(field)} />
                    </View>
                  )}
                />
              </>
            ),
          },
          {
            id: 'where',
            title: words.whereAndWhen,
            said: said.where,
            content: (
              <>
                <Controller
                  control={control}
                  name="fromRow"
                  render={({ field }) => (
                    <Amount
                      label={words.fromRow}
                      value={field.value}
                      onChange={put(field)}
                      unit={words.ofWord(bed.rows)}
                      min={1}
                      max={bed.rows}
                      testID="from-row"
                    />
                  )}
                />
                <Controller
                  control={control}
                  name="toRow"
                  render={({ field }) => (
                    <Amount
                      label={words.toRow}
                      value={field.value}
                      onChange={put(field)}
                      unit={words.ofWord(bed.rows)}
                      min={1}
                      max={bed.rows}
                      testID="to-row"
                    />
                  )}
                />
                <Controller
                  control={control}
                  name="lengthM"
                  render={({ field }) => (
                    <Metres
                      label={words.lengthOfRow}
                      value={field.value}
                      onChange={put(field)}
                      step={0.5}
                      bigStep={5}
                      min={0.1}
                      max={bed.lengthM}
                    />
                  )}
                />
                <Controller
                  control={control}
                  name="plantedOn"
                  render={({ field }) => (
                    <View style={{ gap: 8 }}>
                      <DateStepper label={words.plantedOrSown} value={field.value} onChange={put(field)} />
                      <DateChance crop={crop} structureId={bed.structureId} date={field.value} />
                    </View>
                  )}
                />
              </>
            ),
          },
          {
            id: 'how',
            title: words.whatForHowPicked,
            said: said.how,
            content: (
              <>
                <View style={{ gap: 6 }}>
                  <Text kind="label" tone="quiet">
                    {words.whatItsCoverIsFor}
                  </Text>
                  <Controller
                    control={control}
                    name="aim"
                    render={({ field }) => (
                      <Choice label={words.aim} value={field.value} options={AIMS} onChange={put(field)} />
                    )}
                  />
                </View>
                <PlantingHow
                  crop={crop}
                  picked={typed.picked}
                  forSeed={typed.forSeed ?? false}
                  onPicked={(p) => {
                    setValue('picked', p);
                    keep();
                  }}
                  onSeed={(on) => {
                    setValue('forSeed', on || undefined);
                    keep();
                  }}
                />
                <Controller
                  control={control}
                  name="note"
                  render={({ field }) => (
                    <NoteField label={words.note} value={field.value} onChange={put(field)} lines={2} />
                  )}
                />
              </>
            ),
          },
        ]}
        open={step}
        onOpen={setStep}
      />
      <SharedRows planting={typed} others={plantings.map((p) => p.planting)} bed={bed} />
      {(problem ?? error) ? <Problem>{problem ?? String(error)}</Problem> : null}
      <Button
        wide
        kind="main"
        label={words.addItKeepTheChange(isNew)}
        onPress={() => void save()}
        testID="save-planting"
      />
      {isNew ? null : (
        <View style={styles.clear}>
          <Button label={words.clearTheBedOfIt} onPress={() => void clear()} testID="clear-planting" />
          <Text kind="small" tone="quiet">
            {words.itsStoryStaysInThe}
          </Text>
        </View>
      )}
    </View>
  );
}

export function PlantingScreen({ id, bedId }: { id: string; bedId: string | null }) {
  const { data: beds, error } = useBeds();
  const { data: farm } = useFarm();
  const [fresh] = useState(newId);
  const isNew = id === 'new';
  const all = beds?.structures.flatMap((s) => s.beds) ?? [];
  const existing = all.flatMap((b) => b.plantings).find((p) => p.planting.id === id)?.planting;
  const bed = all.find((b) => b.bed.id === (existing?.bedId ?? bedId));
  let content = <Loading what={words.openingThePlanting} />;
  if (!beds && error) content = <Problem>{(error as Error).message}</Problem>;
  else if (beds && farm) {
    if (!bed)
      content = (
        <Text kind="title" heading={1}>
          {words.thisPlantingIsNoLonger}
        </Text>
      );
    else {
      const used = bed.plantings.flatMap((p) =>
        Array.from({ length: p.planting.toRow - p.planting.fromRow + 1 }, (_, i) => p.planting.fromRow + i),
      );
      const rows = Array.from({ length: bed.bed.rows }, (_, i) => i + 1);
      const firstFree = rows.find((r) => !used.includes(r)) ?? 1;
      const start: PlantingBody = existing ?? {
        id: fresh,
        bedId: bed.bed.id,
        // what it is comes from the grower, never from the list's first
        crop: '',
        cultivar: '',
        fromRow: firstFree,
        toRow: bed.bed.rows,
        lengthM: bed.bed.lengthM,
        plantedOn: localDate(farm.clock.nowAtMs, farm.farm.timeZone),
        clearedOn: null,
        aim: farm.farm.schools.aim === 'crop' ? 'survive' : farm.farm.schools.aim,
        note: '',
      };
      content = <Form start={start} isNew={isNew} beds={beds} nowAtMs={farm.clock.nowAtMs} />;
    }
  }
  return (
    <Page testID="planting-form" width={FORM_WIDTH}>
      <TopLine back={words.beds} />
      {content}
      <View style={{ flexDirection: 'row', paddingTop: 8 }}>
        <Button kind="plain" label={words.seedTraysForIt} onPress={() => router.push('/calc/trays')} />
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({ clear: { gap: 6, paddingTop: 8, alignItems: 'flex-start' } });
