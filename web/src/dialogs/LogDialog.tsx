import { useState } from 'react';
import { FACES, type Face, type FactKind } from '@calvetta/core';
import type { FactView, PartDetail } from '@calvetta/contract';
import { FACT_WORDS } from '@calvetta/contract/words';
import type { Refused } from '../api/client.ts';
import { usePart, useSheets, useShelf, useShop } from '../api/queries.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Choice, Field } from '../ui/Field.tsx';
import { Panel } from '../ui/Panel.tsx';
import { fromLocalInput, toLocalInput } from '../ui/time.ts';
import { Waiting } from '../ui/Trouble.tsx';
import { CoatForm } from './CoatForm.tsx';
import { BothVersions } from './BothVersions.tsx';
import { LOG_KINDS } from './factForms.ts';
import { isRefusal, refusalWords } from './refusal.ts';
import type { SubmitBody } from './submit.ts';
import { SimpleForm } from './SimpleForm.tsx';
import { useRecord } from '../record/useRecord.ts';

interface Props {
  readonly partId: string;
  readonly factKind: FactKind;
  readonly correct?: FactView;
  readonly onClose: () => void;
}

/** Logs or corrects what was done to a part. Everything known is filled in; the second touch stores it. */
export function LogDialog({ partId, factKind, correct, onClose }: Props) {
  const part = usePart(partId);
  // Asked for before the form is drawn: a form that grows under the finger is touched in the wrong place, and an entry
  // needs to know whose hands it is in.
  const sheets = useSheets();
  const shop = useShop();
  const shelf = useShelf();
  const [kind, setKind] = useState<FactKind>(factKind);
  const title = correct
    ? `Correct: ${FACT_WORDS[kind]}`
    : kind === 'coated'
      ? 'Log a coat'
      : FACT_WORDS[kind];
  return (
    <Panel
      title={title}
      subtitle={part.data ? `${part.data.card.name} · ${part.data.card.machineName}` : ''}
      onClose={onClose}
    >
      {part.data && sheets.data && shop.data && shelf.data ? (
        <LogForm
          key={kind}
          part={part.data}
          kind={kind}
          onKind={setKind}
          onClose={onClose}
          {...(correct ? { correct } : {})}
        />
      ) : (
        <Waiting error={part.error ?? sheets.error ?? shop.error ?? shelf.error} what="part" />
      )}
    </Panel>
  );
}

interface FormProps {
  readonly part: PartDetail;
  readonly kind: FactKind;
  readonly correct?: FactView;
  readonly onKind: (kind: FactKind) => void;
  readonly onClose: () => void;
}

function LogForm({ part, kind, correct, onKind, onClose }: FormProps) {
  const record = useRecord();
  const [face, setFace] = useState<Face | null>(
    correct ? correct.face : part.faces.length > 1 ? part.card.face : null,
  );
  // Null: the moment the button is touched.
  const [atMs, setAtMs] = useState<number | null>(
    correct ? (correct.endedAtMs ?? correct.happenedAtMs) : null,
  );
  const [supersedes, setSupersedes] = useState<string | undefined>(correct?.factId);
  const [error, setError] = useState<Refused | null>(null);
  const [isBusy, setBusy] = useState(false);
  const send = (
    draftKind: FactKind,
    body: Record<string, unknown>,
    evidence?: Record<string, unknown>,
  ): void => {
    setBusy(true);
    setError(null);
    const endMs = atMs ?? Date.now();
    const keptLength = correct?.endedAtMs ? correct.endedAtMs - correct.happenedAtMs : 0;
    const happenedMs = draftKind === 'voided' ? Date.now() : endMs - keptLength;
    void record({
      kind: draftKind,
      partId: part.card.partId,
      partName: part.card.name,
      face,
      happenedMs,
      endedMs: draftKind !== 'voided' && keptLength > 0 ? endMs : null,
      body,
      ...(supersedes === undefined ? {} : { supersedes }),
      ...(evidence ? { evidence } : {}),
    })
      .then(onClose)
      .catch((e: unknown) => {
        if (!isRefusal(e)) throw e;
        setError(e);
      })
      .finally(() => setBusy(false));
  };
  const submit: SubmitBody = (body, evidence) => send(kind, body, evidence);
  const both = error?.body.code === 'superseded-already' ? error.body.details : null;
  const stored = both && (both.stored as FactView);
  const common = { part, face, error, isBusy, submit, ...(correct ? { correct } : {}) };
  const whoAndWhen = (
    <>
      <WhoAndWhen part={part} face={face} onFace={setFace} atMs={atMs} onAt={setAtMs} error={error} />
      {correct ? (
        <Button look="quiet" className="self-start" disabled={isBusy} onClick={() => send('voided', {})}>
          It never happened: void it
        </Button>
      ) : null}
    </>
  );
  return (
    <div className="flex flex-col gap-4">
      {correct ? null : <KindChoice kind={kind} onKind={onKind} />}
      {error ? (
        <p role="alert" className="border-l-4 border-bad bg-ground p-3">
          {refusalWords(error)}
        </p>
      ) : null}
      {stored ? (
        <BothVersions
          theirs={stored}
          mine={(both.sent as { body: Record<string, unknown> }).body}
          onTheirs={onClose}
          onMine={() => {
            setSupersedes(stored.factId);
            setError(null);
          }}
        />
      ) : null}
      {kind === 'coated' ? (
        <CoatForm {...common} isNow={atMs === null}>
          {whoAndWhen}
        </CoatForm>
      ) : (
        <SimpleForm {...common} kind={kind}>
          {whoAndWhen}
        </SimpleForm>
      )}
    </div>
  );
}

function KindChoice({ kind, onKind }: { readonly kind: FactKind; readonly onKind: (k: FactKind) => void }) {
  return (
    <label className="figure flex items-center gap-2 text-[13px] text-quiet">
      What was done
      <select value={kind} onChange={(e) => onKind(e.target.value as FactKind)}>
        {LOG_KINDS.map((k) => (
          <option key={k} value={k}>
            {FACT_WORDS[k]}
          </option>
        ))}
      </select>
    </label>
  );
}

interface WhoProps {
  readonly part: PartDetail;
  readonly face: Face | null;
  readonly onFace: (face: Face | null) => void;
  readonly atMs: number | null;
  readonly onAt: (ms: number | null) => void;
  readonly error: Refused | null;
}

function WhoAndWhen({ part, face, onFace, atMs, onAt, error }: WhoProps) {
  const shop = useShop();
  const personId = usePrefs((s) => s.personId) ?? shop.data?.people[0]?.personId ?? '';
  const setPerson = usePrefs((s) => s.setPerson);
  const timeProblem =
    error && ['in-the-future', 'before-covered'].includes(error.body.code) ? error.body.remedy : null;
  return (
    <div className="flex flex-wrap items-end gap-4 border-t border-line pt-3">
      {part.faces.length > 1 ? (
        <Choice<Face | 'both'>
          label="Face"
          value={face ?? 'both'}
          options={[...FACES.map((f) => ({ value: f, text: f })), { value: 'both', text: 'both' }]}
          onChange={(f) => onFace(f === 'both' ? null : f)}
        />
      ) : null}
      <Field label="Who">
        <select value={personId} onChange={(e) => setPerson(e.target.value)}>
          {shop.data?.people.map((p) => (
            <option key={p.personId} value={p.personId}>
              {p.name}
            </option>
          ))}
        </select>
      </Field>
      <Field
        label="Finished"
        problem={timeProblem}
        hint={atMs === null ? 'now, unless you set a time' : undefined}
      >
        <input
          type="datetime-local"
          aria-label="Finished"
          value={atMs === null ? '' : toLocalInput(atMs, part.zone)}
          onChange={(e) => onAt(fromLocalInput(e.target.value, part.zone))}
        />
      </Field>
    </div>
  );
}
