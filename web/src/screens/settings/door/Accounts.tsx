import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Person } from '@calvetta/core';
import { ROLES, type Account, type Accounts as All, type Role } from '@calvetta/contract';
import { ROLE_WORDS } from '@calvetta/contract/words';
import { changeAccount, endTablet } from '../../../api/doorClient.ts';
import { KEYS } from '../../../api/keys.ts';
import { useAccounts, useDoor, usePeople } from '../../../api/queries.ts';
import { FormTrouble } from '../../../forms/FormTrouble.tsx';
import { useSave, type Save } from '../../../forms/useSave.ts';
import { Button } from '../../../ui/Button.tsx';
import { InviteForm } from './InviteForm.tsx';

/** Who may come in: what the owner sees and changes. */
export function Accounts() {
  const client = useQueryClient();
  const people = usePeople();
  const me = useDoor().data?.me;
  const all = useAccounts().data;
  const save = useSave();
  const [invited, setInvited] = useState<string | null>(null);
  if (!all) return null;
  const take = (work: () => Promise<All>): void =>
    save.run(async () => client.setQueryData(KEYS.accounts, await work()));
  const waiting = all.accounts.filter((a) => a.isWaiting);
  return (
    <div className="flex flex-col gap-2">
      {waiting.map((a) => (
        <div
          key={a.personId}
          role="status"
          className="flex flex-wrap items-center gap-3 border-l-4 border-mark bg-ground p-3"
        >
          <span>
            <strong>{nameOf(people, a.personId)}</strong> took the invitation up. Did you see it happen?
          </span>
          <Button
            look="main"
            onClick={() => take(() => changeAccount(a.personId, { version: a.version, isAdmitted: true }))}
          >
            Let in
          </Button>
        </div>
      ))}
      <FormTrouble words={save.trouble} />
      <ul>
        {people.map((p) => (
          <li key={p.personId} className="border-t border-line/60 py-1">
            <PersonLine
              person={p}
              account={all.accounts.find((a) => a.personId === p.personId) ?? null}
              isMe={p.personId === me?.personId}
              save={save}
              onTake={take}
              onInvite={() => setInvited(invited === p.personId ? null : p.personId)}
            />
            {invited === p.personId ? (
              <InviteForm of={{ personId: p.personId }} name={p.name} onClose={() => setInvited(null)} />
            ) : null}
          </li>
        ))}
      </ul>
      <Tablets all={all} onTake={take} />
    </div>
  );
}

const nameOf = (people: readonly Person[], personId: string): string =>
  people.find((p) => p.personId === personId)?.name ?? personId;

interface LineProps {
  readonly person: Person;
  readonly account: Account | null;
  readonly isMe: boolean;
  readonly save: Save;
  readonly onTake: (work: () => Promise<All>) => void;
  readonly onInvite: () => void;
}
function PersonLine({ person, account, isMe, save, onTake, onInvite }: LineProps) {
  const { personId, name } = person;
  const change = (patch: object): void =>
    onTake(() => changeAccount(personId, { version: account!.version, ...patch }));
  return (
    <div className="flex flex-wrap items-center justify-between gap-2">
      <span>
        {name}
        <span className="text-[13px] text-quiet">
          {account === null
            ? ' · does not come in yet'
            : `${isMe ? ' · you' : ''}${account.isWaiting ? ' · waits' : ''}${account.hasPin ? ' · has a pin' : ''}`}
        </span>
      </span>
      <span className="flex flex-wrap items-center gap-2">
        {account && !account.isWaiting ? (
          <>
            <select
              aria-label={`What ${name} may`}
              value={account.role}
              onChange={(e) => change({ role: e.target.value as Role })}
            >
              {ROLES.map((r) => (
                <option key={r} value={r}>
                  {ROLE_WORDS[r]}
                </option>
              ))}
            </select>
            <label className="flex min-h-11 items-center gap-2 text-[14px]">
              <input
                type="checkbox"
                className="size-4 accent-chosen"
                checked={account.isInspector}
                disabled={save.isBusy}
                onChange={(e) => change({ isInspector: e.target.checked })}
              />
              inspector
            </label>
          </>
        ) : null}
        <Button look="quiet" isInRow onClick={onInvite} aria-label={`Invite ${name}`}>
          {account === null ? 'Invite' : 'Invite anew'}
        </Button>
        {account && !isMe ? (
          <Button
            look="quiet"
            isInRow
            aria-label={`Shut ${name} out`}
            onClick={() => change({ isEnded: true })}
          >
            Shut out
          </Button>
        ) : null}
      </span>
    </div>
  );
}

function Tablets({ all, onTake }: { readonly all: All; readonly onTake: LineProps['onTake'] }) {
  const [isAdding, setAdding] = useState(false);
  return (
    <div className="border-t border-line/60 pt-2">
      <h3 className="text-[15px]">Tablets of the shop</h3>
      <p className="text-[13px] text-quiet">
        In as a place, in anybody’s hands, never as more than one who logs. Its entries are as they were said;
        with a pin they are signed.
      </p>
      <ul>
        {all.tablets.map((t) => (
          <li key={t.tabletId} className="flex items-center justify-between gap-2">
            {t.name}
            <Button
              look="quiet"
              isInRow
              aria-label={`Shut ${t.name} out`}
              onClick={() => onTake(() => endTablet(t.tabletId))}
            >
              Shut out
            </Button>
          </li>
        ))}
      </ul>
      {isAdding ? (
        <InviteForm of={null} name="" onClose={() => setAdding(false)} />
      ) : (
        <Button look="quiet" isInRow onClick={() => setAdding(true)}>
          Invite a tablet
        </Button>
      )}
    </div>
  );
}
