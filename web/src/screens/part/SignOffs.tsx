import { useQueryClient } from '@tanstack/react-query';
import type { SignOffView } from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import {
  FACT_WORDS,
  logEntryText,
  SIGN_SCOPE_WORDS,
  SIGN_STATE_WORDS,
  STOCK_WORDS,
} from '@calvetta/contract/words';
import { withdrawSignOff } from '../../api/doorClient.ts';
import { refreshDerived, useDoor } from '../../api/queries.ts';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { useSave } from '../../forms/useSave.ts';
import { usePrefs } from '../../state/prefs.ts';
import { Button } from '../../ui/Button.tsx';
import { newId } from '../../ui/newId.ts';
import { SignOffLink } from '../../ui/SignOffLink.tsx';
import { dayAndTime, toLocalInput } from '../../ui/time.ts';

const KIND_WORDS: Readonly<Record<string, string>> = { ...STOCK_WORDS, ...FACT_WORDS };

/** Who signed for the part, for what, and whether it still holds. Nothing where nobody did and nobody here may. */
export function SignOffs({ part }: { readonly part: PartDetail }) {
  const me = useDoor().data?.me;
  const { partId, name } = part.card;
  const isInspector = me?.isInspector === true && me.personId !== null;
  if (part.signOffs.length === 0 && !isInspector) return null;
  return (
    <section aria-label="Sign-offs" className="flex flex-col gap-2 border border-line bg-panel p-3">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[16px]">Sign-offs</h2>
        <SignOffLink of="part" id={partId} name={name} />
      </div>
      {part.signOffs.length === 0 ? <p className="text-quiet">Nobody has signed for it yet.</p> : null}
      <ul className="flex flex-col gap-2">
        {part.signOffs.map((s) => (
          <SignOff key={s.factId} sign={s} part={part} isSigner={s.personId === me?.personId} />
        ))}
      </ul>
    </section>
  );
}

interface RowProps {
  readonly sign: SignOffView;
  readonly part: PartDetail;
  readonly isSigner: boolean;
}
function SignOff({ sign, part, isSigner }: RowProps) {
  const client = useQueryClient();
  const save = useSave();
  const { body, state, endedBy, personName, atMs } = sign;
  const stands = state === 'standing';
  const at = dayAndTime(atMs, part.zone);
  const withdraw = (): void =>
    save.run(
      () =>
        withdrawSignOff(sign.factId, {
          factId: newId(),
          reason: 'taken back on its page',
          deviceId: usePrefs.getState().deviceId,
        }),
      () => refreshDerived(client),
    );
  const cause =
    state === 'withdrawn' || endedBy === null ? '' : `: ${KIND_WORDS[endedBy.kind] ?? endedBy.kind}`;
  return (
    <li
      className={`border-l-4 pl-3 ${stands ? 'border-ink' : state === 'superseded' ? 'border-wait' : 'border-bad'}`}
    >
      <p>
        <strong>{SIGN_SCOPE_WORDS[body.scope]}</strong>, {personName ?? 'somebody'}, {at}
        {' · '}
        <span className={stands ? '' : 'font-semibold'}>
          {SIGN_STATE_WORDS[state]}
          {cause}
        </span>
      </p>
      <p className={stands ? '' : 'text-quiet'}>“{body.words}”</p>
      <p className="text-[13px] text-quiet">
        {body.standard === undefined ? '' : `${body.standard} · `}
        {body.facts.length} entries
        {body.openFindings > 0 ? ` · ${body.openFindings} findings were open` : ''} ·{' '}
        <span className="figure">SHA-256 {body.sha256.slice(0, 16)}</span>
      </p>
      {body.registration === undefined && body.workOrder === undefined ? null : (
        <details className="text-[13px]">
          <summary className="cursor-pointer text-quiet">
            For the aircraft’s log, to be copied and signed there by the licensed person
          </summary>
          <p className="border border-line bg-ground p-2 select-all">
            {logEntryText({
              partName: part.card.name,
              machineName: part.card.machineName,
              at: toLocalInput(atMs, part.zone).slice(0, 10),
              body,
            })}
          </p>
        </details>
      )}
      {isSigner && state !== 'withdrawn' ? (
        <Button look="quiet" isInRow disabled={save.isBusy} onClick={withdraw}>
          Take it back
        </Button>
      ) : null}
      <FormTrouble words={save.trouble} />
    </li>
  );
}
