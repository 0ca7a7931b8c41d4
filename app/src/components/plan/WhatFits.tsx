/** Which sheets in stock go on a bed: alone, overlapped, or why not. */
import { fitCover, isFit, type Bed, type Structure } from '@fogata/core';
import { View } from 'react-native';
import type { Format } from '../../data/format';
import { useKit } from '../../data/hooks';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { whatFits as words } from '@fogata/words/en/screens/structures';

export function WhatFits({ bed, owner, format }: { bed: Bed; owner: Structure; format: Format }) {
  const { data } = useKit();
  const covers = data?.covers ?? [];
  if (covers.length === 0) return null;
  return (
    <View testID="what-fits">
      <PartTitle>{words.whatFitsItOfWhat}</PartTitle>
      {covers.map((c, n) => {
        const fit = fitCover(c, owner, bed);
        const said = !isFit(fit)
          ? format.say(fit.why)
          : fit.pieces > c.count
            ? words.takesOverlappedThereIsAre(fit.pieces, c.count)
            : fit.pieces === 1
              ? words.oneCoversItMin(Math.round(fit.minutes))
              : words.overlappedMin(fit.pieces, Math.round(fit.minutes));
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
