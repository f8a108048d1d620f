import { useState } from 'react';
import { usePeople } from '../api/queries.ts';
import { Choice } from '../forms/Field.tsx';
import { SecretField } from '../forms/SecretField.tsx';
import { usePrefs } from '../state/prefs.ts';
import { holdPin } from '../state/pin.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';

/** Signs the next entry of a shop's tablet: whose pin, and the pin. It is good for one entry and for two minutes. */
export function PinDialog({ onClose }: { readonly onClose: () => void }) {
  const people = usePeople();
  const { personId, setPerson } = usePrefs();
  const [pin, setPin] = useState('');
  const isFit = /^\d{6}$/.test(pin) && personId !== null;
  return (
    <Panel title="Sign the next entry" subtitle="good for one entry, and for two minutes" onClose={onClose}>
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          if (!isFit) return;
          holdPin({ personId, pin });
          onClose();
        }}
      >
        <Choice
          label="Whose"
          value={personId}
          options={people.map((p) => ({ value: p.personId, text: p.name }))}
          onChange={setPerson}
        />
        <SecretField
          label="Pin"
          hint="six figures; set it under Settings where you are signed in yourself"
          autoComplete="off"
          value={pin}
          onChange={(text) => setPin(text)}
          isFigures
          maxLength={6}
        />
        <Button type="submit" look="main" className="self-start" disabled={!isFit}>
          Sign the next entry
        </Button>
      </form>
    </Panel>
  );
}
