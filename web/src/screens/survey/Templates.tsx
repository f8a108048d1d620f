import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Survey } from '@calvetta/core';
import type { SurveyTemplate } from '@calvetta/contract';
import { KEYS } from '../../api/keys.ts';
import { getTemplates, Refused } from '../../api/client.ts';
import { problemsOf } from '../../record/refusal.ts';
import { useSend } from '../../record/useSend.ts';
import { templateGone, templateWrite, type Write } from '../../record/write.ts';
import { useNotices } from '../../state/notices.ts';
import { Button } from '../../ui/Button.tsx';
import { newId } from '../../ui/newId.ts';

/** The answers of a template, with what is the part's own: metal, sizes, colour group, pair. */
export function fromTemplate(own: Survey, template: Survey): Survey {
  return {
    ...template,
    substrate: own.substrate,
    thicknessMm: own.thicknessMm ?? template.thicknessMm,
    massKg: own.massKg,
    areaM2: own.areaM2,
    colourGroup: own.colourGroup,
    isPair: own.isPair,
  };
}

interface Props {
  readonly survey: Survey;
  readonly onUse: (survey: Survey) => void;
}

/** Surveys kept under a name: start the next part of a kind from one, or keep this one. */
export function Templates({ survey, onUse }: Props) {
  const send = useSend();
  const say = useNotices((s) => s.say);
  const { data } = useQuery({ queryKey: KEYS.templates, queryFn: getTemplates });
  const [name, setName] = useState<string | null>(null);
  const [used, setUsed] = useState('');
  const templates = data?.templates ?? [];
  const after = (write: Write, done: string): void => {
    send(write, done).catch((e: unknown) =>
      say({
        tone: 'trouble',
        text: e instanceof Refused ? problemOf(e) : 'It could not be stored; try again.',
      }),
    );
  };
  const keep = (): void => {
    const template: SurveyTemplate = { templateId: newId(), name: (name ?? '').trim(), survey };
    after(templateWrite(template), `Kept as "${template.name}"`);
    setName(null);
  };
  if (name !== null)
    return (
      <form
        className="flex items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          keep();
        }}
      >
        <label className="flex min-w-0 grow flex-col text-[13px] text-quiet">
          Name of the template
          <input autoFocus required maxLength={120} value={name} onChange={(e) => setName(e.target.value)} />
        </label>
        <Button type="submit" disabled={name.trim() === ''}>
          Keep
        </Button>
      </form>
    );
  const chosen = templates.find((t) => t.templateId === used);
  return (
    <div className="flex flex-wrap items-center gap-x-2 text-[14px]">
      {templates.length > 0 ? (
        <select
          aria-label="Start from a template"
          className="min-h-8! grow py-0! text-[14px] pointer-coarse:min-h-11!"
          value={used}
          onChange={(e) => {
            setUsed(e.target.value);
            const template = templates.find((t) => t.templateId === e.target.value);
            if (template) onUse(fromTemplate(survey, template.survey));
          }}
        >
          <option value="">start from a template…</option>
          {templates.map((t) => (
            <option key={t.templateId} value={t.templateId}>
              {t.name}
            </option>
          ))}
        </select>
      ) : null}
      <button type="button" className="min-h-8 underline pointer-coarse:min-h-11" onClick={() => setName('')}>
        keep as a template
      </button>
      {chosen ? (
        <button
          type="button"
          className="min-h-8 underline pointer-coarse:min-h-11"
          onClick={() => {
            after(templateGone(chosen.templateId), `"${chosen.name}" taken off the list`);
            setUsed('');
          }}
        >
          take "{chosen.name}" off the list
        </button>
      ) : null}
    </div>
  );
}

function problemOf(e: Refused): string {
  const first = problemsOf(e)[0];
  return first ? `Not kept: it needs ${first.accepts}.` : e.body.remedy;
}
