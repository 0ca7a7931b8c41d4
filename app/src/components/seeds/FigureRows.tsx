/** A cultivar's figures, each with where it comes from; opened by a tap and changed by steps, or given back to the book. */
import { figureById, saidFigures, type ColdBelief, type Crop, type Figure, type Figures } from '@fogata/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { Button } from '../ui/Button';
import { Amount, Degrees, Metres } from '../ui/Fields';
import { Row } from '../ui/Page';
import { Text } from '../ui/Text';
import { figureName, figureText } from '@fogata/words/en/screens/seedWords';
import { figureRows as words } from '@fogata/words/en/screens/seeds';

const FROM = { book: words.book, cultivar: words.yours, record: words.yourScores } as const;

function Change({ f, value, onChange }: { f: Figure; value: number; onChange: (x: number) => void }) {
  const label = figureName(f.id);
  const own = { label, testID: `change-${f.id}` };
  if (f.unit === '°C')
    return (
      <Degrees
        {...own}
        value={value}
        onChange={onChange}
        step={0.5}
        bigStep={2}
        min={f.min}
        max={f.max}
        signed
      />
    );
  if (f.unit === 'm')
    return (
      <Metres {...own} value={value} onChange={onChange} step={0.01} bigStep={0.1} min={f.min} max={f.max} />
    );
  if (f.unit === 'share')
    return (
      <Amount
        {...own}
        value={Math.round(100 * value)}
        onChange={(v) => onChange(v / 100)}
        unit={words.of100}
        step={1}
        bigStep={10}
        min={1}
        max={100}
      />
    );
  const step = value >= 100 ? 10 : value >= 10 ? 1 : 0.1;
  return (
    <Amount
      {...own}
      value={value}
      onChange={onChange}
      unit={f.unit === 'degree days' ? words.cDays : f.unit}
      step={step}
      bigStep={10 * step}
      digits={step < 1 ? 2 : 0}
      min={f.min}
      max={f.max}
    />
  );
}

export function FigureRows({
  crop,
  figures,
  learnt,
  onChange,
}: {
  crop: Crop;
  figures: Figures;
  learnt: ColdBelief | null;
  onChange: (figures: Figures) => void;
}) {
  const format = useFormat();
  const [open, setOpen] = useState<string | null>(null);
  return (
    <>
      {saidFigures(crop, figures, learnt).map((s, n) => {
        const f = figureById(s.id)!;
        const typed = figures[s.id];
        return (
          <View key={s.id}>
            <Row first={n === 0}>
              <View style={{ flex: 1 }}>
                <Text>{figureName(s.id)}</Text>
                {s.from === 'book' ? null : (
                  <Text kind="small" tone="quiet">
                    {words.theBook(figureText(f, s.book, format))}
                  </Text>
                )}
              </View>
              <Text
                kind="small"
                tone={s.from === 'book' ? 'quiet' : s.from === 'record' ? 'pine' : 'ember'}
                testID={`from-${s.id}`}
              >
                {FROM[s.from]}
              </Text>
              <Text kind="strong">{figureText(f, s.value, format)}</Text>
              <Button
                kind="plain"
                label={words.closeChange(open, s.id)}
                hint={words.change(figureName(s.id))}
                onPress={() => setOpen(open === s.id ? null : s.id)}
              />
            </Row>
            {open === s.id ? (
              <View style={{ gap: 8, paddingVertical: 10 }}>
                <Change f={f} value={typed ?? s.book} onChange={(x) => onChange({ ...figures, [s.id]: x })} />
                {typed === undefined ? null : (
                  <Button
                    label={words.asTheBookHasIt(figureText(f, s.book, format))}
                    onPress={() => {
                      const { [s.id]: _gone, ...rest } = figures;
                      onChange(rest);
                    }}
                  />
                )}
              </View>
            ) : null}
          </View>
        );
      })}
    </>
  );
}
