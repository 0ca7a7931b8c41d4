/** When shade cloth goes on and comes off. It answers: which weeks of the year does a house want it in, and what would it be like without? */
import type { ShadeRow } from '@fogata/contract/told';
import { Link } from 'expo-router';
import { Pressable, View } from 'react-native';
import { useFormat, type Format } from '../../data/format';
import { useShade } from '../../data/hooks';
import { Problem } from '../ui/Bars';
import { Loading, Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { dayShort } from '@fogata/words/en/screens/seasonWords';
import { shadeWeeks as words } from '@fogata/words/en/screens/seasonPanels';

const day = (date: string) => dayShort(date.slice(5));

/** "South house: cloth on, 31 May to 5 Sep", and why. */
export function shadeWords(row: ShadeRow, today: string, format: Format): { title: string; why: string } {
  if (row.what === 'off')
    return {
      title: words.clothOff(row.name),
      why: row.to ? words.nothingThatStandsThereWants(day(row.to)) : words.nothingThatStandsThereWants2,
    };
  const { crop, limitC, openC, clothC } = row.why!;
  const t = (c: number) => format.t(c, 0);
  const begun = row.from! <= today;
  const when = begun ? words.until(day(row.to!)) : words.to(day(row.from!), day(row.to!));
  const on = words.clothStaysOnClothOn(begun, row.isOn);
  return {
    title: `${row.name}: ${on}, ${when}`,
    why: words.onAWarmBrightDay({ crop, openC: t(openC), clothC: t(clothC), limitC: t(limitC) }),
  };
}

export function ShadeWeeks() {
  const format = useFormat();
  const { data } = useShade();
  if (data?.progress.state === 'computing') return <Loading what={words.lookingForWeeksThatWant} />;
  if (data?.progress.state === 'failed') return <Problem>{data.progress.message ?? ''}</Problem>;
  if (!data || data.rows.length === 0) return null;
  return (
    <View testID="shade-weeks">
      <PartTitle>{words.shadeCloth}</PartTitle>
      {data.rows.map((row, n) => {
        const { title, why } = shadeWords(row, data.today, format);
        return (
          <Link
            key={`${row.structureId} ${row.what} ${row.from}`}
            href={`/structure/${row.structureId}`}
            asChild
          >
            <Pressable role="link" aria-label={title}>
              <Row first={n === 0}>
                <View style={{ flex: 1, gap: 2 }}>
                  <Text kind="strong">{title}</Text>
                  <Text kind="small" tone="quiet">
                    {why}
                  </Text>
                </View>
              </Row>
            </Pressable>
          </Link>
        );
      })}
      <Text kind="small" tone="quiet">
        {words.fromTheSitesPlausibleYears}
      </Text>
    </View>
  );
}
