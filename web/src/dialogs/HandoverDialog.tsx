import { useState } from 'react';
import { Field } from '../forms/Field.tsx';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useStock, useWriter } from '../record/useRecord.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';

interface Props {
  /** Whoever leaves it goes home as well. */
  readonly isGoing: boolean;
  readonly onClose: () => void;
}

/** What a session leaves to the next: what hangs where, what was begun, what to mind. */
export function HandoverDialog({ isGoing, onClose }: Props) {
  const stock = useStock();
  const writer = useWriter();
  const save = useSave();
  const [text, setText] = useState('');
  const note = text.trim();
  const store = async (): Promise<void> => {
    if (note !== '')
      await stock({ kind: 'handed-over', about: 'for whoever comes next', body: { text: note } });
    if (!isGoing) return;
    const { personId } = await writer();
    await stock({ kind: 'left', about: 'until next time', body: { whoId: personId } });
  };
  return (
    <Panel
      title={isGoing ? 'Going home' : 'For whoever comes next'}
      subtitle="solvent rags out in their lidded bin, heat and air off, nothing wet left in the way"
      onClose={onClose}
    >
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          save.run(store, onClose);
        }}
      >
        <Field
          label="What they should know"
          hint={isGoing ? 'may be left empty' : 'stands on the Bench until the next note'}
        >
          <textarea
            rows={4}
            maxLength={2000}
            value={text}
            autoFocus
            onChange={(e) => setText(e.target.value)}
          />
        </Field>
        <FormTrouble words={save.trouble} />
        <Foot>
          <Button type="submit" look="main" disabled={save.isBusy || (!isGoing && note === '')}>
            {isGoing ? (note === '' ? 'I go home' : 'Leave it, and go home') : 'Leave it'}
          </Button>
        </Foot>
      </form>
    </Panel>
  );
}
