import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { RouteStep, Survey } from '@calvetta/core';
import type { SurveyTemplate } from '@calvetta/contract';
import { KEYS } from '../../api/keys.ts';
import { getTemplates, Refused } from '../../api/client.ts';
import { problemsOf } from '../../record/refusal.ts';
import { useSend } from '../../record/useSend.ts';
import { templateGone, templateWrite } from '../../record/write.ts';
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
  /** The answers of a template, and the steps of an edited route kept with it. */
  readonly onUse: (survey: Survey, steps: readonly RouteStep[] | null) => void;
}

/** A name for a survey, with or without the steps of its route, and it is kept. */
export function KeepTemplate({
  survey,
  steps,
  label,
}: {
  readonly survey: Survey;
  readonly steps: readonly RouteStep[] | null;
  readonly label: string;
}) {
  const send = useSend();
  const say = useNotices((s) => s.say);
  const [name, setName] = useState<string | null>(null);
  if (name === null)
    return (
      <button
        type="button"
        className="min-h-8 self-start text-[14px] underline pointer-coarse:min-h-11"
        onClick={() => setName('')}
      >
        {label}
      </button>
    );
  const keep = (): void => {
    const template: SurveyTemplate = { templateId: newId(), name: name.trim(), survey, steps };
    send(templateWrite(template), `Kept as "${template.name}"`).catch((e: unknown) =>
      say({ tone: 'trouble', text: templateTrouble(e) }),
    );
    setName(null);
  };
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
}

/** Surveys kept under a name: start the next part of a kind from one, or keep this one. */
export function Templates({ survey, onUse }: Props) {
  const send = useSend();
  const say = useNotices((s) => s.say);
  const { data } = useQuery({ queryKey: KEYS.templates, queryFn: getTemplates });
  const [used, setUsed] = useState('');
  const templates = data?.templates ?? [];
  const chosen = templates.find((t) => t.templateId === used);
  const pick = (id: string): void => {
    setUsed(id);
    const template = templates.find((t) => t.templateId === id);
    if (template) onUse(fromTemplate(survey, template.survey), template.steps);
  };
  const drop = (t: SurveyTemplate): void => {
    setUsed('');
    send(templateGone(t.templateId), `"${t.name}" taken off the list`).catch((e: unknown) =>
      say({ tone: 'trouble', text: templateTrouble(e) }),
    );
  };
  return (
    <div className="flex flex-wrap items-center gap-x-3 text-[14px]">
      {templates.length > 0 ? (
        <select
          aria-label="Start from a template"
          className="min-h-8! grow py-0! text-[14px] pointer-coarse:min-h-11!"
          value={used}
          onChange={(e) => pick(e.target.value)}
        >
          <option value="">start from a template…</option>
          {templates.map((t) => (
            <option key={t.templateId} value={t.templateId}>
              {t.name}
              {t.steps ? ', with its steps' : ''}
            </option>
          ))}
        </select>
      ) : null}
      <KeepTemplate survey={survey} steps={null} label="keep as a template" />
      {chosen ? (
        <button
          type="button"
          className="min-h-8 underline pointer-coarse:min-h-11"
          onClick={() => drop(chosen)}
        >
          take "{chosen.name}" off the list
        </button>
      ) : null}
    </div>
  );
}

function templateTrouble(e: unknown): string {
  if (!(e instanceof Refused)) return 'It could not be stored; try again.';
  const first = problemsOf(e)[0];
  return first ? `Not kept: it needs ${first.accepts}.` : e.body.remedy;
}
