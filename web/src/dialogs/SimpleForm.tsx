import { useState, type ReactNode } from 'react';
import { parseQuantity, splitNumber, type Face, type FactKind } from '@calvetta/core';
import type { FactView, PartDetail } from '@calvetta/contract';
import type { Refused } from '../api/client.ts';
import { useShop } from '../api/queries.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Choice, Field } from '../ui/Field.tsx';
import { Foot } from '../ui/Foot.tsx';
import { FORMS, type FormField, type FormShape } from './factForms.ts';
import { failureWords } from './failureWords.ts';
import type { SubmitBody } from './submit.ts';
import { problemAt } from './refusal.ts';

interface Props {
  readonly part: PartDetail;
  readonly kind: FactKind;
  readonly face: Face | null;
  readonly correct?: FactView;
  readonly error: Refused | null;
  readonly isBusy: boolean;
  readonly submit: SubmitBody;
  /** Who and when: asked by every form, above its buttons. */
  readonly children: ReactNode;
}

type Values = Readonly<Record<string, string>>;

/** First values: the entry being corrected, else what the part's own act asks for. */
function firstValues(form: FormShape, part: PartDetail, correct: FactView | undefined): Values {
  const body: Readonly<Record<string, unknown>> = correct ? { ...correct.body } : {};
  return Object.fromEntries(
    form.fields.map((f) => {
      const known = body[f.name];
      if (typeof known === 'string' || typeof known === 'number') return [f.name, String(known)];
      if (f.type === 'choice') return [f.name, suggested(f.name, part) ?? f.options[0] ?? ''];
      return [f.name, f.type === 'place' ? (part.card.placeId ?? '') : ''];
    }),
  );
}

function suggested(name: string, part: PartDetail): string | null {
  if (name === 'test')
    return part.card.suspect ? 'thumbnail' : part.card.cure === 'wet' ? 'tack' : 'thumb-twist';
  if (name === 'faceUp') return part.card.face === 'A' ? 'B' : 'A';
  return name === 'method' && part.card.bare?.prep === 'phosphated' ? 'phosphate' : null;
}

type Read = { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly problem: string };

function readField(f: FormField, text: string, bareUnit: 'C' | 'F'): Read {
  if (f.type === 'temperature') {
    const r = parseQuantity(text, {
      field: f.label,
      dimension: 'temperature',
      bareUnit,
      min: f.minC,
      max: f.maxC,
      plausibleMin: f.minC < 0 ? -25 : f.minC,
      plausibleMax: f.minC < 0 ? 45 : f.maxC,
      otherUnit: bareUnit === 'C' ? 'F' : 'C',
    });
    return r.ok
      ? { ok: true, value: Number(r.value.value.toFixed(2)) }
      : { ok: false, problem: failureWords(r.error) };
  }
  if (f.type === 'number') {
    if (text.trim() === '' && f.isOptional) return { ok: true, value: undefined };
    const n = splitNumber(text);
    return n && n.rest === ''
      ? { ok: true, value: n.number }
      : { ok: false, problem: `a number is needed, ${f.hint}` };
  }
  return text.trim() === '' ? { ok: false, problem: 'this is needed' } : { ok: true, value: text.trim() };
}

/** A few choices and a button: the second touch stores it. */
export function SimpleForm({ part, kind, correct, error, isBusy, submit, children }: Props) {
  const form = FORMS[kind];
  const bareUnit = usePrefs((s) => s.units.temperature);
  const [values, setValues] = useState<Values>(() => (form ? firstValues(form, part, correct) : {}));
  const [problems, setProblems] = useState<Values>({});
  if (!form) return <p>This kind of entry is not logged by hand.</p>;
  const finish = (extra: Readonly<Record<string, unknown>>): void => {
    const read = form.fields.map((f) => [f.name, readField(f, values[f.name] ?? '', bareUnit)] as const);
    const bad = read.flatMap(([name, r]) => (r.ok ? [] : [[name, r.problem] as const]));
    setProblems(Object.fromEntries(bad));
    if (bad.length > 0) return;
    const body = Object.fromEntries(
      read.flatMap(([name, r]) => (r.ok && r.value !== undefined ? [[name, r.value] as const] : [])),
    );
    submit({ ...body, ...extra });
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
          value={values[f.name] ?? ''}
          problem={problems[f.name] ?? problemAt(error, `body.${f.name}`)}
          onChange={(v) => setValues((old) => ({ ...old, [f.name]: v }))}
        />
      ))}
      {children}
      <Foot>
        {form.finish.map((f, i) => (
          <Button
            key={f.text}
            look={i === 0 ? 'main' : 'plain'}
            disabled={isBusy}
            autoFocus={i === 0 && form.fields.length === 0}
            onClick={() => finish(f.body)}
          >
            {correct && form.finish.length === 1 ? 'Save correction' : f.text}
          </Button>
        ))}
      </Foot>
    </>
  );
}

interface OneProps {
  readonly field: FormField;
  readonly value: string;
  readonly problem: string | null;
  readonly onChange: (value: string) => void;
}

function OneField({ field, value, problem, onChange }: OneProps) {
  const shop = useShop();
  if (field.type === 'choice' || field.type === 'place') {
    const options =
      field.type === 'place'
        ? (shop.data?.places ?? []).map((p) => ({ value: p.placeId, text: p.name }))
        : field.options.map((o) => ({ value: o, text: o.replaceAll('-', ' ') }));
    return <Choice label={field.label} value={value} options={options} onChange={onChange} />;
  }
  return (
    <Field label={field.label} hint={field.type === 'text' ? undefined : field.hint} problem={problem}>
      {field.type === 'text' ? (
        <textarea rows={3} value={value} onChange={(e) => onChange(e.target.value)} />
      ) : (
        <input inputMode="text" value={value} onChange={(e) => onChange(e.target.value)} />
      )}
    </Field>
  );
}
