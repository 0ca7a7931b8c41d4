/** Which sheets in stock go on a bed: alone, overlapped, or why not. */
import { fitCover, isFit, type Bed, type Structure } from '@fogata/core';
import { View } from 'react-native';
import type { Format } from '../../data/format';
import { useKit } from '../../data/hooks';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';

export function WhatFits({ bed, owner, format }: { bed: Bed; owner: Structure; format: Format }) {
  const { data } = useKit();
  const covers = data?.covers ?? [];
  if (covers.length === 0) return null;
  return (
    <View testID="what-fits">
      <PartTitle>What fits it, of what there is</PartTitle>
      {covers.map((c, n) => {
        const fit = fitCover(c, owner, bed);
        const said = !isFit(fit)
          ? format.say(fit.why)
          : fit.pieces > c.count
            ? `takes ${fit.pieces} overlapped, there ${c.count === 1 ? 'is' : 'are'} ${c.count}`
            : fit.pieces === 1
              ? `one covers it, ${Math.round(fit.minutes)} min`
              : `${fit.pieces} overlapped, ${Math.round(fit.minutes)} min`;
        return (
          <Row key={c.id} first={n === 0} style={{ minHeight: 44 }}>
            <Text
              style={{ flex: 1 }}
            >{`${c.name}, ${format.metres(c.lengthM)} × ${format.metres(c.widthM)}`}</Text>
            <Text kind="small" tone={isFit(fit) ? 'pine' : 'quiet'}>
              {isFit(fit) ? `✓ ${said}` : said}
            </Text>
          </Row>
        );
      })}
    </View>
  );
}
