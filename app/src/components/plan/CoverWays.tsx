/** How else a sheet may lie. It answers: may the plan use it another way tonight, where its usual one does not fit? */
import { bears, type Cover, type CoverUse } from '@fogata/core';
import { wayWords } from '@fogata/core/words';
import { View } from 'react-native';
import { Toggle } from '../ui/Button';
import { Labelled } from '../ui/Fields';
import { Text } from '../ui/Text';
import { coverWays as words } from '@fogata/words/en/screens/covers';

const ALL: readonly CoverUse[] = ['hoops', 'flat', 'over'];
export const WORDS: Record<CoverUse, string> = {
  hoops: words.onHoops,
  flat: words.laidOnTheCrop,
  over: words.overFramesAndTunnels,
  indoors: words.carriedIn,
};

export function CoverWays({ cover, onChange }: { cover: Cover; onChange: (ways: CoverUse[]) => void }) {
  const ways = cover.ways ?? bears(cover.material);
  const asCloth = cover.ways === undefined;
  return (
    <Labelled label={words.itMayAlsoLie} note={words.asItsClothUsuallyBears(asCloth)}>
      {ALL.filter((use) => use !== cover.use).map((use) => (
        <View
          key={use}
          style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: 12 }}
        >
          <Text style={{ flex: 1 }}>{WORDS[use]}</Text>
          <Toggle
            label={words.mayAlsoLie(wayWords(use))}
            on={ways.includes(use)}
            onChange={(on) =>
              onChange(ALL.filter((u) => u !== cover.use && (u === use ? on : ways.includes(u))))
            }
            testID={`cover-way-${use}`}
          />
        </View>
      ))}
    </Labelled>
  );
}
