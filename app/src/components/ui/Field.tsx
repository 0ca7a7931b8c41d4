/** Text that is typed: a label above, one line or several, the problem below in a sentence. */
import { StyleSheet, TextInput, View } from 'react-native';
import { useTheme } from '../../theme/theme';
import { FONT, TOUCH } from '../../theme/tokens';
import { Text } from './Text';

export interface FieldProps {
  label: string;
  value: string;
  onChange: (text: string) => void;
  placeholder?: string;
  problem?: string | null;
  lines?: number;
  testID?: string;
  onSubmit?: () => void;
  onBlur?: () => void;
  /** Typed into at once. */
  focused?: boolean;
}

export function NoteField({
  label,
  value,
  onChange,
  placeholder,
  problem,
  lines = 1,
  testID,
  onSubmit,
  onBlur,
  focused = false,
}: FieldProps) {
  const theme = useTheme();
  return (
    <View style={{ gap: 4 }}>
      <Text kind="label" tone="quiet">
        {label}
      </Text>
      <TextInput
        aria-label={label}
        aria-invalid={problem ? true : undefined}
        value={value}
        onChangeText={onChange}
        placeholder={placeholder}
        placeholderTextColor={theme.quiet}
        multiline={lines > 1}
        numberOfLines={lines}
        testID={testID}
        onSubmitEditing={onSubmit}
        onBlur={onBlur}
        autoFocus={focused}
        style={[
          styles.input,
          {
            color: theme.ink,
            borderColor: problem ? theme.ochre : theme.quiet,
            backgroundColor: theme.raised,
            minHeight: lines > 1 ? lines * 24 + 20 : TOUCH,
          },
        ]}
      />
      {problem ? <Text kind="small" tone="ochre">{`▲ ${problem}`}</Text> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  input: {
    borderWidth: 1.5,
    borderRadius: 3,
    paddingHorizontal: 12,
    paddingVertical: 10,
    fontFamily: FONT.text,
    fontSize: 16,
  },
});
