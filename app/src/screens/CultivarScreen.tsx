/** A cultivar. It answers: what of it is the book's, what is mine, and what have my own nights taught? */
import { api, call } from '@fogata/contract/client';
import type { SeedRow } from '@fogata/contract/told';
import { cropById, type Cultivar, type Figures } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { FigureRows } from '../components/seeds/FigureRows';
import { LotRows } from '../components/seeds/LotRows';
import { learntWords, rowName, stoodWords } from '../components/seeds/seedWords';
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

const SCORES = { none: 'no harm', tips: 'leaf tips', leaves: 'leaves', dead: 'dead' } as const;

export function CultivarScreen({ crop, name }: { crop: string; name: string }) {
  const { data, error } = useSeeds();
  const { data: farm } = useFarm();
  const row = data?.rows.find((r) => r.crop === crop && r.name.toLowerCase() === name.trim().toLowerCase());
  if (!data || !farm)
    return (
      <Page testID="cultivar">
        <TopLine back="Seed" />
        {error ? (
          <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
        ) : (
          <Loading what="Opening the box" />
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
      if (recordId) offerUndo(`${rowName(row)}: changed`, () => retract([recordId], nowAtMs));
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  return (
    <Page testID="cultivar">
      <TopLine back="Seed" />
      <Text kind="title" heading={1}>
        {rowName(row)}
      </Text>
      {row.learnt ? (
        <Text testID="learnt-cold">
          {`${learntWords(row.learnt, format)} ${stoodWords(crop, shown.figures, row.learnt, format)}`}
        </Text>
      ) : (
        <Text tone="quiet">
          {row.name === ''
            ? 'Figures here count for every planting of it that names no cultivar of its own.'
            : 'Nobody has scored it after a frost yet: score a planting the morning after, and its figures follow.'}
        </Text>
      )}
      {problem ? <Problem>{problem}</Problem> : null}
      {row.lots.length > 0 ? <PartTitle>In the box</PartTitle> : null}
      <LotRows lots={row.lots} crop={crop} today={today} nowAtMs={nowAtMs} onProblem={setProblem} />
      <View style={{ paddingTop: 12 }}>
        <Choose
          label="Grown"
          value={shown.liked}
          options={[
            { value: 'yes', label: 'willingly' },
            { value: 'plain', label: 'as any other' },
            { value: 'never', label: 'never again' },
          ]}
          onChange={(liked) => void save({ ...shown, liked })}
        />
      </View>
      {row.scored.length > 0 ? <PartTitle>Nights that you scored</PartTitle> : null}
      {row.scored.map((s, n) => (
        <Row key={s.recordId} first={n === 0}>
          <Text style={{ flex: 1 }}>
            {`${format.day(Date.parse(`${s.night}T12:00:00Z`))}: leaf ${format.t(s.leafC)}, ${SCORES[s.score]}`}
          </Text>
          <Button kind="plain" label="Its story" onPress={() => router.push(`/story/${s.plantingId}`)} />
          <Button
            kind="plain"
            label="Take back"
            hint={`Take back the score of ${s.night}`}
            onPress={() =>
              void act(
                'Score taken back',
                [{ kind: 'retraction', atMs: nowAtMs, retracts: s.recordId }],
                nowAtMs,
              )
            }
          />
        </Row>
      ))}
      <PartTitle>Its figures</PartTitle>
      <FigureRows
        crop={crop}
        figures={shown.figures}
        learnt={row.learnt}
        onChange={(figures: Figures) => void save({ ...shown, figures })}
      />
      <Text kind="small" tone="quiet" style={{ paddingTop: 10 }}>
        The book’s figures are starting values. Yours go before them; what your scores teach moves the cold
        limits of both.
      </Text>
    </Page>
  );
}
