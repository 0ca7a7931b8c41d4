/** What is in the box and has been grown of a crop, to tap rather than type. */
import { Choice } from '../ui/Button';
import { useSeeds } from '../../data/hooks';
import { cultivars as words } from '@fogata/words/en/screens/seeds';

const MOST = 6;

export function Cultivars({
  crop,
  value,
  onChange,
}: {
  crop: string;
  value: string;
  onChange: (name: string) => void;
}) {
  const { data } = useSeeds();
  const names = (data?.rows ?? [])
    .filter((r) => r.crop === crop && r.name !== '' && r.cultivar?.liked !== 'never')
    .sort((a, b) => b.lots.length - a.lots.length || b.plantings - a.plantings)
    .slice(0, MOST);
  if (names.length === 0) return null;
  return (
    <Choice
      label={words.ofWhatYouHave}
      value={value}
      options={names.map((r) => ({
        value: r.name,
        label: r.lots.length > 0 ? words.seedOf(r.name, Math.max(...r.lots.map((l) => l.lot.year))) : r.name,
      }))}
      onChange={onChange}
    />
  );
}
