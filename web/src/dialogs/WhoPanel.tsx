import { usePeople } from '../api/queries.ts';
import { AddLine } from '../forms/AddLine.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useThings } from '../record/useThings.ts';
import { usePrefs } from '../state/prefs.ts';
import { useWho } from '../state/who.ts';
import { Button } from '../ui/Button.tsx';
import { newId } from '../ui/newId.ts';
import { Panel } from '../ui/Panel.tsx';

/** Asked once on a device, before its first entry: every entry names who did it. */
export default function WhoPanel() {
  const answer = useWho((s) => s.answer);
  const people = usePeople();
  const setPerson = usePrefs((s) => s.setPerson);
  const things = useThings();
  const save = useSave();
  const name = (personId: string): void => {
    setPerson(personId);
    answer?.(personId);
  };
  const add = (word: string): void => {
    const personId = `p-${newId().slice(0, 12)}`;
    save.run(
      () => things.make('people', personId, word, { personId, name: word }),
      () => name(personId),
    );
  };
  return (
    <Panel
      title="Who are you?"
      subtitle="every entry names who did it; this device remembers"
      onClose={() => answer?.(null)}
    >
      <div className="flex flex-col gap-4">
        {people.length === 0 ? null : (
          <div className="flex flex-wrap gap-2">
            {people.map((p) => (
              <Button key={p.personId} onClick={() => name(p.personId)}>
                {p.name}
              </Button>
            ))}
          </div>
        )}
        <AddLine
          label={people.length === 0 ? 'Your name' : 'Or another name'}
          button="That’s me"
          isBusy={save.isBusy}
          onAdd={add}
        />
        <FormTrouble words={save.trouble} />
      </div>
    </Panel>
  );
}
