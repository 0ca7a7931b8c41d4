/** A cultivar. It answers: what of it is the book's, what is mine, and what have my own nights taught? */
import { api, call } from '@fogata/contract/client';
import type { SeedRow } from '@fogata/contract/told';
import { cropById, type Cultivar, type Figures } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { FigureRows } from '../components/seeds/FigureRows';
import { LotRows } from '../components/seeds/LotRows';
import { learntWords, rowName, stoodWords } from '@fogata/words/en/screens/seedWords';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { Choose } from '../components/ui/Fields';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { PartTitle, Text } from '../components/ui/Text';
import { act, retract } from '../data/actions';
import { useFormat } from '../data/format';
import { change, refresh, useFarm, useSeeds } from '../data/hooks';
import { newId } from '../data/id';
import { offerUndo } from '../data/undo';
import { cultivarScreen as words } from '@fogata/words/en/screens/seeds';

const SCORES = { none: words.noHarm, tips: words.leafTips, leaves: words.leaves, dead: words.dead } as const;

export function CultivarScreen({ crop, name }: { crop: string; name: string }) {
  const { data, error } = useSeeds();
  const { data: farm } = useFarm();
  const row = data?.rows.find((r) => r.crop === crop && r.name.toLowerCase() === name.trim().toLowerCase());
  if (!data || !farm)
    return (
      <Page testID="cultivar">
        <TopLine back={words.seed} />
        {error ? (
          <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
        ) : (
          <Loading what={words.openingTheBox} />
        )}
      </Page>
    );
  const fresh: SeedRow = {
    crop,
    cropName: cropById(crop).name,
    name: name.trim(),
    cultivar: null,
    learnt: null,
    scored: [],
    needs: null,
    plantings: 0,
    lots: [],
  };
  return <Known row={row ?? fresh} today={data.today} nowAtMs={farm.clock.nowAtMs} />;
}

function Known({ row, today, nowAtMs }: { row: SeedRow; today: string; nowAtMs: number }) {
  const format = useFormat();
  const crop = cropById(row.crop);
  const [problem, setProblem] = useState<string | null>(null);
  const [id] = useState(() => row.cultivar?.id ?? newId());
  const shown: Cultivar = row.cultivar ?? {
    id,
    crop: row.crop,
    name: row.name,
    figures: {},
    liked: 'plain',
    note: '',
  };
  const save = async (next: Cultivar) => {
    setProblem(null);
    try {
      const { recordId } = await change(call(api.putCultivar, { id: next.id }), next);
      if (recordId) offerUndo(words.changed(rowName(row)), () => retract([recordId], nowAtMs));
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  return (
    <Page testID="cultivar">
      <TopLine back={words.seed} />
      <Text kind="title" heading={1}>
        {rowName(row)}
      </Text>
      {row.learnt ? (
        <Text testID="learnt-cold">
          {`${learntWords(row.learnt, format)} ${stoodWords(crop, shown.figures, row.learnt, format)}`}
        </Text>
      ) : (
        <Text tone="quiet">{words.figuresHereCountForEvery(row.name)}</Text>
      )}
      {problem ? <Problem>{problem}</Problem> : null}
      {row.lots.length > 0 ? <PartTitle>{words.inTheBox}</PartTitle> : null}
      <LotRows lots={row.lots} crop={crop} today={today} nowAtMs={nowAtMs} onProblem={setProblem} />
      <View style={{ paddingTop: 12 }}>
        <Choose
          label={words.grown}
          value={shown.liked}
          options={[
            { value: 'yes', label: words.willingly },
            { value: 'plain', label: words.asAnyOther },
            { value: 'never', label: words.neverAgain },
          ]}
          onChange={(liked) => void save({ ...shown, liked })}
        />
      </View>
      {row.scored.length > 0 ? <PartTitle>{words.nightsThatYouScored}</PartTitle> : null}
      {row.scored.map((s, n) => (
        <Row key={s.recordId} first={n === 0}>
          <Text style={{ flex: 1 }}>
            {words.leaf({
              parse: format.day(Date.parse(`${s.night}T12:00:00Z`)),
              leafC: format.t(s.leafC),
              scoresWord: SCORES[s.score],
            })}
          </Text>
          <Button kind="plain" label={words.itsStory} onPress={() => router.push(`/story/${s.plantingId}`)} />
          <Button
            kind="plain"
            label={words.takeBack}
            hint={words.takeBackTheScoreOf(s.night)}
            onPress={() =>
              void act(
                words.scoreTakenBack,
                [{ kind: 'retraction', atMs: nowAtMs, retracts: s.recordId }],
                nowAtMs,
              )
            }
          />
        </Row>
      ))}
      <PartTitle>{words.itsFigures}</PartTitle>
      <FigureRows
        crop={crop}
        figures={shown.figures}
        learnt={row.learnt}
        onChange={(figures: Figures) => void save({ ...shown, figures })}
      />
      <Text kind="small" tone="quiet" style={{ paddingTop: 10 }}>
        {words.theBooksFiguresAreStarting}
      </Text>
    </Page>
  );
}
