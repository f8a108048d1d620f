import { useQueryClient } from '@tanstack/react-query';
import type { Me } from '@calvetta/contract';
import { ROLE_SAYS, ROLE_WORDS } from '@calvetta/contract/words';
import { signOut } from '../../../api/doorClient.ts';
import { useDoor } from '../../../api/queries.ts';
import { FormTrouble } from '../../../forms/FormTrouble.tsx';
import { useSave } from '../../../forms/useSave.ts';
import { Button } from '../../../ui/Button.tsx';
import { Accounts } from './Accounts.tsx';
import { OwnKeys } from './OwnKeys.tsx';

/** Who comes in here, and as what. */
export function TheDoor() {
  const { data: door } = useDoor();
  if (!door) return null;
  if (!door.hasOwner)
    return (
      <>
        <p>
          Nobody signs in yet: every account on this computer can write, and nobody can sign off. Only this
          computer is answered.
        </p>
        <p className="text-quiet">
          To have everyone sign in, and to open Calvetta to the tablets of the shop, run{' '}
          <span className="figure whitespace-nowrap">bin/owner “Your Name”</span> here and follow the link it
          prints. Then invite the others on this page.
        </p>
      </>
    );
  return (
    <>
      {door.me ? <MeHere me={door.me} /> : null}
      {door.isEncrypted ? null : (
        <p className="text-[14px] text-quiet">
          Nothing here is encrypted: whoever is on this network can read phrases, pins and tokens. Signing in
          tells people apart; it keeps no attacker out. TLS: docs/operations.md.
        </p>
      )}
      {door.me?.role === 'owner' ? <Accounts /> : null}
    </>
  );
}

function MeHere({ me }: { readonly me: Me }) {
  const client = useQueryClient();
  const save = useSave();
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <p>
          <strong>{me.name}</strong> · {ROLE_WORDS[me.role]}
          {me.isInspector ? ' · inspector' : ''}
          <span className="block text-[13px] text-quiet">{ROLE_SAYS[me.role]}</span>
        </p>
        <Button disabled={save.isBusy} onClick={() => save.run(signOut, () => void client.resetQueries())}>
          {me.tabletId === null ? 'Sign out' : 'Take this tablet out'}
        </Button>
      </div>
      <FormTrouble words={save.trouble} />
      {me.personId === null ? null : <OwnKeys />}
    </div>
  );
}
