import { useState } from 'react';
import type { Person } from '@calvetta/core';
import { endFeed, makeFeed } from '../api/client.ts';
import { useDoor } from '../api/queries.ts';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { Button } from '../ui/Button.tsx';

type State =
  | { readonly is: 'unknown' }
  | { readonly is: 'made'; readonly url: string }
  | { readonly is: 'ended' };

/** An address at which somebody's own calendar asks for their part of the plan. */
export function FeedForm({ person }: { readonly person: Person }) {
  const save = useSave();
  const isOwn = useDoor().data?.me?.personId === person.personId;
  const [state, setState] = useState<State>({ is: 'unknown' });
  const make = (): void =>
    save.run(() =>
      makeFeed(person.personId, isOwn).then(({ path }) =>
        setState({ is: 'made', url: location.origin + path }),
      ),
    );
  return (
    <section className="flex flex-col gap-2 border-t border-line pt-3" aria-label="Their calendar">
      <h3 className="figure text-[15px]">Their calendar</h3>
      <p className="text-[13px] text-quiet">
        A phone’s calendar can ask for the sessions {person.name} comes to, and what falls to {person.name} in
        them. The address is the key: whoever has it can read that plan.
      </p>
      {state.is === 'made' ? (
        <label className="flex flex-col gap-1 text-[13px]">
          Copy it now: it is not shown again, and the one before is worth nothing any more.
          <input readOnly className="w-full" value={state.url} onFocus={(e) => e.target.select()} />
        </label>
      ) : null}
      <p role="status" className="text-[13px]">
        {state.is === 'ended' ? 'The address is ended. Calendars that have it find nothing.' : ''}
      </p>
      <FormTrouble words={save.trouble} />
      <div className="flex flex-wrap gap-2">
        <Button disabled={save.isBusy} onClick={make}>
          Make an address
        </Button>
        <Button
          look="quiet"
          disabled={save.isBusy}
          onClick={() =>
            save.run(() => endFeed(person.personId, isOwn).then(() => setState({ is: 'ended' })))
          }
        >
          End the address
        </Button>
      </div>
    </section>
  );
}
