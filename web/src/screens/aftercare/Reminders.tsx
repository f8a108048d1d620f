import { useState } from 'react';
import { Link } from 'react-router';
import type { CareView, ReminderLine } from '@calvetta/core';
import { useMachines } from '../../api/queries.ts';
import { Field } from '../../forms/Field.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { useSave } from '../../forms/useSave.ts';
import { useRecord } from '../../record/useRecord.ts';
import { Button } from '../../ui/Button.tsx';

/** Decisions that come back on their day: “the roof was given five years”. */
export function Reminders({ view }: { readonly view: CareView }) {
  const [isNew, setNew] = useState(false);
  return (
    <section aria-label="Comes back on its day">
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="text-[18px]">Comes back on its day</h2>
        <Button look="quiet" onClick={() => setNew(!isNew)}>
          {isNew ? 'Not now' : 'Add one'}
        </Button>
      </div>
      {isNew ? <NewReminder onStored={() => setNew(false)} /> : null}
      {view.reminders.length === 0 && !isNew ? (
        <p className="text-[14px] text-quiet">
          None. “Replace in five years” is forgotten in two: write it here.
        </p>
      ) : null}
      <ul>
        {view.reminders.map((r) => (
          <Row key={r.factId} reminder={r} />
        ))}
      </ul>
    </section>
  );
}

function Row({ reminder: r }: { readonly reminder: ReminderLine }) {
  const record = useRecord();
  const save = useSave();
  return (
    <li data-row={r.partId} className="flex flex-wrap items-center gap-x-4 border-t border-line/60 py-2">
      <span className={`figure w-28 ${r.isDue ? 'text-bad' : 'text-quiet'}`}>{r.onDay}</span>
      <span className="min-w-[200px] flex-1">
        <Link
          className="font-semibold underline underline-offset-2"
          to={`/parts/${encodeURIComponent(r.partId)}`}
        >
          {r.partName}
        </Link>
        : {r.text} <span className="text-quiet">{r.machineName}</span>
        <FormTrouble words={save.trouble} />
      </span>
      <Button
        disabled={save.isBusy}
        onClick={() =>
          save.run(() =>
            record({
              kind: 'reminder-done',
              partId: r.partId,
              partName: r.partName,
              face: null,
              happenedMs: Date.now(),
              endedMs: null,
              body: { reminderId: r.factId },
            }),
          )
        }
      >
        Seen to
      </Button>
    </li>
  );
}

function NewReminder({ onStored }: { readonly onStored: () => void }) {
  const machines = useMachines();
  const parts = (machines.data?.machines ?? []).flatMap((m) => m.assemblies.flatMap((a) => a.parts));
  const record = useRecord();
  const save = useSave();
  const [partId, setPartId] = useState('');
  const [text, setText] = useState('');
  const [onDay, setOnDay] = useState('');
  const part = parts.find((p) => p.partId === partId);
  return (
    <form
      className="flex flex-wrap items-end gap-3 border border-line bg-panel p-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!part) return;
        save.run(
          () =>
            record({
              kind: 'reminder-set',
              partId,
              partName: part.name,
              face: null,
              happenedMs: Date.now(),
              endedMs: null,
              body: { text: text.trim(), onDay },
            }),
          onStored,
        );
      }}
    >
      <label className="figure flex flex-col gap-1 text-[13px] text-quiet">
        Part
        <select value={partId} className="text-ink" onChange={(e) => setPartId(e.target.value)}>
          <option value="">choose</option>
          {parts.map((p) => (
            <option key={p.partId} value={p.partId}>
              {p.name}, {p.machineName}
            </option>
          ))}
        </select>
      </label>
      <Field label="What was decided" problem={save.problemAt('body.text')}>
        <input className="w-72" maxLength={300} value={text} onChange={(e) => setText(e.target.value)} />
      </Field>
      <Field label="Comes back on" problem={save.problemAt('body.onDay')}>
        <input type="date" value={onDay} onChange={(e) => setOnDay(e.target.value)} />
      </Field>
      <Button look="main" type="submit" disabled={save.isBusy || !part || text.trim() === '' || onDay === ''}>
        Keep it
      </Button>
      <FormTrouble words={save.trouble} />
    </form>
  );
}
