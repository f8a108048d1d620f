import type { Person } from '@calvetta/core';
import { INDUCTION_SHORT } from '@calvetta/contract/words';
import { useDoor, usePeopleView, useShop } from '../../api/queries.ts';
import { AddLine } from '../../forms/AddLine.tsx';
import { Rename } from '../../forms/Rename.tsx';
import { useThings } from '../../record/useThings.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { usePrefs } from '../../state/prefs.ts';
import { Button } from '../../ui/Button.tsx';
import { newId } from '../../ui/newId.ts';
import { PutAway } from './PutAway.tsx';

const listed = (p: Person) => ({
  path: 'people' as const,
  id: p.personId,
  name: p.name,
  version: p.version,
  again: { personId: p.personId, name: p.name, isNamed: p.isNamed, minorUntil: p.minorUntil, comes: p.comes },
});

/** Who comes: every entry names one of them. */
export function People() {
  const shop = useShop();
  const setPerson = usePrefs((s) => s.setPerson);
  const things = useThings();
  const people = shop.data?.people ?? [];
  const add = (name: string): void => {
    const id = `p-${newId().slice(0, 12)}`;
    things.quietly(things.make('people', id, name, { personId: id, name }));
    // Whoever writes the first name is usually the one who holds the tablet.
    if (people.length === 0) setPerson(id);
  };
  return (
    <div className="flex flex-col gap-2">
      <ul>
        {people
          .filter((p) => !p.isAway)
          .map((p) => (
            <Line key={p.personId} person={p} />
          ))}
      </ul>
      <p className="text-[13px] text-quiet">
        On paper people are volunteers with a number, unless they have agreed to be named.
      </p>
      <AddLine label="Another person" onAdd={add} />
      <PutAway things={people.filter((p) => p.isAway).map(listed)} />
    </div>
  );
}

function Line({ person: p }: { readonly person: Person }) {
  const { personId, setPerson } = usePrefs();
  const things = useThings();
  const show = useDialogs((s) => s.show);
  // Whoever signed in is known: a touch on a name makes nobody another.
  const isSignedIn = useDoor().data?.me?.personId != null;
  return (
    <li className="flex flex-wrap items-center justify-between gap-2 border-t border-line/60">
      <span className="min-w-0 flex-1 py-0.5">
        <Rename
          name={p.name}
          label="Name of the person"
          onRename={(name) =>
            things.quietly(things.change('people', p.personId, name, { version: p.version, name }))
          }
        />
        {p.personId === personId ? <span className="text-[13px] text-quiet">holds this device</span> : null}
        <Shown personId={p.personId} />
      </span>
      <span className="flex items-center">
        <Button
          look="quiet"
          isInRow
          aria-label={`What ${p.name} may do`}
          onClick={() => show({ kind: 'person', personId: p.personId })}
        >
          May do, comes…
        </Button>
        <label className="flex min-h-9 items-center gap-1 px-2 text-[13px] pointer-coarse:min-h-11">
          <input
            type="checkbox"
            className="size-4 accent-chosen"
            aria-label={`${p.name} is named on paper`}
            checked={p.isNamed}
            onChange={(e) =>
              things.quietly(
                things.change('people', p.personId, p.name, {
                  version: p.version,
                  isNamed: e.target.checked,
                }),
              )
            }
          />
          named on paper
        </label>
        {p.personId === personId || isSignedIn ? null : (
          <Button look="quiet" isInRow onClick={() => setPerson(p.personId)}>
            It’s me
          </Button>
        )}
        <Button
          look="quiet"
          isInRow
          aria-label={`Remove ${p.name}`}
          onClick={() => things.quietly(things.remove(listed(p)))}
        >
          Remove
        </Button>
      </span>
    </li>
  );
}

/** What somebody was shown, in a few words; what lapsed stands out. */
function Shown({ personId }: { readonly personId: string }) {
  const own = usePeopleView().data?.people.find((p) => p.personId === personId);
  const shown = own?.inductions.filter((i) => i.may.state === 'inducted') ?? [];
  const lapsed = own?.inductions.filter((i) => i.may.state === 'lapsed') ?? [];
  if (shown.length === 0 && lapsed.length === 0) return null;
  return (
    <span className="block text-[13px] text-quiet">
      {shown.map((i) => INDUCTION_SHORT[i.to]).join(', ')}
      {lapsed.length === 0 ? null : (
        <span className="text-bad">
          {shown.length === 0 ? '' : '; '}lapsed: {lapsed.map((i) => INDUCTION_SHORT[i.to]).join(', ')}
        </span>
      )}
    </span>
  );
}
