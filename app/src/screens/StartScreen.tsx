/** A farm like yours. It answers: how do I get all of it in before dark? It opens with what the counts so far make. */
import { api, call } from '@fogata/contract/client';
import type { TownRow } from '@fogata/contract/told';
import {
  cropById,
  localDate,
  START_KINDS,
  startFarm,
  type Bed,
  type Planting,
  type StartCounts,
} from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { Amount, Choose } from '../components/ui/Fields';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { NearTown } from '../components/plan/Towns';
import { retract } from '../data/actions';
import { change, useCrops, useFarm, useTownGuess } from '../data/hooks';
import { newId } from '../data/id';
import { offerUndo } from '../data/undo';
import { useDraft } from '../data/useDraft';
import { startScreen as words } from '@fogata/words/en/screens/start';

interface Draft extends StartCounts {
  id: string;
  kind: string;
  /** Crop by bed id. */
  grows: Record<string, string>;
  brush: string;
  weeks: number;
  town: TownRow | null;
}

const COUNTS: { key: keyof StartCounts; label: string; one: string; many: string; max: number }[] = [
  { key: 'houses', label: words.filmHouses, one: 'house', many: 'houses', max: 10 },
  { key: 'bedsInHouse', label: words.bedsInEachHouse, one: 'bed', many: 'beds', max: 12 },
  { key: 'frames', label: words.coldFrames, one: 'frame', many: 'frames', max: 20 },
  { key: 'tunnels', label: words.lowTunnels, one: 'tunnel', many: 'tunnels', max: 20 },
  { key: 'openBeds', label: words.bedsUnderTheOpenSky, one: 'bed', many: 'beds', max: 40 },
  { key: 'fleeces', label: words.fleecesInStore, one: 'piece', many: 'pieces', max: 200 },
  { key: 'blankets', label: words.frostBlanketsInStore, one: 'piece', many: 'pieces', max: 200 },
];
const USUAL = ['lettuce-leaf', 'spinach', 'mache', 'kale', 'mizuna', 'carrot', 'radish', 'leek'];

/** Beds painted with what grows in them: choose a crop, tap its beds. */
function Grows({
  draft,
  beds,
  nameOf,
  put,
}: {
  draft: Draft;
  beds: readonly Bed[];
  nameOf: (b: Bed) => string;
  put: (d: Partial<Draft>) => void;
}) {
  const { data } = useCrops();
  if (!data) return <Loading what={words.openingTheCrops} />;
  const paint = (list: readonly Bed[]) => {
    const bare = list.every((b) => draft.grows[b.id] === draft.brush);
    const grows = { ...draft.grows };
    for (const b of list) {
      if (bare) delete grows[b.id];
      else grows[b.id] = draft.brush;
    }
    put({ grows });
  };
  return (
    <View style={{ gap: 8 }} testID="start-grows">
      <Choose
        label={words.whatGrowsThenTapIts}
        value={draft.brush}
        options={data
          .filter((c) => USUAL.includes(c.id))
          .map((c) => ({ value: c.id, label: c.name.toLowerCase() }))}
        onChange={(brush) => put({ brush })}
      />
      <Amount
        label={words.plantedSoLongAgo}
        value={draft.weeks}
        onChange={(weeks) => put({ weeks })}
        unit={draft.weeks === 1 ? 'week' : 'weeks'}
        bigStep={4}
        min={0}
        max={300}
      />
      <View style={{ flexDirection: 'row' }}>
        <Button
          label={words.allBeds(cropById(draft.brush).name)}
          onPress={() => paint(beds)}
          testID="start-all"
        />
      </View>
      {beds.map((b, n) => {
        const crop = draft.grows[b.id];
        return (
          <Pressable
            key={b.id}
            role="checkbox"
            aria-checked={crop !== undefined}
            aria-label={`${nameOf(b)}: ${crop ? cropById(crop).name : words.nothingYet}`}
            onPress={() => paint([b])}
            testID={`start-bed-${n}`}
          >
            <Row first={n === 0} style={{ minHeight: 48 }}>
              <Text style={{ flex: 1 }}>{nameOf(b)}</Text>
              <Text tone={crop ? 'pine' : 'quiet'}>
                {crop ? `✓ ${cropById(crop).name}` : words.nothingYet}
              </Text>
            </Row>
          </Pressable>
        );
      })}
    </View>
  );
}

function Start({ guess, nowAtMs }: { guess: TownRow | null; nowAtMs: number }) {
  const wide = useWide();
  const [first] = useState<Draft>(() => ({
    id: newId(),
    kind: START_KINDS[0]!.id,
    ...START_KINDS[0]!.counts,
    grows: {},
    brush: 'lettuce-leaf',
    weeks: 6,
    town: null,
  }));
  const [draft, put, clear] = useDraft<Draft>('start', first);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const d = draft!;
  const made = startFarm(d, d.id);
  const town = d.town ?? guess;
  const nameOf = (b: Bed) => {
    const s = made.structures.find((x) => x.id === b.structureId)!;
    return made.beds.filter((x) => x.structureId === s.id).length > 1
      ? `${s.name}, ${b.name.toLowerCase()}`
      : s.name;
  };
  const make = async () => {
    if (!town) return setProblem(words.aTownNearByFirst);
    setBusy(true);
    setProblem(null);
    const { latitude, longitude, elevationM, timeZone } = town;
    const day = localDate(nowAtMs - d.weeks * 7 * 86_400_000, timeZone);
    const plantings = made.beds.flatMap((b): Planting[] => {
      const crop = d.grows[b.id];
      if (!crop) return [];
      const { aim } = cropById(crop);
      const rows = { fromRow: 1, toRow: b.rows, lengthM: b.lengthM };
      return [
        {
          id: newId(),
          bedId: b.id,
          crop,
          cultivar: '',
          ...rows,
          plantedOn: day,
          clearedOn: null,
          aim,
          note: '',
        },
      ];
    });
    try {
      const farm = { latitude, longitude, elevationM, timeZone };
      const { recordId } = await change(call(api.start), {
        farm,
        ...made,
        plantings,
      });
      clear();
      offerUndo(words.theFarmSetUp, () => retract([recordId], nowAtMs));
      router.replace('/');
    } catch (e) {
      setProblem(words.whatYouEnteredIsKept((e as Error).message));
    } finally {
      setBusy(false);
    }
  };
  const planted = made.beds.filter((b) => d.grows[b.id]).length;
  const counts = (
    <View style={{ gap: 14 }}>
      <Choose
        label={words.aFarmLikeYours}
        value={d.kind}
        options={START_KINDS.map((k) => ({ value: k.id, label: k.label }))}
        onChange={(kind) => put({ kind, ...START_KINDS.find((k) => k.id === kind)!.counts, grows: {} })}
      />
      {COUNTS.filter((c) => c.key !== 'bedsInHouse' || d.houses > 0).map((c) => (
        <Amount
          key={c.key}
          label={c.label}
          value={d[c.key]}
          onChange={(n) => put({ [c.key]: n })}
          unit={d[c.key] === 1 ? c.one : c.many}
          min={c.key === 'bedsInHouse' ? 1 : 0}
          max={c.max}
          testID={`start-${c.key}`}
        />
      ))}
      <NearTown town={town} onPick={(t) => put({ town: t })} />
    </View>
  );
  const rest = (
    <View style={{ gap: 14 }}>
      <PartTitle right={words.ofWord(planted, made.beds.length)}>{words.whatStandsInTheBeds}</PartTitle>
      <Grows draft={d} beds={made.beds} nameOf={nameOf} put={put} />
      {problem ? <Problem>{problem}</Problem> : null}
      <Button
        wide
        kind="main"
        label={words.somethingThatStandsFirstThis(made.beds.length)}
        disabled={busy || made.beds.length === 0}
        onPress={() => void make()}
        testID="start-make"
      />
      <Text kind="small" tone="quiet">
        {words.usualSizesAndOrdinaryRepair}
      </Text>
    </View>
  );
  const pieces = made.covers.reduce((n, c) => n + c.count, 0);
  return (
    <View style={{ gap: 16 }}>
      <Sentence
        parts={[
          {
            text: words.structureStructuresBedBedsSheet({
              count: made.structures.length,
              count2: made.beds.length,
              pieces,
              town: town ? words.near(town.name) : '',
            }),
            tone: 'plain',
          },
        ]}
      />
      <View style={wide ? { flexDirection: 'row', gap: 40 } : { gap: 16 }}>
        <View style={wide ? { flex: 1 } : null}>{counts}</View>
        <View style={wide ? { flex: 1 } : null}>{rest}</View>
      </View>
    </View>
  );
}

export function StartScreen() {
  const { data, error } = useFarm();
  const guess = useTownGuess();
  return (
    <Page testID="start" width={1080}>
      <TopLine back={words.now} />
      {data && guess !== undefined ? (
        <Start guess={guess} nowAtMs={data.clock.nowAtMs} />
      ) : error ? (
        <Problem>{(error as Error).message}</Problem>
      ) : (
        <Loading what={words.openingTheFarm} />
      )}
    </Page>
  );
}
