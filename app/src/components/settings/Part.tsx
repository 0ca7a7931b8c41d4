/** A question of the settings with why it is asked. */
import type { Farm, FarmPatch } from '@fogata/contract';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Choice } from '../ui/Button';
import { PartTitle, Text } from '../ui/Text';

export interface SettingsProps {
  farm: Farm;
  save: (patch: FarmPatch, label: string) => void;
}

export function Part({ title, children, why }: { title: string; why?: string; children: ReactNode }) {
  return (
    <View style={{ gap: 8 }}>
      <PartTitle>{title}</PartTitle>
      {why ? (
        <Text kind="small" tone="quiet">
          {why}
        </Text>
      ) : null}
      {children}
    </View>
  );
}

/** A question with its answers beside each other; what is asked names it for who does not see it. */
export function Question<T extends string | number>({
  title,
  why,
  ...answers
}: {
  title: string;
  why?: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
}) {
  return (
    <Part title={title} {...(why ? { why } : {})}>
      <Choice label={title} {...answers} />
    </Part>
  );
}
