import type { ReactNode } from 'react';
import type { FactKind } from '@calvetta/core';
import { usePlaces } from '../api/queries.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Choice, Field } from '../forms/Field.tsx';
import { Foot } from '../forms/Foot.tsx';
import { FORMS, type FormField } from './factForms.ts';
import type { Values } from './factValues.ts';
import { NumberField, QuantityField } from '../forms/fields.tsx';
import { useMoney } from '../ui/money.ts';
import { maybe, number, quantity, words, type Reader } from '../forms/read.ts';
import { useDraft, type Bound } from '../forms/useDraft.ts';
import type { Save } from '../forms/useSave.ts';
import type { SubmitBody } from './submit.ts';

interface Props {
  readonly kind: FactKind;
  readonly first: Values;
  readonly isCorrection?: boolean;
  readonly save: Save;
  readonly submit: SubmitBody;
  /** What is to be said of the answers as they stand. */
  readonly about?: (texts: Values) => ReactNode;
  /** Who and when: asked by every form, above its buttons. */
  readonly children: ReactNode;
}

/** How a field of a form is read: in the reader's units, within what the server would take. */
function readerOf(f: FormField, bareUnit: 'C' | 'F', coins: number): Reader<unknown> {
  switch (f.type) {
    case 'temperature':
      return rounded(
        quantity({
          field: f.label,
          dimension: 'temperature',
          bareUnit,
          min: f.minC,
          max: f.maxC,
          plausibleMin: f.minC < 0 ? -25 : f.minC,
          plausibleMax: f.minC < 0 ? 45 : f.maxC,
          otherUnit: bareUnit === 'C' ? 'F' : 'C',
        }),
      );
    case 'number':
      return f.isOptional ? maybe(number('', 0, 1e6)) : number('', 0, 1e6);
    case 'choice':
    case 'place':
      return words;
    case 'day':
      return maybe(words);
    case 'text':
    case 'line':
      return f.isOptional ? maybe(words) : words;
    case 'money':
      return coinsOf(coins);
  }
}
/** A sum typed in whole units, as the currency's smallest coins. */
const coinsOf =
  (coins: number): Reader<number> =>
  (text) => {
    const r = number('', 1 / coins, 10_000_000)(text);
    return r.ok ? { ok: true, value: Math.round(r.value * coins) } : r;
  };
const rounded =
  (reader: Reader<number>): Reader<number> =>
  (text) => {
    const r = reader(text);
    return r.ok ? { ok: true, value: Number(r.value.toFixed(2)) } : r;
  };

/** A few choices and a button: the second touch stores it. */
export function SimpleForm({ kind, first, isCorrection = false, save, submit, about, children }: Props) {
  const form = FORMS[kind];
  const bareUnit = usePrefs((s) => s.units.temperature);
  const { coins } = useMoney();
  const fields = form?.fields ?? [];
  const draft = useDraft(
    Object.fromEntries(fields.map((f) => [f.name, readerOf(f, bareUnit, coins)])),
    first,
  );
  if (!form) return <p>This kind of entry is not logged by hand.</p>;
  const finish = (extra: Readonly<Record<string, unknown>>): void => {
    const v = draft.read();
    if (!v) return;
    // What was left empty is not known, and an entry does not carry it.
    submit({ ...Object.fromEntries(Object.entries(v).filter(([, x]) => x !== null)), ...extra });
  };
  return (
    <>
      {form.caution ? (
        <p className="border-l-4 border-mark bg-ground p-3 text-[14px]">
          {form.caution} Local rules and the maker’s sheet come first.
        </p>
      ) : null}
      {form.fields.map((f) => (
        <OneField
          key={f.name}
          field={f}
          bound={draft.bind(f.name)}
          refused={save.problemAt(`body.${f.name}`)}
        />
      ))}
      {about?.(draft.texts)}
      {children}
      <Foot>
        {form.finish.map((f, i) => (
          <Button
            key={f.text}
            look={i === 0 ? 'main' : 'plain'}
            disabled={save.isBusy}
            autoFocus={i === 0 && form.fields.length === 0}
            onClick={() => finish(f.body)}
          >
            {isCorrection && form.finish.length === 1 ? 'Save correction' : f.text}
          </Button>
        ))}
      </Foot>
    </>
  );
}

interface OneProps {
  readonly field: FormField;
  readonly bound: Bound;
  readonly refused: string | null;
}

function OneField({ field, bound, refused }: OneProps) {
  const places = usePlaces();
  switch (field.type) {
    case 'place':
      return (
        <Choice
          label={field.label}
          value={bound.value}
          options={places.map((p) => ({ value: p.placeId, text: p.name }))}
          onChange={bound.onChange}
        />
      );
    case 'choice':
      return (
        <Choice
          label={field.label}
          value={bound.value}
          options={field.options.map((o) => ({ value: o, text: field.words?.[o] ?? o.replaceAll('-', ' ') }))}
          onChange={bound.onChange}
        />
      );
    case 'line':
      return (
        <Field label={field.label} problem={bound.problem ?? refused}>
          <input value={bound.value} onChange={(e) => bound.onChange(e.target.value)} />
        </Field>
      );
    case 'text':
      return (
        <Field label={field.label} problem={bound.problem ?? refused}>
          <textarea rows={3} value={bound.value} onChange={(e) => bound.onChange(e.target.value)} />
        </Field>
      );
    case 'day':
      return (
        <Field label={field.label} problem={bound.problem ?? refused}>
          <input type="date" value={bound.value} onChange={(e) => bound.onChange(e.target.value)} />
        </Field>
      );
    case 'money':
      return <NumberField label={field.label} bound={bound} refused={refused} />;
    case 'number':
    case 'temperature':
      return <QuantityField label={field.label} hint={field.hint} bound={bound} refused={refused} />;
  }
}
