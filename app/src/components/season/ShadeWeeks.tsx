/** When shade cloth goes on and comes off. It answers: which weeks of the year does a house want it in, and what would it be like without? */
import type { ShadeRow } from '@fogata/contract/told';
import { Link } from 'expo-router';
import { Pressable, View } from 'react-native';
import { useFormat, type Format } from '../../data/format';
import { useShade } from '../../data/hooks';
import { Problem } from '../ui/Bars';
import { Loading, Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { dayShort } from './seasonWords';

const day = (date: string) => dayShort(date.slice(5));

/** "South house: cloth on, 31 May to 5 Sep", and why. */
export function shadeWords(row: ShadeRow, today: string, format: Format): { title: string; why: string } {
  if (row.what === 'off')
    return {
      title: `${row.name}: cloth off`,
      why: row.to
        ? `Nothing that stands there wants it before ${day(row.to)}, and it takes light.`
        : 'Nothing that stands there wants it this year, and it takes light.',
    };
  const { crop, limitC, openC, clothC } = row.why!;
  const t = (c: number) => format.t(c, 0);
  const begun = row.from! <= today;
  const when = begun ? `until ${day(row.to!)}` : `${day(row.from!)} to ${day(row.to!)}`;
  const on = begun && row.isOn ? 'cloth stays on' : 'cloth on';
  return {
    title: `${row.name}: ${on}, ${when}`,
    why: `On a warm bright day then, one in ten, leaves of ${crop} come to ${t(openC)} with everything open and ${t(clothC)} under cloth; above ${t(limitC)} they spoil.`,
  };
}

export function ShadeWeeks() {
  const format = useFormat();
  const { data } = useShade();
  if (data?.progress.state === 'computing') return <Loading what="Looking for weeks that want shade" />;
  if (data?.progress.state === 'failed') return <Problem>{data.progress.message ?? ''}</Problem>;
  if (!data || data.rows.length === 0) return null;
  return (
    <View testID="shade-weeks">
      <PartTitle>Shade cloth</PartTitle>
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
        From the site’s plausible years; what has no day of clearing counts until its warmth is had. Cloth is
        set in the house’s own form.
      </Text>
    </View>
  );
}
