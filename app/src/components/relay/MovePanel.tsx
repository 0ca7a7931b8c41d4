/** One planting of the board: its days by steppers, what it has against it, and what it gives. */
import { flowersOf, isoOf, kgBetween, underChoices, type Strip } from '@fogata/core/relay';
import { Link } from 'expo-router';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { dayWords, ofHundred, upper } from '@fogata/words/en/screens/seasonWords';
import { Button } from '../ui/Button';
import { DateStepper } from '../ui/DateStepper';
import { PartTitle, Text } from '../ui/Text';
import { mayMove } from './board';
import { quarrelWords, type Units } from '@fogata/words/en/screens/boardWords';
import type { Board } from './useBoard';
import { WrongPanel } from './WrongPanel';
import { rowsWords } from './targets';
import { movePanel as words } from '@fogata/words/en/screens/board';

const day = (d: number) => dayWords(isoOf(d).slice(5));

/** What becomes of it, in a sentence. */
function course(s: Strip): string {
  if (s.upDay === null) return words.inTheMeanYearIt;
  if (s.readyDay === null) return words.inTheMeanYearIt2(Boolean(s.odds));
  const cut = words.itIsClearedBeforeThat(s.endDay, s.readyDay);
  return words.onInTheMiddleYear({
    how: upper(s.how === 'sow' ? words.upOnReady(day(s.upDay)) : 'ready'),
    readyDay: day(s.readyDay),
    overDay: s.overDay !== null && s.overDay < s.endDay ? words.overOn(day(s.overDay)) : '',
    cut,
  });
}

/** What else its rows could carry, and when it flowers where it is kept for seed. */
function besides(s: Strip, today: number): string[] {
  const flowers = s.planting.forSeed ? flowersOf(s) : null;
  const under = underChoices(s, today);
  const [first] = under;
  return [
    ...(flowers
      ? [
          words.forSeedInFlowerFrom({
            fromDay: day(flowers.fromDay),
            toDay: day(flowers.toDay),
            endDay: day(s.endDay),
          }),
        ]
      : []),
    ...(first ? [words.fromOnMayBeSown(day(first.fromDay), under.map((u) => u.crop.name).join(', '))] : []),
  ];
}

export function MovePanel({
  board,
  id,
  units,
  onClose,
}: {
  board: Board;
  id: string;
  units: Units;
  onClose: () => void;
}) {
  const { year, check, view } = board;
  const format = useFormat();
  const s = year?.strips.find((x) => x.planting.id === id);
  if (!s || !year || !check || !view) return null;
  const p = s.planting;
  const bed = year.beds.find((b) => b.id === p.bedId)!;
  const kg = kgBetween(s, s.startDay, s.endDay);
  const against = check.quarrels.filter((q) => q.plantings.includes(id));
  return (
    <View role="group" aria-label={s.crop.name} style={{ gap: 10 }} testID="move-panel">
      <PartTitle right={`${bed.name}, ${rowsWords(p)}`}>{s.crop.name}</PartTitle>
      <Text>
        {`${s.odds ? words.begunThenItComesOff(ofHundred(s.odds.success)) : ''}${course(s)}${kg > 0 ? words.about(format.mass(kg)) : ''}`}
      </Text>
      {besides(s, year.today).map((line) => (
        <Text key={line} kind="small" tone="quiet">
          {line}
        </Text>
      ))}
      {against.map((q) => {
        const { what, instead } = quarrelWords(q, year, units);
        return (
          <Text
            key={q.id}
            kind="small"
            tone={view.accepted.includes(q.id) ? 'quiet' : 'ochre'}
          >{`▲ ${what} ${instead}`}</Text>
        );
      })}
      {mayMove(p) ? (
        <DateStepper
          label={words.sownOnPlantedOn(s.how)}
          value={p.plantedOn}
          onChange={(plantedOn) => {
            const by = Math.round((Date.parse(plantedOn) - Date.parse(p.plantedOn)) / 86_400_000);
            if (plantedOn <= view.today) return;
            const clearedOn =
              p.clearedOn === null ? null : isoOf(Math.round(Date.parse(p.clearedOn) / 86_400_000) + by);
            void board.put(p, { ...p, plantedOn, clearedOn });
          }}
        />
      ) : (
        <Text kind="small" tone="quiet">
          {words.itIsInTheGround}
        </Text>
      )}
      <DateStepper
        label={words.standsUntilItIsOver(p.clearedOn)}
        value={p.clearedOn ?? isoOf(s.endDay)}
        onChange={(clearedOn) => {
          if (clearedOn > p.plantedOn && clearedOn > view.today) void board.put(p, { ...p, clearedOn });
        }}
      />
      <WrongPanel board={board} strip={s} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Link href={`/planting/${id}`} asChild>
          <Button label={words.changeIt} kind="plain" onPress={() => undefined} />
        </Link>
        <Link href={`/story/${id}`} asChild>
          <Button label={words.itsStory} kind="plain" onPress={() => undefined} />
        </Link>
        <Button label={words.close} kind="plain" onPress={onClose} testID="move-close" />
      </View>
    </View>
  );
}
