/** How a structure leaks and opens: three plain questions, and what opens with its area. */
import { measureText, type Opening, type Snug, type Structure } from '@fogata/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../ui/Button';
import { useFormat } from '../../data/format';
import { Choose, Degrees, Measured, Metres } from '../ui/Fields';
import { PartTitle, Text } from '../ui/Text';
import { structureFields as words } from '@fogata/words/en/screens/structures';

const ANSWERS = [
  { value: 0, label: words.noDraughtToFeel },
  { value: 1, label: words.some },
  { value: 2, label: words.daylightToSee },
] as const;

const QUESTIONS: { key: keyof Snug; label: string }[] = [
  { key: 'ends', label: words.atTheEndsAndRound },
  { key: 'edges', label: words.alongTheGround },
  { key: 'skin', label: words.throughSeamsHolesAndPanes },
];

const START: Record<Structure['tightness'], Snug> = {
  tight: { ends: 0, edges: 0, skin: 0 },
  average: { ends: 1, edges: 1, skin: 0 },
  drafty: { ends: 2, edges: 1, skin: 1 },
};

/** A calm morning, a hand along the joints: what is felt and seen. */
export function SnugFields({
  value,
  tightness,
  onChange,
}: {
  value: Snug | undefined;
  tightness: Structure['tightness'];
  onChange: (s: Snug) => void;
}) {
  const snug = value ?? START[tightness];
  return (
    <View style={{ gap: 12 }}>
      <PartTitle right={value ? undefined : words.notAnsweredYet}>{words.howSnugIsIt}</PartTitle>
      {QUESTIONS.map((q) => (
        <Choose
          key={q.key}
          label={q.label}
          value={value ? snug[q.key] : null}
          options={ANSWERS}
          onChange={(v) => onChange({ ...snug, [q.key]: v })}
        />
      ))}
    </View>
  );
}

const KINDS = [
  { value: 'door', label: words.door },
  { value: 'roll-up', label: words.rollUp },
  { value: 'lid', label: words.lid },
  { value: 'hinged', label: words.hinged },
] as const;

/** What rolls up is known by its length and how high it goes. */
function RollUp({
  name,
  areaM2,
  onChange,
}: {
  name: string;
  areaM2: number;
  onChange: (m2: number) => void;
}) {
  const format = useFormat();
  const [heightM, setHeight] = useState(1);
  const lengthM = areaM2 / heightM;
  const area = (l: number, h: number) => Math.max(0.05, Number((l * h).toFixed(3)));
  return (
    <>
      <Metres
        label={words.lengthOfAllSidesTogether(name.toLowerCase())}
        value={lengthM}
        onChange={(l) => onChange(area(l, heightM))}
        step={0.5}
        bigStep={5}
        min={0.1}
        max={1000}
      />
      <Metres
        label={words.howHighItRolls}
        value={heightM}
        onChange={(h) => {
          setHeight(h);
          onChange(area(lengthM, h));
        }}
        min={0.1}
        max={5}
      />
      <Text kind="small" tone="quiet">
        {words.wideOpen(measureText(areaM2, 'area', format.length))}
      </Text>
    </>
  );
}

/** Everything that opens, each with its area wide open; a wax cylinder with its two temperatures. */
export function OpeningsFields({ value, onChange }: { value: Opening[]; onChange: (o: Opening[]) => void }) {
  const format = useFormat();
  const put = (i: number, patch: Partial<Opening>) =>
    onChange(value.map((o, j) => (j === i ? { ...o, ...patch } : o)));
  return (
    <View style={{ gap: 12 }}>
      <PartTitle right={words.eachWithItsAreaWide}>{words.whatOpens}</PartTitle>
      {value.map((o, i) => (
        <View key={i} style={{ gap: 8 }}>
          <Text kind="strong">{o.name}</Text>
          <Choose
            label={words.howItOpens}
            value={o.kind}
            options={KINDS}
            onChange={(kind) => put(i, { kind })}
          />
          {o.kind === 'roll-up' ? (
            <RollUp name={o.name} areaM2={o.areaM2} onChange={(areaM2) => put(i, { areaM2 })} />
          ) : (
            <Measured
              what="area"
              label={words.areaOf(o.name.toLowerCase())}
              value={o.areaM2}
              onChange={(areaM2) => put(i, { areaM2 })}
              steps={{ si: [0.1, 1], feet: [1, 10] }}
              digits={format.length === 'm' ? 2 : 1}
              min={0.05}
              max={1000}
            />
          )}
          <Choose
            label={words.whatOpensIt}
            value={o.wax ? 'wax' : 'hand'}
            options={[
              { value: 'hand', label: words.aHand },
              { value: 'wax', label: words.aWaxCylinder },
            ]}
            onChange={(v) => put(i, { wax: v === 'wax' ? { startC: 16, fullC: 26 } : null })}
          />
          {o.wax ? (
            <>
              <Degrees
                label={words.itStartsToOpenAt}
                value={o.wax.startC}
                onChange={(startC) => put(i, { wax: { startC, fullC: Math.max(o.wax!.fullC, startC + 1) } })}
                min={0}
                max={50}
              />
              <Degrees
                label={words.itIsFullyOpenAt}
                value={o.wax.fullC}
                onChange={(fullC) => put(i, { wax: { startC: Math.min(o.wax!.startC, fullC - 1), fullC } })}
                min={5}
                max={60}
              />
            </>
          ) : null}
          <Button
            kind="plain"
            label={words.takeAway(o.name.toLowerCase())}
            onPress={() => onChange(value.filter((_, j) => j !== i))}
          />
        </View>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {(
          [
            [words.aDoor, words.door2, 'door', 2],
            [words.aRollUpSide, words.rollUpSide, 'roll-up', 10],
            [words.aVent, words.vent, 'hinged', 0.5],
          ] as const
        ).map(([label, name, kind, areaM2]) => (
          <Button
            key={label}
            label={words.add(label)}
            onPress={() =>
              onChange([
                ...value,
                { name: `${name}${value.length > 0 ? ` ${value.length + 1}` : ''}`, kind, areaM2 },
              ])
            }
          />
        ))}
      </View>
    </View>
  );
}
