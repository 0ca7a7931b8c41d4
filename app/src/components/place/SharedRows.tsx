/** Says which plantings stand in the same rows at a time; silent where none does. */
import { cropById, sharedRows, type Bed, type Planting } from '@fogata/core';
import { Text } from '../ui/Text';

export function SharedRows({
  planting,
  others,
  bed,
}: {
  planting: Planting;
  others: readonly Planting[];
  bed: Bed;
}) {
  const found = sharedRows(planting, others, bed);
  if (found.length === 0) return null;
  const rows = (a: number, b: number) => (a === b ? `row ${a}` : `rows ${a} to ${b}`);
  const words = found.map((f) => `${cropById(f.planting.crop).name} in ${rows(f.fromRow, f.toRow)}`);
  return (
    <Text kind="small" tone="ochre" testID="shared-rows">
      {`▲ Shares its rows with ${words.join(' and ')}. Sown between what still stands, that is as meant; else change the rows or clear the other.`}
    </Text>
  );
}
