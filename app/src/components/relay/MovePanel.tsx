/** One planting of the board: its days by steppers, what it has against it, and what it gives. */
import { flowersOf, isoOf, kgBetween, underChoices, type Strip } from '@fogata/core/relay';
import { Link } from 'expo-router';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { dayWords, ofHundred, upper } from '../season/seasonWords';
import { Button } from '../ui/Button';
import { DateStepper } from '../ui/DateStepper';
import { PartTitle, Text } from '../ui/Text';
import { mayMove } from './board';
import { quarrelWords, type Units } from './boardWords';
import type { Board } from './useBoard';
import { WrongPanel } from './WrongPanel';
import { rowsWords } from './targets';

const day = (d: number) => dayWords(isoOf(d).slice(5));

/** What becomes of it, in a sentence. */
function course(s: Strip): string {
  if (s.upDay === null) return 'In the mean year it does not come up from that day.';
  if (s.readyDay === null)
    return s.odds
      ? 'In the mean year it never comes to a picking from that day.'
      : 'Its place is still being worked out.';
  const cut = s.endDay <= s.readyDay ? ' It is cleared before that.' : '';
  return `${upper(s.how === 'sow' ? `up on ${day(s.upDay)}, ready` : 'ready')} on ${day(s.readyDay)} in the middle year${s.overDay !== null && s.overDay < s.endDay ? `, over on ${day(s.overDay)}` : ''}.${cut}`;
}

/** What else its rows could carry, and when it flowers where it is kept for seed. */
function besides(s: Strip, today: number): string[] {
  const flowers = s.planting.forSeed ? flowersOf(s) : null;
  const under = underChoices(s, today);
  const [first] = under;
  return [
    ...(flowers
      ? [
          `For seed: in flower from ${day(flowers.fromDay)} to ${day(flowers.toDay)}, ripe about ${day(s.endDay)}.`,
        ]
      : []),
    ...(first
      ? [`From ${day(first.fromDay)} on may be sown under it: ${under.map((u) => u.crop.name).join(', ')}.`]
      : []),
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
        {`${s.odds ? `Begun then it comes off in ${ofHundred(s.odds.success)}. ` : ''}${course(s)}${kg > 0 ? ` About ${format.mass(kg)}.` : ''}`}
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
          label={s.how === 'sow' ? 'Sown on' : 'Planted on'}
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
          It is in the ground: only its clearing can be moved.
        </Text>
      )}
      <DateStepper
        label={p.clearedOn === null ? 'Stands until it is over; cleared on' : 'Cleared on'}
        value={p.clearedOn ?? isoOf(s.endDay)}
        onChange={(clearedOn) => {
          if (clearedOn > p.plantedOn && clearedOn > view.today) void board.put(p, { ...p, clearedOn });
        }}
      />
      <WrongPanel board={board} strip={s} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Link href={`/planting/${id}`} asChild>
          <Button label="Change it" kind="plain" onPress={() => undefined} />
        </Link>
        <Link href={`/story/${id}`} asChild>
          <Button label="Its story" kind="plain" onPress={() => undefined} />
        </Link>
        <Button label="Close" kind="plain" onPress={onClose} testID="move-close" />
      </View>
    </View>
  );
}
