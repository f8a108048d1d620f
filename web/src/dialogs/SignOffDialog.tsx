import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { SIGN_SCOPES, type SignScope } from '@calvetta/core';
import type { ToSign } from '@calvetta/contract';
import { SIGN_LIMITS, SIGN_SCOPE_WORDS } from '@calvetta/contract/words';
import { signOff } from '../api/doorClient.ts';
import { refreshDerived, useShop, useToSign } from '../api/queries.ts';
import { Choice, Field } from '../forms/Field.tsx';
import { SecretField } from '../forms/SecretField.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useNotices } from '../state/notices.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { newId } from '../ui/newId.ts';
import { Panel } from '../ui/Panel.tsx';
import { dayAndTime } from '../ui/time.ts';

interface Props {
  readonly of: 'part' | 'machine';
  readonly id: string;
  readonly name: string;
  readonly onClose: () => void;
}
const EMPTY = { words: '', standard: '', registration: '', workOrder: '', approvedData: '', phrase: '' };
type Texts = typeof EMPTY;

/** Sends a signature at once. What came in between is shown before anybody signs again. */
function useSigning(name: string, onDone: () => void) {
  const client = useQueryClient();
  const say = useNotices((s) => s.say);
  const save = useSave();
  const sign = (scope: SignScope, texts: Texts, signable: readonly ToSign[]): void => {
    const { phrase, words, ...may } = texts;
    const given = Object.entries(may).filter(([, text]) => text.trim() !== '');
    const sent = {
      ...{ scope, words, phrase, deviceId: usePrefs.getState().deviceId },
      ...Object.fromEntries(given),
      parts: signable.map((p) => ({ factId: newId(), partId: p.partId, facts: p.facts, stock: p.stock })),
    };
    save.run(
      () => signOff(sent).finally(() => refreshDerived(client)),
      () => {
        say({ tone: 'done', text: `Signed off: ${name}` });
        onDone();
      },
    );
  };
  return { save, sign };
}

/** An inspector signs exactly what stands here, by phrase. It goes to the server at once or not at all: nothing signed waits on a device. */
export function SignOffDialog({ of, id, name, onClose }: Props) {
  const signing = useSigning(name, onClose);
  const { save } = signing;
  const toSign = useToSign(of, id);
  const [scope, setScope] = useState<SignScope>(of === 'machine' ? 'machine' : 'part');
  const [texts, setTexts] = useState<Texts>(EMPTY);
  const set = (patch: Partial<Texts>): void => setTexts((t) => ({ ...t, ...patch }));
  const parts = toSign.data ?? [];
  const mine = parts.filter((p) => p.isOwnWork);
  const signable = parts.filter((p) => !p.isOwnWork && p.facts.length > 0);
  const isReady = texts.words.trim() !== '' && texts.phrase !== '' && signable.length > 0;
  const submit = (): void => signing.sign(scope, texts, signable);
  return (
    <Panel title={`Sign off ${name}`} subtitle="what stands here now, and nothing else" onClose={onClose}>
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          if (isReady) submit();
        }}
      >
        {signable.length > 0 || mine.length === 0 ? <Covered parts={signable} /> : null}
        {mine.length > 0 ? (
          <p className="border-l-4 border-bad bg-ground p-3">
            You have worked on {mine.map((p) => p.name).join(', ')}: another inspector signs for that.
          </p>
        ) : null}
        {of === 'part' ? <Scope scope={scope} onChange={setScope} /> : null}
        <Field label="What you say of it">
          <textarea
            rows={2}
            maxLength={1000}
            value={texts.words}
            onChange={(e) => set({ words: e.target.value })}
          />
        </Field>
        <Field label="By which standard or specification" hint="may be left empty">
          <input maxLength={200} value={texts.standard} onChange={(e) => set({ standard: e.target.value })} />
        </Field>
        <AircraftLog texts={texts} set={set} />
        <p className="border-l-4 border-mark bg-ground p-3 text-[14px]">{SIGN_LIMITS}</p>
        <SecretField
          label="Your phrase"
          hint="typed for this, so that nobody signs at a page you left open"
          autoComplete="current-password"
          value={texts.phrase}
          onChange={(text) => set({ phrase: text })}
        />
        <FormTrouble words={save.trouble} />
        <Button type="submit" look="main" className="self-start" disabled={!isReady || save.isBusy}>
          Sign off
        </Button>
      </form>
    </Panel>
  );
}

function Scope({
  scope,
  onChange,
}: {
  readonly scope: SignScope;
  readonly onChange: (s: SignScope) => void;
}) {
  return (
    <Choice<SignScope>
      label="You looked at"
      value={scope}
      options={SIGN_SCOPES.filter((s) => s !== 'machine').map((s) => ({
        value: s,
        text: SIGN_SCOPE_WORDS[s],
      }))}
      onChange={onChange}
    />
  );
}

/** What the signature stands for: entries by part, what is open, and the hash over all of it. */
function Covered({ parts }: { readonly parts: readonly ToSign[] }) {
  const zone = useShop().data?.zone ?? 'UTC';
  if (parts.length === 0) return <p>Nothing is recorded that could be signed.</p>;
  return (
    <ul aria-label="What is signed" className="border border-line bg-ground">
      {parts.map((p) => (
        <li key={p.partId} className="border-b border-line/60 p-2 last:border-b-0">
          <strong>{p.name}</strong>: {p.facts.length} entries
          {p.stock.length > 0 ? ` and ${p.stock.length} of cups and tins` : ''}, {p.coats} coats
          {p.lastAtMs === null ? '' : `, the last ${dayAndTime(p.lastAtMs, zone)}`}
          {p.openFindings > 0 ? (
            <span className="text-bad">
              , {p.openFindings} {p.openFindings === 1 ? 'finding is' : 'findings are'} open
            </span>
          ) : null}
          <span className="figure block text-[12px] break-all text-quiet">
            SHA-256 {p.sha256.slice(0, 32)}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Of an aircraft: what the entry in its own log names. */
function AircraftLog({
  texts,
  set,
}: {
  readonly texts: Texts;
  readonly set: (patch: Partial<Texts>) => void;
}) {
  return (
    <details>
      <summary className="cursor-pointer text-quiet">Of an aircraft: for its log</summary>
      <div className="mt-2 flex flex-col gap-3 border-l-4 border-line pl-3">
        <Field label="Registration">
          <input
            maxLength={40}
            value={texts.registration}
            onChange={(e) => set({ registration: e.target.value })}
          />
        </Field>
        <Field label="Work order">
          <input
            maxLength={80}
            value={texts.workOrder}
            onChange={(e) => set({ workOrder: e.target.value })}
          />
        </Field>
        <Field label="Approved data, with its revision">
          <input
            maxLength={200}
            value={texts.approvedData}
            onChange={(e) => set({ approvedData: e.target.value })}
          />
        </Field>
        <p className="text-[13px] text-quiet">
          The text for the log is made from it; a licensed person copies it there and signs.
        </p>
      </div>
    </details>
  );
}
