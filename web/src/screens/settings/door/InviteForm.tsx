import { useState } from 'react';
import { ROLES, type Invitation, type Role } from '@calvetta/contract';
import { ROLE_SAYS, ROLE_WORDS } from '@calvetta/contract/words';
import { makeInvite } from '../../../api/doorClient.ts';
import { Choice, Field } from '../../../forms/Field.tsx';
import { FormTrouble } from '../../../forms/FormTrouble.tsx';
import { useSave } from '../../../forms/useSave.ts';
import { useNowMs } from '../../../state/clock.ts';
import { Button } from '../../../ui/Button.tsx';
import { QrCode } from '../../../ui/QrCode.tsx';

interface Props {
  /** Null: a tablet, whose name is asked. */
  readonly of: { readonly personId: string } | null;
  readonly name: string;
  readonly onClose: () => void;
}

/** An invitation: its role fixed, good once and for ten minutes; its link is shown here and nowhere else. */
export function InviteForm({ of, name, onClose }: Props) {
  const save = useSave();
  const [role, setRole] = useState<Role>('hand');
  const [isInspector, setInspector] = useState(false);
  const [tabletName, setTabletName] = useState('');
  const [made, setMade] = useState<Invitation | null>(null);
  const roles = of === null ? (['viewer', 'hand'] as const) : ROLES;
  const isNamed = of !== null || tabletName.trim() !== '';
  if (made) return <Made invitation={made} name={of === null ? tabletName : name} onClose={onClose} />;
  return (
    <form
      className="my-2 flex flex-col gap-3 border-l-4 border-line pl-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!isNamed) return;
        const whom = of === null ? { tabletName: tabletName.trim() } : { ...of, isInspector };
        save.run(async () => setMade(await makeInvite({ role, ...whom })));
      }}
    >
      {of === null ? (
        <Field label="Where it hangs" hint="its name on the list">
          <input maxLength={120} value={tabletName} onChange={(e) => setTabletName(e.target.value)} />
        </Field>
      ) : null}
      <div>
        <Choice<Role>
          label={of === null ? 'What it may' : `What ${name} may`}
          value={role}
          options={roles.map((r) => ({ value: r, text: ROLE_WORDS[r] }))}
          onChange={setRole}
        />
        <p className="text-[13px] text-quiet">{ROLE_SAYS[role]}</p>
      </div>
      {of === null ? null : (
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-chosen"
            checked={isInspector}
            onChange={(e) => setInspector(e.target.checked)}
          />
          inspector: signs off what others did
        </label>
      )}
      <FormTrouble words={save.trouble} />
      <p className="flex gap-2">
        <Button type="submit" look="main" disabled={!isNamed || save.isBusy}>
          Make the invitation
        </Button>
        <Button onClick={onClose}>Not now</Button>
      </p>
    </form>
  );
}

function Made({
  invitation,
  name,
  onClose,
}: {
  readonly invitation: Invitation;
  readonly name: string;
  readonly onClose: () => void;
}) {
  const nowMs = useNowMs();
  // The page's clock ticks by the minute: never more than there was.
  const left = Math.min(10, Math.max(0, Math.ceil((invitation.expiresAtMs - nowMs) / 60_000)));
  // Behind the #, where neither this server nor any between writes it down.
  const link = `${location.origin}/in#${invitation.token}`;
  return (
    <div role="status" className="my-2 flex flex-wrap items-start gap-3 border-l-4 border-mark bg-ground p-3">
      <span className="bg-white">
        <QrCode text={link} alt={`Code of the invitation for ${name}`} />
      </span>
      <div className="min-w-0 flex-1">
        <p>
          For <strong>{name}</strong>, once, {left === 0 ? 'over now' : `for ${left} more min`}. Scan it
          there, or type:
        </p>
        <p className="figure text-[13px] break-all">{link}</p>
        <Button look="quiet" isInRow onClick={onClose}>
          Done
        </Button>
      </div>
    </div>
  );
}
