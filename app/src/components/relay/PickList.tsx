/** What is to be picked this week, the first to end first; a tap shows the planting on the board. */
import { isoOf, picks, type RelayYear } from '@fogata/core/relay';
import { Pressable, View } from 'react-native';
import { useFormat } from '../../data/format';
import { dayShort, upper } from '@fogata/words/en/screens/seasonWords';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { amountWords } from './EarningsPanel';
import { rowsWords } from './targets';
import { pickList as words } from '@fogata/words/en/screens/board';

export function PickList({ year, onShow }: { year: RelayYear; onShow: (plantingId: string) => void }) {
  const format = useFormat();
  const list = picks(year, year.today);
  if (list.length === 0) return null;
  const all = list.reduce((sum, p) => sum + p.kg, 0);
  return (
    <View testID="picks">
      <PartTitle right={words.about(format.mass(Math.round(all)))}>{words.toPickThisWeek}</PartTitle>
      {list.map(({ strip: s, kg, stems, bunches, leftDays }, n) => {
        const bed = year.beds.find((b) => b.id === s.planting.bedId)?.name ?? '';
        const title = `${upper(s.crop.name)}, ${bed} ${rowsWords(s.planting)}`;
        const said = amountWords({ kg, stems, bunches }, format);
        const amount = said === '' ? words.asItOpens : words.about2(said.replace('some ', ''));
        return (
          <Pressable
            key={s.planting.id}
            role="button"
            aria-label={`${title}, ${amount}`}
            onPress={() => onShow(s.planting.id)}
            testID="pick"
          >
            <Row first={n === 0}>
              <View style={{ flex: 1, gap: 2 }}>
                <Text kind="strong">{title}</Text>
                <Text kind="small" tone={leftDays <= 14 ? 'ochre' : 'quiet'}>
                  {words.theLastOfItBy({
                    amount,
                    leftDays,
                    isoOf: dayShort(isoOf(year.today + leftDays).slice(5)),
                  })}
                </Text>
              </View>
            </Row>
          </Pressable>
        );
      })}
      <Text kind="small" tone="quiet">
        {words.byTheMiddleYearEvenly}
      </Text>
    </View>
  );
}
