import { useState, type ReactNode } from 'react';
import { FACES, type Face, type Fact, type FactKind, type StripMethod } from '@calvetta/core';
import type { FactInput, FactView, PartDetail } from '@calvetta/contract';
import { FACT_WORDS } from '@calvetta/contract/words';
import { usePart, usePeople, useSheets, useShelf, useShop } from '../api/queries.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Choice, Field } from '../forms/Field.tsx';
import { SelectField } from '../forms/fields.tsx';
import { useMoney } from '../ui/money.ts';
import { Panel } from '../ui/Panel.tsx';
import { fromLocalInput, toLocalInput } from '../ui/time.ts';
import { Waiting } from '../ui/Trouble.tsx';
import { chunk } from '../ui/chunk.tsx';
import { CoatForm } from './coat/CoatForm.tsx';
import { BothVersions } from './BothVersions.tsx';
import { LOG_KINDS } from './factForms.ts';
import { firstValues, type Values } from './factValues.ts';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave, type Save } from '../forms/useSave.ts';
import type { SubmitBody } from './submit.ts';
import { SimpleForm } from './SimpleForm.tsx';
import { useRecord } from '../record/useRecord.ts';

/** Rules come with it: only where something is stripped. */
const StripDoubts = chunk(() => import('./StripDoubts.tsx'));

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

/** When it began and ended: a correction keeps the length of what it corrects. */
function whenOf(endMs: number, correct: FactView | undefined) {
  const lengthMs = correct?.endedAtMs ? correct.endedAtMs - correct.happenedAtMs : 0;
  return { happenedMs: endMs - lengthMs, endedMs: lengthMs > 0 ? endMs : null };
}

/** Of the part whole: nobody is asked for its face. */
const WHOLE: readonly FactKind[] = ['moved', 'sent', 'came-back', 'worked', 'spent'];

function LogForm({ part, kind, correct, onKind, onClose }: FormProps) {
  const money = useMoney();
  const record = useRecord();
  const save = useSave();
  const [face, setFace] = useState<Face | null>(
    correct ? correct.face : part.faces.length > 1 ? part.card.face : null,
  );
  // Null: the moment the button is touched.
  const [atMs, setAtMs] = useState<number | null>(
    correct ? (correct.endedAtMs ?? correct.happenedAtMs) : null,
  );
  const [supersedes, setSupersedes] = useState<string | undefined>(correct?.factId);
  const hasFace = !WHOLE.includes(kind);
  const common = {
    partId: part.card.partId,
    partName: part.card.name,
    face: hasFace ? face : null,
    ...(supersedes === undefined ? {} : { supersedes }),
  };
  const submit: SubmitBody = (body, evidence) => {
    const when = whenOf(atMs ?? Date.now(), correct);
    const seen = evidence ? { evidence } : {};
    save.run(() => record({ ...common, ...when, ...seen, kind, body }), onClose);
  };
  const voidIt = (): void =>
    save.run(
      () => record({ ...common, happenedMs: Date.now(), endedMs: null, kind: 'voided', body: {} }),
      onClose,
    );
  const whoAndWhen = (
    <>
      <WhoAndWhen
        part={part}
        hasFace={hasFace}
        face={face}
        onFace={setFace}
        atMs={atMs}
        onAt={setAtMs}
        save={save}
      />
      {correct ? (
        <Button look="quiet" className="self-start" disabled={save.isBusy} onClick={voidIt}>
          It never happened: void it
        </Button>
      ) : null}
    </>
  );
  return (
    <div className="flex flex-col gap-4">
      {correct ? null : <KindChoice kind={kind} onKind={onKind} />}
      <FormTrouble words={save.trouble} />
      <Superseded
        save={save}
        zone={part.zone}
        onTheirs={onClose}
        onMine={(factId) => {
          setSupersedes(factId);
          save.clear();
        }}
      />
      {kind === 'coated' ? (
        <CoatForm {...{ part, face, save, submit, ...(correct ? { correct } : {}) }} isNow={atMs === null}>
          {whoAndWhen}
        </CoatForm>
      ) : (
        <SimpleForm
          kind={kind}
          first={firstValues(kind, part, correct, money.coins)}
          isCorrection={correct !== undefined}
          save={save}
          submit={submit}
          about={(texts) => aboutAnswers(kind, part, texts)}
        >
          {whoAndWhen}
        </SimpleForm>
      )}
    </div>
  );
}

interface SupersededProps {
  readonly save: Save;
  readonly zone: string;
  readonly onTheirs: () => void;
  readonly onMine: (factId: string) => void;
}
/** Somebody else corrected it meanwhile: both are shown, and one is chosen. */
function Superseded({ save, zone, onTheirs, onMine }: SupersededProps) {
  const refusal = save.refused?.body;
  if (refusal?.code !== 'superseded-already' || !refusal.details.stored) return null;
  const { stored: theirs, sent: mine } = refusal.details as { stored: Fact; sent: FactInput };
  return <BothVersions {...{ theirs, mine, zone, onTheirs }} onMine={() => onMine(theirs.factId)} />;
}

/** What is known to speak against the answers of a form. */
function aboutAnswers(kind: FactKind, part: PartDetail, texts: Values): ReactNode {
  if (kind !== 'stripped') return null;
  return <StripDoubts part={part} method={texts['method'] as StripMethod} />;
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
  readonly hasFace: boolean;
  readonly face: Face | null;
  readonly onFace: (face: Face | null) => void;
  readonly atMs: number | null;
  readonly onAt: (ms: number | null) => void;
  readonly save: Save;
}

function WhoAndWhen({ part, hasFace, face, onFace, atMs, onAt, save }: WhoProps) {
  const people = usePeople();
  const held = usePrefs((s) => s.personId);
  const personId = people.some((p) => p.personId === held) ? held! : '';
  const setPerson = usePrefs((s) => s.setPerson);
  const timeProblem =
    save.refused && ['in-the-future', 'before-covered'].includes(save.refused.body.code)
      ? save.refused.body.remedy
      : null;
  return (
    <div className="flex flex-wrap items-end gap-4 border-t border-line pt-3">
      {hasFace && part.faces.length > 1 ? (
        <Choice<Face | 'both'>
          label="Face"
          value={face ?? 'both'}
          options={[...FACES.map((f) => ({ value: f, text: f })), { value: 'both', text: 'both' }]}
          onChange={(f) => onFace(f === 'both' ? null : f)}
        />
      ) : null}
      <SelectField
        label="Who"
        value={personId}
        options={[
          ...(personId === '' ? [{ value: '', text: 'who?' }] : []),
          ...people.map((p) => ({ value: p.personId, text: p.name })),
        ]}
        onChange={setPerson}
      />
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
