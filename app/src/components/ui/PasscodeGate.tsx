/** Asks for the farm's passcode where the server wants one; what waits on the device is kept meanwhile. */
import { api, call } from '@fogata/contract/client';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Refused, request } from '../../data/api';
import { refresh, useFarm } from '../../data/hooks';
import { outbox } from '../../data/outbox';
import { Problem } from './Bars';
import { Button } from './Button';
import { NoteField } from './Field';
import { Page } from './Page';
import { Text } from './Text';
import { passcodeGate as words } from '@fogata/words/en/screens/ui';

export function PasscodeGate({ children }: { children: ReactNode }) {
  const { error } = useFarm();
  const [passcode, setPasscode] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  if (!(error instanceof Refused && error.status === 401)) return <>{children}</>;
  const open = async () => {
    setProblem(null);
    try {
      await request(call(api.session), { passcode });
      setPasscode('');
      await refresh();
      void outbox.flush();
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  return (
    <Page testID="passcode">
      <View style={{ gap: 14, paddingTop: 24 }}>
        <Text kind="title" heading={1}>
          {words.thisFarmAsksForIts}
        </Text>
        <NoteField label={words.passcode} value={passcode} onChange={setPasscode} testID="passcode-field" />
        {problem ? <Problem>{problem}</Problem> : null}
        <Button
          wide
          kind="main"
          label={words.openTheFarm}
          disabled={passcode === ''}
          onPress={() => void open()}
          testID="passcode-open"
        />
        <Text kind="small" tone="quiet">
          {words.whoeverRunsTheServerSet}
        </Text>
      </View>
    </Page>
  );
}
