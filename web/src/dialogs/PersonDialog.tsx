import { useState } from 'react';
import { INDUCTIONS, type Induction, type MayDo, type Person } from '@calvetta/core';
import { INDUCTION_GLOSS, INDUCTION_WORDS, mayWords } from '@calvetta/contract/words';
import { usePeopleView, useShop } from '../api/queries.ts';
import { Field } from '../forms/Field.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useStock } from '../record/useRecord.ts';
import { useThings } from '../record/useThings.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';
import { ComesForm } from './ComesForm.tsx';
import { FeedForm } from './FeedForm.tsx';
import { Waiting } from '../ui/Trouble.tsx';

interface Props {
  readonly personId: string;
  readonly onClose: () => void;
}

/** What somebody was shown and may do alone, and until when they are under age. */
export function PersonDialog({ personId, onClose }: Props) {
  const person = useShop().data?.people.find((p) => p.personId === personId);
  const view = usePeopleView();
  const own = view.data?.people.find((p) => p.personId === personId);
  return (
    <Panel title={person?.name ?? ''} subtitle="what they may do alone, and when they come" onClose={onClose}>
      {person && own && view.data ? (
        <div className="flex flex-col gap-4">
          <ul>
            {INDUCTIONS.map((to) => (
              <Line
                key={to}
                person={person}
                to={to}
                may={own.inductions.find((i) => i.to === to)?.may ?? { state: 'none' }}
                today={view.data.day}
              />
            ))}
          </ul>
          <p className="text-[13px] text-quiet">
            As soon as one person is down for something, everybody else is asked about it when they log it.
            Who may teach it, and how often it is due again, local law and your insurer say.
          </p>
          <ComesForm person={person} />
          <FeedForm person={person} />
          <UnderAge key={person.version} person={person} />
        </div>
      ) : (
        <Waiting error={view.error} what="people" />
      )}
    </Panel>
  );
}

interface LineProps {
  readonly person: Person;
  readonly to: Induction;
  readonly may: MayDo;
  readonly today: string;
}
function Line({ person, to, may, today }: LineProps) {
  const stock = useStock();
  const save = useSave();
  const [until, setUntil] = useState('');
  const isOver = until !== '' && until < today;
  const store = (): void =>
    save.run(
      () =>
        stock({
          kind: 'inducted',
          about: `${person.name}, ${INDUCTION_WORDS[to]}`,
          body: { whoId: person.personId, to, ...(until === '' ? {} : { until }) },
        }),
      () => setUntil(''),
    );
  const isBad = may.state === 'lapsed' || may.state === 'minor';
  return (
    <li className="flex flex-wrap items-end justify-between gap-x-4 gap-y-2 border-t border-line/60 py-2">
      <span className="min-w-[200px] flex-1">
        <span className="block font-semibold first-letter:uppercase">{INDUCTION_WORDS[to]}</span>
        <span className={`text-[14px] ${isBad ? 'text-bad' : may.state === 'inducted' ? '' : 'text-quiet'}`}>
          {mayWords(may)}
        </span>
        <span className="block text-[13px] text-quiet">{INDUCTION_GLOSS[to]}</span>
        <FormTrouble words={save.trouble} />
      </span>
      <Field label="Good until, if it lapses" problem={isOver ? 'A day from today on.' : null}>
        <input type="date" value={until} onChange={(e) => setUntil(e.target.value)} />
      </Field>
      <Button
        disabled={save.isBusy || isOver || may.state === 'minor'}
        aria-label={`Shown how: ${INDUCTION_WORDS[to]}`}
        onClick={store}
      >
        Shown how
      </Button>
    </li>
  );
}

/** Kept from spraying isocyanate, blasting, the hoist and hot work until that day. */
function UnderAge({ person }: { readonly person: Person }) {
  const things = useThings();
  const [day, setDay] = useState(person.minorUntil ?? '');
  const store = (minorUntil: string | null): void =>
    things.quietly(
      things.change('people', person.personId, person.name, { version: person.version, minorUntil }),
    );
  return (
    <form
      className="flex flex-wrap items-end gap-2 border-t border-line pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        store(day === '' ? null : day);
      }}
    >
      <Field label="Under age until" hint="empty: of age">
        <input type="date" value={day} onChange={(e) => setDay(e.target.value)} />
      </Field>
      <Button type="submit" disabled={day === (person.minorUntil ?? '')}>
        Store
      </Button>
    </form>
  );
}
