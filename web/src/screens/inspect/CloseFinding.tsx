import { useState } from 'react';
import { CLOSED_HOW, type ClosedHow, type FindingView, type InspectView } from '@calvetta/core';
import { CLOSED_WORDS } from '@calvetta/contract/words';
import { Field } from '../../forms/Field.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { maybe, words } from '../../forms/read.ts';
import { TextField } from '../../forms/fields.tsx';
import { useDraft } from '../../forms/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { useFinds } from './useFinding.ts';

const ASKS: Readonly<Record<ClosedHow, string | null>> = {
  repaired: null,
  accepted: 'Why it may stay as it is',
  'licensed-answer': 'What they answered',
  'not-so': null,
};

interface Props {
  readonly view: InspectView;
  readonly finding: FindingView;
  /** It stays in sight when it is closed. */
  readonly onClosed: () => void;
}

/** Ends a finding: mended, accepted with a reason, or answered by a licensed person by name. */
export function CloseFinding({ view, finding, onClosed }: Props) {
  const ways = finding.holds ? (['licensed-answer'] as const) : CLOSED_HOW;
  const [how, setHow] = useState<ClosedHow>(ways[0]);
  const { log, save } = useFinds(view);
  const isLicensed = how === 'licensed-answer';
  const asks = ASKS[how];
  const draft = useDraft(
    { by: isLicensed ? words : maybe(words), reason: asks ? words : maybe(words) },
    { by: '', reason: '' },
  );
  const close = (): void => {
    const v = draft.read();
    if (!v) return;
    const body = {
      findingId: finding.findingId,
      how,
      ...(v.by ? { by: v.by } : {}),
      ...(v.reason ? { reason: v.reason } : {}),
      ...(finding.remedy?.body.causeId ? { causeId: finding.remedy.body.causeId } : {}),
    };
    log('finding-closed', finding.fact.face, body, { done: onClosed });
  };
  return (
    <section aria-label="Close it" className="flex flex-col gap-2 border-t border-line pt-3">
      <h3 className="text-[16px]">Close it</h3>
      {ways.length > 1 ? (
        <OneOf<ClosedHow>
          label="How it ended"
          value={how}
          onChange={setHow}
          options={ways.map((w) => ({ value: w, text: CLOSED_WORDS[w] }))}
        />
      ) : null}
      {isLicensed ? (
        <TextField label="Who answered" hint="name and licence" bound={draft.bind('by')} />
      ) : null}
      <Field
        label={asks ?? 'A word about it'}
        hint={asks ? undefined : 'may be left empty'}
        problem={draft.bind('reason').problem}
      >
        <textarea
          rows={2}
          maxLength={300}
          value={draft.texts.reason}
          onChange={(e) => draft.set({ reason: e.target.value })}
        />
      </Field>
      <FormTrouble words={save.trouble} />
      <Button className="self-start" disabled={save.isBusy} onClick={close}>
        Close the finding
      </Button>
    </section>
  );
}
