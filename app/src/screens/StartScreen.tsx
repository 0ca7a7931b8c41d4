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
  { key: 'houses', label: 'Film houses', one: 'house', many: 'houses', max: 10 },
  { key: 'bedsInHouse', label: 'Beds in each house', one: 'bed', many: 'beds', max: 12 },
  { key: 'frames', label: 'Cold frames', one: 'frame', many: 'frames', max: 20 },
  { key: 'tunnels', label: 'Low tunnels', one: 'tunnel', many: 'tunnels', max: 20 },
  { key: 'openBeds', label: 'Beds under the open sky', one: 'bed', many: 'beds', max: 40 },
  { key: 'fleeces', label: 'Fleeces in store', one: 'piece', many: 'pieces', max: 200 },
  { key: 'blankets', label: 'Frost blankets in store', one: 'piece', many: 'pieces', max: 200 },
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
  if (!data) return <Loading what="Opening the crops" />;
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
        label="What grows, then tap its beds"
        value={draft.brush}
        options={data
          .filter((c) => USUAL.includes(c.id))
          .map((c) => ({ value: c.id, label: c.name.toLowerCase() }))}
        onChange={(brush) => put({ brush })}
      />
      <Amount
        label="Planted so long ago"
        value={draft.weeks}
        onChange={(weeks) => put({ weeks })}
        unit={draft.weeks === 1 ? 'week' : 'weeks'}
        bigStep={4}
        min={0}
        max={300}
      />
      <View style={{ flexDirection: 'row' }}>
        <Button
          label={`All beds: ${cropById(draft.brush).name}`}
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
            aria-label={`${nameOf(b)}: ${crop ? cropById(crop).name : 'nothing yet'}`}
            onPress={() => paint([b])}
            testID={`start-bed-${n}`}
          >
            <Row first={n === 0} style={{ minHeight: 48 }}>
              <Text style={{ flex: 1 }}>{nameOf(b)}</Text>
              <Text tone={crop ? 'pine' : 'quiet'}>{crop ? `✓ ${cropById(crop).name}` : 'nothing yet'}</Text>
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
    if (!town) return setProblem('A town near by first: the sun and the frost are those of the place.');
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
      offerUndo('The farm: set up', () => retract([recordId], nowAtMs));
      router.replace('/');
    } catch (e) {
      setProblem(`${(e as Error).message} What you entered is kept here.`);
    } finally {
      setBusy(false);
    }
  };
  const planted = made.beds.filter((b) => d.grows[b.id]).length;
  const counts = (
    <View style={{ gap: 14 }}>
      <Choose
        label="A farm like yours"
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
      <PartTitle right={`${planted} of ${made.beds.length}`}>What stands in the beds</PartTitle>
      <Grows draft={d} beds={made.beds} nameOf={nameOf} put={put} />
      {problem ? <Problem>{problem}</Problem> : null}
      <Button
        wide
        kind="main"
        label={made.beds.length === 0 ? 'Something that stands first' : 'This is my farm'}
        disabled={busy || made.beds.length === 0}
        onPress={() => void make()}
        testID="start-make"
      />
      <Text kind="small" tone="quiet">
        Usual sizes and ordinary repair: change any of it afterwards, on Beds and Kit. A thermometer that is
        read teaches the rest.
      </Text>
    </View>
  );
  const pieces = made.covers.reduce((n, c) => n + c.count, 0);
  return (
    <View style={{ gap: 16 }}>
      <Sentence
        parts={[
          {
            text: `${made.structures.length} ${made.structures.length === 1 ? 'structure' : 'structures'}, ${made.beds.length} ${made.beds.length === 1 ? 'bed' : 'beds'}, ${pieces} ${pieces === 1 ? 'sheet' : 'sheets'} in store${town ? `, near ${town.name}` : ''}.`,
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
      <TopLine back="Now" />
      {data && guess !== undefined ? (
        <Start guess={guess} nowAtMs={data.clock.nowAtMs} />
      ) : error ? (
        <Problem>{(error as Error).message}</Problem>
      ) : (
        <Loading what="Opening the farm" />
      )}
    </Page>
  );
}
