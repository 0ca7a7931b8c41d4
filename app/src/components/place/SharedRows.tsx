/** Says which plantings stand in the same rows at a time; silent where none does. */
import { cropById, sharedRows, type Bed, type Planting } from '@fogata/core';
import { Text } from '../ui/Text';
import { sharedRows as texts } from '@fogata/words/en/screens/place';

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
  const rows = (a: number, b: number) => texts.rowRowsTo(a, b);
  const words = found.map((f) => texts.inWord(cropById(f.planting.crop).name, rows(f.fromRow, f.toRow)));
  return (
    <Text kind="small" tone="ochre" testID="shared-rows">
      {texts.sharesItsRowsWithSown(words.join(' and '))}
    </Text>
  );
}
